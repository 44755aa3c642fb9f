package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A kit worn by a photo. */
class FittingIT extends FittingTrial {
  @Override
  int kit() {
    return 1;
  }

  @Override
  int photo() {
    return 4;
  }

  @Test
  void pointingAtAnEffectShowsItAndLeavingTakesItAwayAgain() {
    List<Integer> plain = room.colour(0.5, 0.4);
    piece("Chalk").hover();
    page.waitForFunction(
        """
        () => {
          const c = document.querySelector(".pane-finished [data-picture]");
          const d = c.getContext("2d").getImageData(c.width * 0.5, c.height * 0.4, 1, 1).data;
          return d[0] === d[2];
        }""");
    page.mouse().move(600, 300);
    room.settle();
    assertThat(room.colour(0.5, 0.4)).isEqualTo(plain);
    assertThat(worn()).isEmpty();
  }

  @Test
  void anotherEffectOfASectionTakesTheFirstOnesPlaceAndUndoBringsItBack() {
    wear("Milk linen");
    wear("Oat matte");
    assertThat(onTheRail()).containsExactly("Oat matte");
    assertThat(page.locator(".said").innerText())
        .contains("“Oat matte” took the place of “Milk linen”", "one at a time");
    page.locator(".said button").click();
    room.veil("Milk linen").waitFor();
    room.settle();
    assertThat(onTheRail()).containsExactly("Milk linen");
  }

  @Test
  void orderComesFromTheSections() {
    wear("Quiet corners");
    wear("Milk linen");
    wear("Third of a stop");
    assertThat(onTheRail()).containsExactly("Third of a stop", "Milk linen", "Quiet corners");
    assertThat(worn()).hasSize(3);
  }

  @Test
  void theHemOfABundleEasesAllOfItsVeilsTogether() {
    double plain = room.light(0.5, 0.35);
    wear("Open the shade");
    double full = room.light(0.5, 0.35);
    assertThat(full).isGreaterThan(plain + 4);
    room.dragHem("Open the shade", 0.5);
    assertThat(room.light(0.5, 0.35))
        .isCloseTo((plain + full) / 2, org.assertj.core.api.Assertions.within(1.5));
    assertThat(worn().get(0).number("opacity")).isEqualTo(0.5);
  }

  @Test
  void aBrushOnEffectArmsTheBrushAndPaintIsKept() {
    wear("Face light");
    assertThat(page.locator("[data-brush]").isVisible()).isTrue();
    assertThat(page.locator("[data-brush-hint]").innerText())
        .contains("is hidden: brush it on the skin");
    double plain = room.light(0.5, 0.4);
    room.paint(0.45, 0.4, 0.55, 0.4);
    double painted = room.light(0.5, 0.4);
    assertThat(painted).isGreaterThan(plain);
    page.reload();
    room.settle();
    assertThat(room.light(0.5, 0.4)).isEqualTo(painted);
    page.locator("[data-paint-all] button:text-is(\"Clear\")").click();
    room.settle();
    assertThat(room.light(0.5, 0.4)).isEqualTo(plain);
  }

  @Test
  void aVeilOfAWornEffectIsLiftedOnTheCard() {
    wear("Warm plate");
    List<Integer> brown = room.colour(0.5, 0.4);
    assertThat(brown.get(0)).isGreaterThan(brown.get(2));
    page.locator(".veil-line", new Page.LocatorOptions().setHasText("Plate brown"))
        .getByText("Lift")
        .click();
    room.settle();
    List<Integer> grey = room.colour(0.5, 0.4);
    assertThat(Math.abs(grey.get(0) - grey.get(2))).isLessThanOrEqualTo(1);
  }

  @Test
  void theNoteStaysWithTheEffect() {
    wear("Chalk");
    assertThat(page.locator("[data-card-note]").innerText()).contains("Good on blotches");
    page.reload();
    room.settle();
    assertThat(page.locator("[data-card-note]").innerText()).contains("Good on blotches");
  }

  @Test
  void takingOffLeavesThePlainPhoto() {
    List<Integer> plain = room.colour(0.5, 0.4);
    wear("Dove");
    assertThat(room.colour(0.5, 0.4)).isNotEqualTo(plain);
    page.locator("[data-take-off]").click();
    page.getByText("The photo wears nothing yet").waitFor();
    room.settle();
    assertThat(room.colour(0.5, 0.4)).isEqualTo(plain);
  }
}
