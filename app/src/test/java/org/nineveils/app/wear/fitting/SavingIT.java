package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;
import org.nineveils.file.PictureReader;

/** What is wished of a result is kept and holds for one photo as for many. */
class SavingIT extends FittingTrial {
  @Override
  int kit() {
    return 2;
  }

  @Override
  int photo() {
    return 8;
  }

  private Locator wish(String in, String name) {
    return page.locator(in + " [data-wish=" + name + "]");
  }

  /** The menu closes when something in it is done. */
  private void open() {
    if (!page.locator("[data-wishes]").isVisible()) {
      page.getByText("Save the picture").click();
    }
  }

  private Download saved() {
    open();
    return page.waitForDownload(() -> page.locator("[data-format=jpg]").click());
  }

  @Test
  void sizeSharpeningProfileAndNameHoldForOneAndAreThereForManyAndNextTime() throws IOException {
    String menu = "[data-wishes]";
    wear("Evening amber");
    open();
    wish(menu, "longSide").fill("300");
    wish(menu, "names").fill("{date} {look}");
    wish(menu, "names").press("Tab");
    assertThat(wish(menu, "names").inputValue()).isEqualTo("{date} {look}");
    wish(menu, "longSide").fill("50");
    wish(menu, "longSide").press("Tab");
    page.locator(".said").getByText("Long side").waitFor();
    assertThat(wish(menu, "longSide").inputValue()).as("what was wished before").isEqualTo("300");
    page.locator("[data-format=jpg]").click();
    page.locator(".said").getByText("{photo} or {number}").waitFor();
    clearRefusals();
    open();

    wish(menu, "names").fill("{date} {number} {look}");
    Download plain = saved();
    assertThat(plain.suggestedFilename()).isEqualTo("undated 001 Evening amber.jpg");
    open();
    wish(menu, "sharpening").selectOption("print");
    wish(menu, "space").selectOption("display-p3");
    byte[] file = Files.readAllBytes(saved().path());
    assertThat(PictureReader.read(file, "result").longSide()).isEqualTo(300);
    assertThat(
            new String(file, StandardCharsets.UTF_16BE)
                + new String(file, 1, file.length - 1, StandardCharsets.UTF_16BE))
        .as("name of the profile")
        .contains("Display P3");

    page.reload();
    room.settle();
    open();
    assertThat(page.locator("[data-format=jpg]").getAttribute("class")).contains("is-last");
    assertThat(wish(menu, "space").inputValue()).isEqualTo("display-p3");
    page.locator("[data-batch-open]").click();
    assertThat(wish("[data-batch]", "sharpening").inputValue()).isEqualTo("print");
    assertThat(wish("[data-batch]", "longSide").inputValue()).isEqualTo("300");
  }
}
