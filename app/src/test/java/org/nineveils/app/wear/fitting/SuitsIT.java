package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What suits the photo on the stage. */
class SuitsIT extends FittingTrial {
  @Override
  int kit() {
    return 2;
  }

  /** Too dark, in open shade. */
  @Override
  int photo() {
    return 7;
  }

  /** The file itself is read back in core: see {@code OpenRasterTest}. */
  @Test
  void whatIsWornIsSavedInLayers() {
    wear("Evening amber");
    page.getByText("Save the picture").click();
    byte[] file = room.download("[data-format=ora]");
    assertThat(new String(file, 30, 24, java.nio.charset.StandardCharsets.US_ASCII))
        .isEqualTo("mimetypeimage/openraster");
    page.locator("[data-take-off]").click();
    room.settle();
  }

  @Test
  void whatHelpsADarkPhotoComesFirstWithItsReasonAndIsPutOnFromThere() {
    page.locator("[data-suits-look]").click();
    page.locator("[data-suits-list] li").first().waitFor();
    Locator lines = page.locator("[data-suits-list] li[data-sort]");
    assertThat(lines.first().innerText()).contains("lifts a dark photo");
    assertThat(lines.first().locator("button").innerText()).containsAnyOf("stop", "forward", "up");
    page.getByText("All 6", new Page.GetByTextOptions().setExact(false)).first().click();
    List<String> sorts =
        lines.all().stream().map(l -> l.getAttribute("data-sort")).distinct().toList();
    assertThat(sorts).startsWith("helps", "within").doesNotHaveDuplicates();
    assertThat(lines.count()).isEqualTo(65);

    Object plain = room.picture();
    String name = lines.first().locator("button").innerText();
    lines.first().locator("button").click();
    room.veil(name).waitFor();
    page.mouse().move(600, 300);
    room.settle();
    assertThat(room.picture()).isNotEqualTo(plain);
    page.locator("[data-take-off]").click();
    room.settle();
    page.locator("[data-suits-look]").click();
    assertThat(page.locator("[data-suits-list]").isVisible()).isFalse();
  }
}
