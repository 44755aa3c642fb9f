package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Clipped;

/** How much of the window the photo has, and what stands around it. */
class RoomIT extends BenchTrial {
  private static final double WINDOW = 1280 * 800;

  /** The shown photo's share of a window of 1280 × 800, by the stage and the shape of the photo. */
  private double share(double wide, double high) {
    BoundingBox pane = page.locator(".pane-finished").boundingBox();
    double room = 20; // the stage leaves 10 pixels around a photo
    double scale = Math.min((pane.width - room) / wide, (pane.height - room) / high);
    return wide * scale * high * scale / WINDOW;
  }

  @Test
  void thePhotoIsTheLargestThingOnTheBench() {
    bench.hang("curve");
    assertThat(share(2, 3)).as("portrait").isGreaterThanOrEqualTo(0.22);
    assertThat(share(3, 2)).as("landscape").isGreaterThanOrEqualTo(0.40);
    assertThat(page.locator(".rail").boundingBox().height).isLessThanOrEqualTo(150);
    page.locator(".pane-finished").hover();
    page.keyboard().press("e");
    assertThat(share(3, 2)).as("whole window").isGreaterThanOrEqualTo(0.60);
    assertThat(page.locator(".beside").isVisible()).isFalse();
  }

  @Test
  void inTheWholeWindowTheRailComesUpWhereTheLowerEdgeIsTouched() {
    bench.hang("light");
    page.locator("[data-whole]").click();
    page.mouse().move(640, 300);
    page.waitForFunction("() => document.querySelector('.rail').getBoundingClientRect().top > 780");
    page.mouse().move(640, 798);
    page.waitForFunction(
        "() => document.querySelector('.rail').getBoundingClientRect().bottom < 801");
    page.keyboard().press("Escape");
    assertThat(page.locator(".beside").isVisible()).isTrue();
    assertThat(page.locator(".veil.is-open").count()).as("the veil stays open").isEqualTo(1);
  }

  @Test
  void anEdgeIsDraggedOrMovedByKeysAndRemembered() {
    Locator edge = page.locator("[data-edge=column]");
    double before = page.locator(".beside").boundingBox().width;
    BoundingBox at = edge.boundingBox();
    page.mouse().move(at.x + 3, 300);
    page.mouse().down();
    page.mouse().move(at.x - 57, 300);
    page.mouse().up();
    double dragged = page.locator(".beside").boundingBox().width;
    assertThat(dragged).isBetween(before + 55, before + 65);
    page.locator("[data-edge=rail]").focus();
    page.keyboard().press("ArrowUp");
    page.reload();
    bench.settle();
    assertThat(page.locator(".beside").boundingBox().width).isEqualTo(dragged);
    assertThat(page.locator(".rail").boundingBox().height).isEqualTo(162);
    edge.dblclick();
    assertThat(page.locator(".beside").boundingBox().width).isEqualTo(before);
  }

  @Test
  void readingsAreOnePressAway() {
    bench.hang("curve");
    assertThat(page.locator(".open").isVisible()).isTrue();
    page.locator("[data-shows=readings]").click();
    assertThat(page.locator("[data-histogram]").isVisible()).isTrue();
    page.locator(".pane-finished").hover();
    page.keyboard().press("i");
    assertThat(page.locator(".open").isVisible()).isTrue();
  }

  @Test
  void everySliderHasRoomForAHandAndANameOfItsOwn() {
    for (String kind : KINDS) {
      bench.hang(kind);
      Object short_ =
          page.evaluate(
              """
              () => [...document.querySelectorAll(".open .slide")]
                .filter((s) => s.offsetParent && s.clientWidth < 140)
                .map((s) => s.getAttribute("aria-label"))""");
      assertThat((List<?>) short_).as(kind).isEmpty();
      Object names =
          page.evaluate(
              "() => [...document.querySelectorAll('.open .settings:not([hidden]) .slide')]"
                  + ".map((s) => s.getAttribute('aria-label'))");
      assertThat((List<?>) names).as(kind).doesNotHaveDuplicates();
    }
    BoundingBox curve = curveBox();
    assertThat(curve.width).isGreaterThanOrEqualTo(320);
    assertThat(curve.height).isGreaterThanOrEqualTo(280);
  }

  private BoundingBox curveBox() {
    bench.hang("curve");
    return page.locator(".curve-editor svg").boundingBox();
  }

  @Test
  void pointsOfACurveAreAddedByKeysAndTyped() {
    bench.hang("curve");
    page.locator(".curve-editor .point").first().focus();
    page.keyboard().press("Insert");
    bench.settle();
    assertThat(page.locator(".curve-editor .point").count()).isEqualTo(3);
    Locator out = page.locator("[aria-label='Chosen point: out']");
    out.fill("200");
    out.press("Enter");
    bench.settle();
    Object master = veils().get(0).object("settings").list("all");
    assertThat(master.toString()).contains("0.784"); // 200 of 255
    page.keyboard().press("i"); // the keys are the page's again
    assertThat(page.locator("[data-histogram]").isVisible()).isTrue();
  }

  /** A name was struck through by its figure at 22 %. */
  @Test
  void namesAndFiguresOfAShortClothDoNotOverlap() {
    bench.hang("tint");
    for (double share : new double[] {0.05, 0.22, 0.5, 0.8, 1}) {
      bench.dragHem("Tint", share);
      Object apart =
          page.evaluate(
              """
              () => {
                const box = (s) => document.querySelector(s).getBoundingClientRect();
                const figure = box(".veil .share");
                return ["name", "what"].every((part) => {
                  const words = box(`.veil .pick .${part}`);
                  return words.bottom <= figure.top + 2 || words.right <= figure.left;
                });
              }""");
      assertThat(apart).as("at %s", share).isEqualTo(true);
    }
  }

  @Test
  void aPressOnAHemThatIsNotDraggedOpensItsVeil() {
    bench.hang("tint");
    page.keyboard().press("Escape");
    page.locator(".veil .hem").click();
    page.locator(".veil.is-open").waitFor();
    bench.settle();
    assertThat(veils().get(0).number("opacity")).isEqualTo(1);
  }

  @Test
  void nothingIsCutOffAtAnyUsualSize() {
    for (String kind : KINDS) {
      bench.hang(kind);
      for (int[] size : Clipped.SIZES) {
        page.setViewportSize(size[0], size[1]);
        bench.settle();
        assertThat(Clipped.on(page)).as("%s, %d wide", kind, size[0]).isEmpty();
      }
    }
    page.setViewportSize(1280, 800);
  }
}
