package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** A look goes on to other photos, editable, in one step of undo each. */
class NextPhotoIT extends FittingTrial {
  @Override
  int kit() {
    return 1;
  }

  @Override
  int photo() {
    return 4;
  }

  private Locator photo(int place) {
    return page.locator("[data-photos] button").nth(place);
  }

  private String shown() {
    return page.locator("[data-photos] [aria-current=true]").getAttribute("data-photo");
  }

  private List<String> keys(long photo) {
    String at = "/api/fittings/of?wardrobe=kit:1&photo=" + photo;
    return Json.read(http.get(at).body(), "")
        .object("fitting")
        .objects("worn", f -> f.text("effect"));
  }

  private void waitFor(String words) {
    page.getByText(words).first().waitFor();
    room.settle();
  }

  @Test
  void oneKeyGoesToTheNextPhotoWithTheLookAndPaintStaysBehind() {
    wear("Milk linen");
    room.dragHem("Milk linen", 0.5);
    wear("Face light");
    room.paint(0.45, 0.4, 0.55, 0.4);
    List<Fields> here = worn();
    page.keyboard().press("j");
    waitFor("Paint stays behind: “Face light” waits for the brush.");
    assertThat(shown()).isEqualTo("5");
    assertThat(onTheRail()).containsExactly("Milk linen", "Face light");
    assertThat(worn().get(0).number("opacity")).isEqualTo(here.get(0).number("opacity"));
    assertThat(strokes()).isZero();
    room.paint(0.45, 0.4, 0.55, 0.4);
    assertThat(strokes()).as("it is edited on, at once").isEqualTo(1);
    page.keyboard().press("Control+z");
    page.getByText("Taken back: brush on").waitFor();
    page.keyboard().press("Control+z");
    waitFor("Taken back: wear it as on");
    assertThat(worn()).isEmpty();
    page.keyboard().press("b");
    room.veil("Face light").waitFor();
    room.settle();
    assertThat(strokes()).as("the first photo kept its paint").isEqualTo(1);
  }

  /**
   * The second press comes before the first photo is there: each wears what the one before was
   * given.
   */
  @Test
  void pressedQuicklyTheLookGoesAlongAllPhotosPassed() {
    wear("Oat matte");
    page.keyboard().press("j");
    page.keyboard().press("j");
    page.keyboard().press("j");
    page.locator("[data-photos] button[data-photo='7'][aria-current=true]").waitFor();
    room.veil("Oat matte").waitFor();
    room.settle();
    assertThat(keys(5)).isEqualTo(keys(4)).isEqualTo(keys(6)).isEqualTo(keys(7)).hasSize(1);
  }

  @Test
  void aPhotoWearsWhatTheOneBeforeDoesAndWhatItHadIsLaidBy() {
    wear("Milk linen");
    photo(4).click();
    page.getByText("The photo wears nothing yet").waitFor();
    room.settle();
    wear("Chalk");
    room.dragHem("Chalk", 0.4);
    page.keyboard().press("h");
    waitFor("What it wore before is laid by.");
    assertThat(onTheRail()).containsExactly("Milk linen");
    page.locator(".said button:text-is('Undo')").click();
    waitFor("Taken back: wear it as on");
    assertThat(onTheRail()).containsExactly("Chalk");
    assertThat(worn().get(0).number("opacity")).isBetween(0.38, 0.42);
  }

  @Test
  void aLookIsCopiedToTickedPhotosAndTakenOffAllOfThemByOneUndo() {
    wear("Milk linen");
    page.locator("[data-onward-copy]").click();
    photo(3).click();
    assertThat(photo(3).getAttribute("aria-pressed")).as("the photo itself").isNotEqualTo("true");
    photo(0).click();
    photo(6).click();
    photo(7).click();
    photo(7).click();
    assertThat(page.locator("[data-ticking-wear]").innerText()).isEqualTo("Wear it on 2 photos");
    page.locator("[data-ticking-wear]").click();
    waitFor("2 photos wear “Milk linen”.");
    assertThat(shown()).isEqualTo("4");
    assertThat(keys(1)).isEqualTo(keys(7)).isEqualTo(keys(4)).hasSize(1);
    assertThat(keys(8)).isEmpty();
    page.keyboard().press("Control+z");
    waitFor("Taken back: let 2 photos wear it.");
    assertThat(keys(1)).isEmpty();
    assertThat(keys(7)).isEmpty();
    assertThat(keys(4)).hasSize(1);
  }

  @Test
  void aPinnedLookIsWornOnAnotherPhotoWithoutItsPaint() {
    wear("Face light");
    room.paint(0.45, 0.4, 0.55, 0.4);
    page.keyboard().press("k");
    page.locator("[data-pin-list] .pin").waitFor();
    photo(5).click();
    page.getByText("The photo wears nothing yet").waitFor();
    room.settle();
    page.locator("[data-pins-beside] summary").click();
    page.locator("[data-pin-list-beside] button").first().click();
    waitFor("The photo wears Pin A of");
    assertThat(onTheRail()).containsExactly("Face light");
    assertThat(strokes()).isZero();
    page.keyboard().press("Control+z");
    waitFor("Taken back: wear Pin A of another photo.");
    assertThat(worn()).isEmpty();
  }

  /** What the pin shows on this photo is what it wears then: paint of this photo goes on. */
  @Test
  void aPinOfAnotherPhotoIsSeenAndWornWithWhatIsBrushedHere() {
    wear("Face light");
    page.keyboard().press("k");
    page.locator("[data-pin-list] .pin").waitFor();
    photo(5).click();
    page.getByText("The photo wears nothing yet").waitFor();
    room.settle();
    wear("Face light");
    room.paint(0.45, 0.4, 0.55, 0.4);
    Object brushed = room.picture();
    wear("Milk linen");
    page.locator("[data-pins-beside] summary").click();
    page.locator("[data-pin-list-beside] button").first().hover();
    page.waitForFunction(
        "was => document.querySelector('.pane-finished [data-picture]').toDataURL() === was",
        brushed);
    page.locator("[data-pin-list-beside] button").first().click();
    waitFor("The photo wears Pin A of");
    assertThat(strokes()).isEqualTo(1);
    page.mouse().move(600, 300);
    room.settle();
    assertThat(room.picture()).isEqualTo(brushed);
  }

  @Test
  void whatIsSaidOfWhatItWoreIsTrue() {
    wear("Milk linen");
    photo(4).click();
    page.getByText("The photo wears nothing yet").waitFor();
    room.settle();
    wear("Chalk");
    page.keyboard().press("h");
    waitFor("As on “Studio, light skin”: “Milk linen”.");
    assertThat(page.locator(".said").innerText())
        .as("nothing was done to it, so nothing is kept of it")
        .doesNotContain("laid by");
  }

  @Test
  void twoLooksAreMixedBySliderSeenAndThenWorn() {
    wear("Milk linen");
    double milk = room.light(0.5, 0.3);
    page.keyboard().press("k");
    page.locator("[data-pin-list] .pin").waitFor();
    room.dragHem("Milk linen", 0);
    double none = room.light(0.5, 0.3);
    Locator share = page.locator("[data-mix] .slide");
    share.focus();
    for (int i = 0; i < 25; i++) {
      page.keyboard().press("ArrowLeft");
    }
    room.settle();
    double seen = room.light(0.5, 0.3);
    assertThat(seen)
        .isCloseTo(none + (milk - none) / 4, org.assertj.core.api.Assertions.within(1.0));
    assertThat(worn().get(0).number("opacity")).as("only looked at").isZero();
    page.locator("[data-mix] button").click();
    waitFor("The photo wears the mix.");
    page.mouse().move(600, 300);
    room.settle();
    double full = 0.25; // of Pin A, at which it went on at its start opacity
    assertThat(worn().get(0).number("opacity")).isGreaterThan(0).isLessThanOrEqualTo(full);
    assertThat(room.light(0.5, 0.3)).isEqualTo(seen);
  }

  @Test
  void withNothingWornAndOnTheFirstPhotoItIsSaid() {
    page.keyboard().press("j");
    waitFor("This photo wears nothing yet that another one could wear.");
    photo(0).click();
    room.settle();
    page.keyboard().press("h");
    waitFor("There is no photo before this one.");
    assertThat(page.locator("[data-onward-before]").isDisabled()).isTrue();
  }
}
