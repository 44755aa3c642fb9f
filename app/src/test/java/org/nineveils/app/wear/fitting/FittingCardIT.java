package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.SelectOption;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** The card of a worn effect: places, veils looked into; each test takes off what it wore. */
class FittingCardIT extends FittingTrial {
  @Override
  int kit() {
    return 1;
  }

  @Override
  int photo() {
    return 2;
  }

  private Locator line(String veil) {
    return page.locator(".veil-line", new Page.LocatorOptions().setHasText(veil)).first();
  }

  private List<Fields> veilsOf(String effect) {
    return Json.read(http.get("/api/effects/" + effect + "?photo=1").body(), "")
        .object("effect")
        .objects("veils", v -> v);
  }

  /** The sun of the kit's effect is a dial by place: its handle lies on the picture. */
  @Test
  void aPlaceThatTheMakerLeftIsMovedOnThePicture() {
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
      assertThat(room.photoShare())
          .as("share of the window")
          .isGreaterThanOrEqualTo(Double.parseDouble(photoAndShare[1]));
      page.locator("[data-take-off]").click();
      room.settle();
    }
  }

  @Test
  void aVeilIsLookedIntoAndHungTwiceAndASectionIsTakenOff() {
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

  @Test
  void whatIsWornTakesThePlaceOfAnEffectOnceItIsToldWhatChanges() {
    String made =
        http.json("POST", "/api/sections/2/effects", "{\"name\": \"To be replaced\"}").body();
    String effect = Json.read(made, "").text("go").replaceAll("\\D", "");
    page.reload();
    room.settle();
    wear("Third of a stop");
    page.locator("[data-keep-open]").click();
    page.locator("[data-keep] select[name=over]")
        .selectOption(new SelectOption().setLabel("in the place of “To be replaced”"));
    page.locator("[data-keep] button.primary").click();
    page.locator("[data-keep-ask]").getByText("loses nothing and gets “A third more”").waitFor();
    assertThat(veilsOf(effect)).as("nothing was changed yet").isEmpty();
    page.getByText("Replace it").click();
    page.getByText("“To be replaced” is what was worn now.").waitFor();
    assertThat(veilsOf(effect)).hasSize(1);
    page.locator("[data-take-off]").click();
    room.settle();
    http.json("DELETE", "/api/effects/" + effect, "");
  }
}
