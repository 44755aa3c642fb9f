package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Fields;

/** Whatever a photo wears is brushed off and on, with the mouse, on the running application. */
class FittingPaintIT extends FittingTrial {
  @Override
  int kit() {
    return 3;
  }

  @Override
  int photo() {
    return 5;
  }

  private void inThePanel(String text) {
    page.locator("[data-paint] button:text-is(\"" + text + "\")").click();
    room.settle();
  }

  private Locator line(String veil) {
    return page.locator(".veil-line", new Page.LocatorOptions().setHasText(veil)).first();
  }

  private Fields masks() {
    return worn().get(0).object("masks");
  }

  @Test
  void anEffectThatCoversEverythingIsBrushedOffAFace() {
    List<Integer> plain = room.colour(0.35, 0.45);
    List<Integer> plainElsewhere = room.colour(0.5, 0.85);
    wear("Silver gelatin");
    List<Integer> worn = room.colour(0.35, 0.45);
    List<Integer> wornElsewhere = room.colour(0.5, 0.85);
    assertThat(worn).isNotEqualTo(plain);
    page.locator("[data-brush-whole]").click();
    assertThat(page.locator("[data-reveal=false]").getAttribute("aria-pressed")).isEqualTo("true");
    page.locator("[data-brush] [data-key=flow] input[type=number]").fill("100");
    room.paint(0.3, 0.45, 0.4, 0.45);
    assertThat(room.colour(0.35, 0.45)).isEqualTo(plain);
    assertThat(room.colour(0.5, 0.85)).isEqualTo(wornElsewhere).isNotEqualTo(plainElsewhere);
    page.keyboard().press("Control+z");
    page.getByText("Taken back: brush off, Silver gelatin").waitFor();
    room.settle();
    assertThat(room.colour(0.35, 0.45)).isEqualTo(worn);
  }

  @Test
  void oneVeilOfAnEffectIsFilledTurnedRoundAndCleared() {
    List<Integer> plain = room.colour(0.35, 0.45);
    wear("Silver gelatin");
    line("Grain").getByText("Lift").click();
    room.settle();
    List<Integer> grey = room.colour(0.35, 0.45);
    assertThat(grey).isNotEqualTo(plain);
    line("Grey").getByText("Brush").click();
    inThePanel("Invert");
    assertThat(room.colour(0.35, 0.45)).as("turned inside out").isEqualTo(plain);
    inThePanel("Fill");
    assertThat(room.colour(0.35, 0.45)).isEqualTo(grey);
    inThePanel("Invert");
    inThePanel("Clear");
    assertThat(room.colour(0.35, 0.45)).isEqualTo(grey);
  }

  @Test
  void anEffectIsKeptOffShadowsOnlyInThisFitting() {
    wear("Hay and honey");
    String before = page.locator("[data-card-veils]").innerText();
    line("Warm").getByText("Brush").click();
    inThePanel("Shadows");
    Fields mask = masks().object(masks().names().iterator().next());
    assertThat(mask.text("cover")).isEqualTo("by-rule");
    assertThat(mask.objects("rules", r -> r).get(0).text("kind")).isEqualTo("brightness");
    inThePanel("Shadows");
    mask = masks().object(masks().names().iterator().next());
    assertThat(mask.text("cover")).isEqualTo("everywhere");
    assertThat(page.locator("[data-card-veils]").innerText()).isEqualTo(before);
  }

  @Test
  void aMaskIsSoftenedAndCopiedFromOneEffectToAnother() {
    List<Integer> plain = room.colour(0.35, 0.45);
    wear("Hay and honey");
    page.locator("[data-brush-whole]").click();
    inThePanel("Invert");
    room.paint(0.2, 0.8, 0.3, 0.8);
    Locator soften = page.locator("[data-paint-edges] [data-key=soften] input[type=number]");
    soften.fill("6");
    soften.press("Enter");
    room.settle();
    assertThat(masks().object("*").number("soften")).isEqualTo(6);
    assertThat(room.colour(0.35, 0.45)).isEqualTo(plain);
    wear("Silver gelatin");
    assertThat(room.colour(0.35, 0.45)).isNotEqualTo(plain);
    page.locator("[data-brush-whole]").click();
    page.locator("[data-paint-from]").focus();
    page.locator("[data-paint-from]").selectOption("0");
    page.getByText("“Silver gelatin” covers where “Hay and honey” does.").waitFor();
    room.settle();
    assertThat(room.colour(0.35, 0.45)).isEqualTo(plain);
    assertThat(worn().get(1).object("masks").object("*").number("soften")).isEqualTo(6);
  }

  @Test
  void paintIsSavedAsAFileAndLaidOnAgain() {
    wear("Silver gelatin");
    page.locator("[data-brush-whole]").click();
    room.paint(0.3, 0.45, 0.4, 0.45);
    Object painted = room.picture();
    byte[] file = room.download("[data-save-paint]");
    inThePanel("Clear");
    assertThat(room.picture()).isNotEqualTo(painted);
    Locator load = page.locator("[data-paint-load]");
    load.setInputFiles(new FilePayload("paint.json", "application/json", file));
    page.getByText("Paint of 1 veil laid on.").waitFor();
    room.settle();
    assertThat(room.picture()).isEqualTo(painted);
    load.setInputFiles(
        new FilePayload(
            "list.json",
            "application/json",
            "not paint".getBytes(java.nio.charset.StandardCharsets.UTF_8)));
    page.getByText("“list.json” is not a file of paint; nothing was changed.").waitFor();
    assertThat(room.picture()).isEqualTo(painted);
  }

  @Test
  void whatIsPaintedForOneVeilIsPaintedForTheOneThatFollowsIt() {
    wear("Wet nose");
    assertThat(line("No colour").innerText()).contains("as Dark");
    line("Dark").getByText("Lift").click();
    room.settle();
    List<Integer> plain = room.colour(0.35, 0.45);
    assertThat(line("No colour").getByText("Brush").getAttribute("aria-pressed"))
        .as("it waits for the brush")
        .isEqualTo("true");
    room.paint(0.3, 0.45, 0.4, 0.45);
    assertThat(room.colour(0.35, 0.45)).isNotEqualTo(plain);
    Fields painted =
        org.nineveils.document.Json.read(http.get("/api/fittings/" + id()).body(), "")
            .object("painted");
    String effect = painted.names().iterator().next();
    assertThat(painted.object(effect).names()).as("the paint is the other veil's").hasSize(1);
    line("Dark").getByText("Let down").click();
    room.settle();
    assertThat(page.locator("[data-paint-all] button:text-is(\"Clear\")").isEnabled()).isTrue();
  }
}
