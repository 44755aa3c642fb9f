package org.nineveils.app.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Fields;

/** Whatever a photo wears is brushed off and on, with the mouse, on the running application. */
class FittingPaintIT extends FittingTrial {
  private static int photo = 3;

  @Override
  int kit() {
    return 3;
  }

  @Override
  int nextPhoto() {
    photo = Math.min(11, photo + 1);
    return photo == 9 ? ++photo : photo; // photo 9 is worn by another test
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

  /** The sun of the kit's effect is a dial by place: its handle lies on the picture. */
  @Test
  void aPlaceThatTheMakerLeftIsMovedOnThePicture() {
    page.navigate("/fitting/of?wardrobe=kit:1&photo=2");
    room.settle();
    wear("Late sun");
    Object before = room.picture();
    Locator sun = page.locator(".handles [aria-label^='Shaft of light']");
    BoundingBox at = sun.last().boundingBox();
    page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
    page.mouse().down();
    page.mouse().move(at.x + 120, at.y + 60);
    page.mouse().move(at.x + 240, at.y + 90);
    page.mouse().up();
    room.settle();
    assertThat(room.picture()).isNotEqualTo(before);
    Fields veils = worn().get(0).object("veils");
    Fields dials = veils.object(veils.names().iterator().next()).object("dials");
    assertThat(dials.number("shaftX")).isGreaterThan(10);
    page.keyboard().press("Control+z");
    page.getByText("Taken back: move the shaft of light").waitFor();
    room.settle();
    assertThat(room.picture()).isEqualTo(before);
    page.locator("[data-take-off]").click();
    room.settle();
  }

  /**
   * With an effect open and the brush armed: sliders for hands, and the photo the largest thing.
   */
  @Test
  void slidersAreLongEnoughAndThePhotoIsLarge() {
    for (String[] photoAndShare : new String[][] {{"1", "0.40"}, {"3", "0.22"}}) {
      page.navigate("/fitting/of?wardrobe=kit:1&photo=" + photoAndShare[0]);
      room.settle();
      wear("Settle redness");
      assertThat(page.locator("[data-brush]").isVisible()).isTrue();
      for (int width : new int[] {1024, 1280}) {
        page.setViewportSize(width, 800);
        room.settle();
        Object shortest =
            page.evaluate(
                "() => Math.min(...[...document.querySelectorAll('.readings .slide')]"
                    + ".filter(s => s.checkVisibility()).map(s => s.clientWidth))");
        assertThat(((Number) shortest).doubleValue()).isGreaterThanOrEqualTo(140);
      }
      Object share =
          page.evaluate(
              """
              () => {
                const c = document.querySelector(".pane-finished [data-picture]");
                const { data } = c.getContext("2d").getImageData(0, 0, c.width, c.height);
                let n = 0;
                for (let i = 3; i < data.length; i += 4) n += data[i] > 0;
                return n / devicePixelRatio ** 2 / (innerWidth * innerHeight);
              }""");
      assertThat(((Number) share).doubleValue())
          .as("share of the window")
          .isGreaterThanOrEqualTo(Double.parseDouble(photoAndShare[1]));
      page.locator("[data-take-off]").click();
      room.settle();
    }
  }

  @Test
  void aVeilIsLookedIntoAndHungTwiceAndASectionIsTakenOff() {
    page.navigate("/fitting/of?wardrobe=kit:1&photo=1");
    room.settle();
    List<Integer> plain = room.colour(0.3, 0.5);
    wear("Third of a stop");
    List<Integer> once = room.colour(0.3, 0.5);
    line("A third more").locator("> button").click();
    assertThat(page.locator(".veil-inside li").allInnerTexts())
        .contains("Light", "Light, exposure: 0.33 stops");
    page.getByText("Hang it twice").click();
    room.settle();
    assertThat(room.colour(0.3, 0.5).get(1)).isGreaterThan(once.get(1) + 4);
    assertThat(line("A third more").innerText()).contains("twice");
    page.getByText("Hang it once").click();
    room.settle();
    assertThat(room.colour(0.3, 0.5)).isEqualTo(once);
    page.locator("[aria-label='Wear everything of Groundwork']").click();
    page.locator("[data-take-section]").first().click();
    page.getByText("The photo wears nothing yet").waitFor();
    page.mouse().move(600, 300); // away from the effect that lay under the menu
    room.settle();
    assertThat(room.colour(0.3, 0.5)).isEqualTo(plain);
  }
}
