package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;

/** The bench driven with pointer and keys. */
class BenchIT extends BenchTrial {
  @Test
  void pressingInTheCurveAddsAPointAndDraggingItChangesThePicture() {
    bench.hang("curve");
    double before = bench.light(0.5, 0.5);
    BoundingBox curve = page.locator(".curve-editor svg").boundingBox();
    page.mouse().move(curve.x + curve.width * 0.5, curve.y + curve.height * 0.5);
    page.mouse().down();
    page.mouse().move(curve.x + curve.width * 0.5, curve.y + curve.height * 0.2);
    page.mouse().up();
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isGreaterThan(before + 15);
    List<?> points = veils().get(0).object("settings").list("all");
    assertThat(points).hasSize(3);
    assertThat(((Number) ((List<?>) points.get(1)).get(1)).doubleValue()).isBetween(0.75, 0.85);

    page.keyboard().press("Delete");
    bench.settle();
    assertThat(veils().get(0).object("settings").list("all")).hasSize(2);
    assertThat(bench.light(0.5, 0.5)).isEqualTo(before);
  }

  @Test
  void aCurveOfOneChannelMovesThatChannelOnly() {
    bench.hang("curve");
    List<Integer> before = bench.colour(0.3, 0.3);
    page.locator(".curve-editor .channels .is-blue").click();
    page.locator(".curve-editor .point").last().focus();
    for (int i = 0; i < 6; i++) {
      page.keyboard().press("PageDown");
    }
    bench.settle();
    List<Integer> after = bench.colour(0.3, 0.3);
    assertThat(after.subList(0, 2)).isEqualTo(before.subList(0, 2));
    assertThat(after.get(2)).isLessThan(before.get(2) - 10);
  }

  @Test
  void everyCellOfTheInkTableIsDraggedWheeledAndTyped() {
    bench.hang("ink");
    List<Integer> before = bench.colour(0.62, 0.4);
    BoundingBox cell = page.locator(".cell[data-key=poppyCyan]").boundingBox();
    page.mouse().move(cell.x + 20, cell.y + 12);
    page.mouse().down();
    page.mouse().move(cell.x + 20, cell.y - 40);
    page.mouse().move(cell.x + 20, cell.y - 68);
    page.mouse().up();
    bench.settle();
    double dragged = veils().get(0).object("settings").number("poppyCyan");
    assertThat(dragged).isBetween(35.0, 45.0);
    List<Integer> after = bench.colour(0.62, 0.4);
    assertThat(after.get(0)).as("cyan takes red away").isLessThan(before.get(0) - 3);
    assertThat(after.subList(1, 3)).isEqualTo(before.subList(1, 3));

    Locator yellow = page.locator(".cell[data-key=lightsYellow] input");
    yellow.fill("-12");
    yellow.press("Enter");
    yellow.press("PageUp");
    bench.settle();
    assertThat(veils().get(0).object("settings").number("lightsYellow")).isEqualTo(-2);
    page.locator(".cell[data-key=poppyCyan]").dblclick();
    bench.settle();
    assertThat(veils().get(0).object("settings").number("poppyCyan")).isZero();
  }

  @Test
  void aMaskByRuleFollowsThePhotoAndRulesAreJoined() {
    bench.hang("light");
    List<Integer> light = bench.colour(0.4, 0.75);
    List<Integer> dark = bench.colour(0.75, 0.8);
    bench.set("exposure", -2);
    page.locator("[data-cover=by-rule]").click();
    bench.settle();
    bench.setRule(0, "from", 60);
    bench.setRule(0, "featherBelow", 5);
    assertThat(bench.colour(0.75, 0.8)).as("darker than the range").isEqualTo(dark);
    assertThat(bench.colour(0.4, 0.75).get(1)).isLessThan(light.get(1) - 40);

    page.locator(".rule-adder button", new Page.LocatorOptions().setHasText("By shape")).click();
    bench.settle();
    page.locator(".rule-box [aria-label='Joined by']").selectOption("minus");
    bench.settle();
    bench.setRule(1, "size", 100);
    assertThat(bench.colour(0.4, 0.75)).as("guarded by the shape").isEqualTo(light);
    page.locator(".rule-box").nth(1).getByText("Drop").click();
    bench.settle();
    assertThat(bench.colour(0.4, 0.75).get(1)).isLessThan(light.get(1) - 40);
    Fields mask = veils().get(0).object("mask");
    assertThat(mask.objects("rules", r -> r.text("kind"))).containsExactly("brightness");
    assertThat(page.locator(".veil .what").innerText()).contains("by rule");
  }

  @Test
  void theNumbersOfEveryKindStandBesideTheirSliders() {
    for (String kind : KINDS) {
      bench.hang(kind);
      Object astray =
          page.evaluate(
              """
              () => [...document.querySelectorAll(".open .setting:has([type=range])")].filter(s => {
                const range = s.querySelector("[type=range]").getBoundingClientRect();
                const number = s.querySelector("[type=number]").getBoundingClientRect();
                return number.left < range.right || Math.abs(number.top - range.top) > 8;
              }).map(s => s.dataset.key)""");
      assertThat((List<?>) astray).as(kind).isEmpty();
      Object cut =
          page.evaluate(
              """
              () => {
                const box = document.querySelector(".open .settings");
                return box.scrollWidth - box.clientWidth;
              }""");
      assertThat((Integer) cut).as("%s cut off at the side", kind).isLessThanOrEqualTo(0);
    }
  }

  @Test
  void slidersMoveByDragWheelAndKeysAndGoBackByDoubleClick() {
    bench.hang("light");
    Locator exposure = page.locator(".setting[data-key=exposure] input[type=range]");
    BoundingBox at = exposure.boundingBox();
    page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
    page.mouse().down();
    page.mouse().move(at.x + at.width * 0.75, at.y + at.height / 2);
    page.mouse().up();
    bench.settle();
    double dragged = veils().get(0).object("settings").number("exposure");
    assertThat(dragged).isBetween(1.5, 3.5);

    exposure.focus();
    page.keyboard().press("ArrowLeft");
    bench.settle();
    double pressed = veils().get(0).object("settings").number("exposure");
    assertThat(pressed).isBetween(dragged - 0.34, dragged - 0.32); // a third of a stop
    page.keyboard().press("Shift+ArrowLeft");
    bench.settle();
    double fine = veils().get(0).object("settings").number("exposure");
    assertThat(fine).isBetween(pressed - 0.02, pressed - 0.01);

    page.mouse().wheel(0, -100);
    page.waitForFunction(
        "([a, b]) => fetch(a).then(r => r.json()).then(s => s.effect.veils[0].settings.exposure > b)",
        List.of("/api/effects/" + effect + "?photo=1", fine));
    exposure.dblclick();
    bench.settle();
    assertThat(veils().get(0).object("settings").number("exposure")).isZero();
  }

  @Test
  void undoAndRedoReachBackBeyondAReload() {
    bench.hang("light");
    bench.set("exposure", 1);
    double bright = bench.light(0.5, 0.5);
    page.reload();
    bench.settle();
    page.keyboard().press("Control+z");
    bench.settle();
    double plain = bench.light(0.5, 0.5);
    assertThat(plain).isLessThan(bright - 10);
    page.keyboard().press("Control+Shift+z");
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isEqualTo(bright);
    assertThat(veils().get(0).object("settings").number("exposure")).isEqualTo(1);
  }

  @Test
  void holdingPShowsThePlainPhotoAndLettingGoTheFinishedOne() {
    double plain = bench.light(0.5, 0.5);
    bench.hang("light");
    bench.set("exposure", 1);
    double finished = bench.light(0.5, 0.5);
    page.locator(".pane-finished").focus();
    page.keyboard().down("p");
    assertThat(bench.light(0.5, 0.5)).isEqualTo(plain);
    assertThat(page.locator("[data-tag]").innerText()).isEqualTo("Plain photo");
    page.keyboard().up("p");
    assertThat(bench.light(0.5, 0.5)).isEqualTo(finished);
  }

  @Test
  void sideBySideShowsBothAtTheSamePlace() {
    bench.hang("tint");
    bench.set("monochrome", 100);
    page.keyboard().press("Escape");
    page.keyboard().press("c");
    page.locator(".pane-plain").waitFor();
    bench.settle();
    page.waitForFunction(
        """
        () => {
          const of = (name) => {
            const c = document.querySelector(name + " [data-picture]");
            return c.getContext("2d").getImageData(c.width * 0.62, c.height / 2, 1, 1).data;
          };
          const [p, f] = [of(".pane-plain"), of(".pane-finished")];
          return p[0] > p[2] + 10 && f[0] === f[2] && p[3] === 255;
        }""");
  }

  @Test
  void liftingByKeySwitchesAVeilOffAndSaysSo() {
    double plain = bench.light(0.5, 0.5);
    bench.hang("light");
    bench.set("exposure", 1);
    page.locator(".pane-finished").focus();
    page.keyboard().press("v");
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isEqualTo(plain);
    assertThat(veils().get(0).flag("lifted", false)).isTrue();
    assertThat(page.locator(".veil .what").innerText()).contains("lifted");
    assertThat(page.locator("[data-rail-count]").innerText()).contains("1 lifted");
  }

  @Test
  void aClothDraggedAlongTheRailChangesTheOrder() {
    bench.hang("light");
    bench.hang("tint");
    page.keyboard().press("Escape");
    page.locator(".pane-finished").focus();
    page.keyboard().press("Escape");
    bench.settle();
    BoundingBox tint = bench.veil("Tint").boundingBox();
    BoundingBox light = bench.veil("Light").boundingBox();
    page.mouse().move(tint.x + 30, tint.y + 60);
    page.mouse().down();
    page.mouse().move(light.x + 40, tint.y + 60);
    page.mouse().move(light.x + 5, tint.y + 60);
    page.mouse().up();
    bench.settle();
    assertThat(veils().stream().map(v -> v.text("kind"))).containsExactly("tint", "light");

    bench.veil("Tint").locator(".pick").focus();
    page.keyboard().press("Shift+ArrowRight");
    bench.settle();
    assertThat(veils().stream().map(v -> v.text("kind"))).containsExactly("light", "tint");
  }

  @Test
  void theHemAnswersTheArrowKeys() {
    bench.hang("light");
    Locator hem = page.locator(".veil .hem");
    hem.focus();
    page.keyboard().press("PageUp");
    page.keyboard().press("ArrowUp");
    bench.settle();
    assertThat(veils().get(0).number("opacity")).isEqualTo(0.89);
    assertThat(hem.getAttribute("aria-valuetext")).isEqualTo("89 %");
  }

  @Test
  void hidingBrushesAwayWhatWasRevealed() {
    bench.hang("tint");
    bench.set("monochrome", 100);
    page.locator("[data-cover=brush-on]").click();
    bench.settle();
    List<Integer> plain = bench.colour(0.6, 0.4);
    bench.paint(0.55, 0.4, 0.65, 0.4);
    assertThat(bench.colour(0.6, 0.4)).isNotEqualTo(plain);
    page.keyboard().press("r");
    for (int i = 0; i < 4; i++) {
      bench.paint(0.55, 0.4, 0.65, 0.4);
    }
    List<Integer> hidden = bench.colour(0.6, 0.4);
    for (int c = 0; c < 3; c++) {
      assertThat(Math.abs(hidden.get(c) - plain.get(c))).isLessThanOrEqualTo(3);
    }
    assertThat(stored().object("painted").whole(veils().get(0).text("id"))).isEqualTo(5);
    page.locator("[data-side=mask]").click();
    page.locator("[data-paint=clear]").click();
    bench.settle();
    assertThat(bench.colour(0.6, 0.4)).isEqualTo(plain);
  }

  @Test
  void paintBelongsToItsPhotoAndComesBackWithIt() {
    bench.hang("light");
    bench.set("exposure", 2);
    page.locator("[data-cover=brush-on]").click();
    bench.settle();
    double plain = bench.light(0.5, 0.5);
    bench.paint(0.45, 0.5, 0.55, 0.5);
    double painted = bench.light(0.5, 0.5);
    assertThat(painted).isGreaterThan(plain + 10);
    page.locator(".strip [data-photo]").nth(3).click();
    bench.settle();
    assertThat(page.locator("[data-paint=clear]").isDisabled()).isTrue();
    page.locator(".strip [data-photo]").nth(0).click();
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isEqualTo(painted);
  }

  @Test
  void brushSizeAndSoftnessAnswerTheirKeys() {
    bench.hang("light");
    page.locator("[data-cover=brush-on]").click();
    bench.settle();
    page.locator(".pane-finished").hover();
    double before = page.locator(".ring").boundingBox().width;
    page.keyboard().press("f");
    page.keyboard().press("f");
    assertThat(page.locator(".ring").boundingBox().width).isGreaterThan(before * 1.25);
    Locator softness = page.locator("[data-brush] .setting[data-key=softness] input[type=number]");
    double soft = Double.parseDouble(softness.inputValue());
    page.keyboard().press("g");
    assertThat(Double.parseDouble(softness.inputValue())).isEqualTo(soft - 5);
  }

  @Test
  void oneToOneShowsPhotoPixelsAndKeepsThePlaceOnTheNextPhoto() {
    bench.hang("light");
    page.keyboard().press("Escape");
    page.locator(".pane-finished").hover();
    page.keyboard().press("z");
    bench.settle();
    assertThat(page.locator("[data-look=full]").getAttribute("aria-pressed")).isEqualTo("true");
    page.keyboard().press("n");
    bench.settle();
    assertThat(page.locator("[data-look=full]").getAttribute("aria-pressed")).isEqualTo("true");
    page.keyboard().press("z");
    bench.settle();
    assertThat(page.locator("[data-look=fit]").getAttribute("aria-pressed")).isEqualTo("true");
  }

  @Test
  void theSecondWindowToSaveGetsASentenceAndNothingIsOverwritten() {
    bench.hang("light");
    try (var second = app.page()) {
      Workplace other = new Workplace(second.page());
      second.page().navigate("/bench/" + effect);
      other.settle();
      bench.set("exposure", 1);
      second.page().keyboard().press("1");
      Locator number = second.page().locator(".setting[data-key=contrast] input[type=number]");
      number.fill("50");
      number.press("Enter");
      second.page().locator(".said.is-fault").waitFor();
      assertThat(second.page().locator(".said").innerText())
          .contains("changed in another window", "your last change is not in it");
      assertThat(veils().get(0).object("settings").number("exposure")).isEqualTo(1);
      assertThat(veils().get(0).object("settings").number("contrast")).isZero();
      assertThat(second.faults()).allMatch(f -> f.contains("409"));
    }
  }

  @Test
  void theNoteIsSavedAndAQuestionMarkListsTheKeys() {
    page.locator("[data-note]").fill("Brush the cheeks.");
    page.locator("[data-note]").press("Tab");
    bench.settle();
    assertThat(stored().object("effect").text("note")).isEqualTo("Brush the cheeks.");
    page.locator(".pane-finished").focus();
    page.keyboard().press("?");
    assertThat(page.locator("dialog[open] [data-keys]").innerText())
        .contains("hold for the plain photo", "reveal or hide");
  }

  @Test
  void thirtyFiveVeilsHangBesideEachOtherWithinTheScreen() {
    bench.hang("light");
    StringBuilder veils = new StringBuilder();
    for (int i = 0; i < 35; i++) {
      veils
          .append(i == 0 ? "" : ",")
          .append("{\"id\":\"v%d\",\"name\":\"Veil %d\",\"kind\":\"light\",".formatted(i, i))
          .append("\"blend\":\"normal\",\"opacity\":0.5,\"mask\":{\"cover\":\"everywhere\"},")
          .append("\"settings\":{}}");
    }
    String body =
        "{\"rev\": %d, \"label\": \"many\", \"effect\": {\"edition\": 1, \"veils\": [%s]}}"
            .formatted(stored().whole("rev"), veils);
    assertThat(http.json("PUT", "/api/effects/" + effect, body).statusCode()).isEqualTo(200);
    page.reload();
    bench.settle();
    assertThat(page.locator(".veil").count()).isEqualTo(35);
    BoundingBox last = page.locator(".veil").last().boundingBox();
    assertThat(last.x + last.width).isLessThan(1280);
    assertThat(last.width).isGreaterThanOrEqualTo(20);
    assertThat(page.locator(".hang").isVisible()).isFalse();
  }
}
