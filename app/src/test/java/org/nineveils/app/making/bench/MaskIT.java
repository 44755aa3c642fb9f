package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Fields;

/** Masks at the bench: picked colours, guards, edges, and taking over another veil's mask. */
class MaskIT extends BenchTrial {
  private Locator adder(String name) {
    return page.locator(".rule-adder button", new Page.LocatorOptions().setHasText(name));
  }

  private void openMask() {
    page.locator("[data-side=mask]").click();
  }

  private void darken() {
    bench.hang("light");
    bench.set("exposure", -2);
  }

  private void darkenByRule() {
    darken();
    page.locator("[data-cover=by-rule]").click();
    bench.settle();
  }

  @Test
  void aColourPickedOnThePhotoIsWhatTheVeilCovers() {
    List<Integer> plain = bench.colour(0.4, 0.75);
    List<Integer> other = bench.colour(0.75, 0.8);
    darkenByRule();
    adder("By picked colours").click();
    bench.settle();
    assertThat(bench.colour(0.4, 0.75)).as("no colour, nothing covered").isEqualTo(plain);
    page.getByText("Pick on the photo").click();
    BoundingBox pane = page.locator(".pane-finished").boundingBox();
    page.mouse().click(pane.x + 0.4 * pane.width, pane.y + 0.75 * pane.height);
    page.locator(".swatch").waitFor();
    bench.setRule(1, "tolerance", 6);
    bench.setRule(1, "feather", 3);
    assertThat(bench.colour(0.4, 0.75).get(1)).isLessThan(plain.get(1) - 40);
    assertThat(bench.colour(0.75, 0.8)).isEqualTo(other);
    Fields rule = veils().get(0).object("mask").objects("rules", r -> r).get(1);
    assertThat(rule.object("settings").list("colours")).hasSize(1);
    assertThat(stored().object("painted").raw()).as("picking does not paint").isEmpty();

    page.locator(".swatch").click();
    bench.settle();
    assertThat(bench.colour(0.4, 0.75)).isEqualTo(plain);
  }

  /** With the longest name and a joiner before it, the buttons of a rule stay in its box. */
  @Test
  void noRuleReachesIntoTheOneBesideIt() {
    darkenByRule();
    adder("By picked colours").click();
    bench.settle();
    Object beyond =
        page.evaluate(
            """
            () => [...document.querySelectorAll(".rule-box")].filter(box =>
              [...box.querySelectorAll("header > *")].some(made =>
                made.getBoundingClientRect().right > box.getBoundingClientRect().right + 1)).length""");
    assertThat(beyond).isEqualTo(0);
  }

  @Test
  void aGuardTakesSkinOutOfWhatTheRulesSelect() {
    darkenByRule();
    bench.setRule(0, "from", 0);
    List<Integer> dark = bench.colour(0.62, 0.4);
    adder("Skin").last().click();
    bench.settle();
    assertThat(bench.colour(0.62, 0.4).get(0)).isGreaterThan(dark.get(0) + 30);
    bench.setRule(1, "amount", 0);
    assertThat(bench.colour(0.62, 0.4)).isEqualTo(dark);
  }

  @Test
  void aVeilThatCoversEverythingIsBrushedOff() {
    darken();
    double dark = bench.light(0.5, 0.5);
    double elsewhere = bench.light(0.2, 0.2);
    openMask();
    page.locator("[data-paint=off]").click();
    bench.settle();
    bench.paint(0.5, 0.4, 0.5, 0.6);
    assertThat(bench.light(0.5, 0.5)).isGreaterThan(dark + 20);
    assertThat(bench.light(0.2, 0.2)).isEqualTo(elsewhere);
    assertThat(veils().get(0).object("mask").text("cover")).isEqualTo("everywhere");
    page.locator("[data-paint=clear]").click();
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isEqualTo(dark);
  }

  @Test
  void allButTheMiddleIsOneAct() {
    darken();
    double middle = bench.light(0.5, 0.5);
    double corner = bench.light(0.03, 0.04);
    openMask();
    page.locator("[data-paint=middle]").click();
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isGreaterThan(middle + 20);
    assertThat(bench.light(0.03, 0.04)).isEqualTo(corner);
    page.keyboard().press("Control+z");
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isEqualTo(middle);
  }

  @Test
  void aVeilThatCoversEverythingIsKeptOffSkinByOnePress() {
    darken();
    double skin = bench.light(0.62, 0.4);
    double blanket = bench.light(0.1, 0.1);
    openMask();
    adder("Skin").last().click();
    bench.settle();
    assertThat(bench.light(0.62, 0.4)).isGreaterThan(skin + 20);
    assertThat(bench.light(0.1, 0.1))
        .isCloseTo(blanket, org.assertj.core.api.Assertions.within(4.0));
  }

  private List<?> overlay(double x, double y) {
    return (List<?>)
        page.evaluate(
            """
            ([x, y]) => {
              const c = document.querySelector("[data-weave]");
              return [...c.getContext("2d").getImageData(x * c.width, y * c.height, 1, 1).data];
            }""",
            List.of(x, y));
  }

  @Test
  void aMaskIsShownAsHatchingAsGreyOrAsACutOut() {
    bench.hang("light");
    page.locator("[data-cover=brush-on]").click();
    bench.settle();
    page.locator("[data-brush-sliders] [data-key=flow] input[type=number]").fill("100");
    page.keyboard().press("Enter");
    bench.paint(0.5, 0.4, 0.5, 0.6);
    page.locator("[data-look=mask]").click();
    bench.settle();
    assertThat(overlay(0.25, 0.5)).as("hatching leaves the rest").isEqualTo(List.of(0, 0, 0, 0));
    page.keyboard().press("l");
    assertThat(overlay(0.5, 0.5)).isEqualTo(List.of(255, 255, 255, 255));
    assertThat(overlay(0.25, 0.5)).isEqualTo(List.of(0, 0, 0, 255));
    page.keyboard().press("l");
    assertThat(overlay(0.5, 0.5)).isEqualTo(List.of(0, 0, 0, 0));
    assertThat(overlay(0.25, 0.5))
        .as("the grey of the stage")
        .isEqualTo(List.of(164, 164, 164, 255));
  }

  @Test
  void growingAndSofteningMoveTheEdgeOfWhatWasBrushed() {
    darken();
    page.locator("[data-cover=brush-on]").click();
    bench.settle();
    page.locator("[data-brush-sliders] [data-key=softness] input[type=number]").fill("0");
    page.keyboard().press("Enter");
    bench.paint(0.5, 0.3, 0.5, 0.7);
    double outside = bench.light(0.54, 0.5);
    double inside = bench.light(0.5, 0.5);
    openMask();
    bench.set("grow", 30);
    double grown = bench.light(0.54, 0.5);
    assertThat(grown).isLessThan(outside - 20);
    bench.set("grow", 0);
    bench.set("soften", 40);
    assertThat(bench.light(0.5, 0.5)).isGreaterThan(inside + 5);
    assertThat(veils().get(0).object("mask").number("soften")).isEqualTo(40);
  }

  @Test
  void aVeilTakesOverTheMaskAndThePaintOfAnotherAndUndoGivesItsOwnBack() {
    darken();
    page.locator("[data-cover=brush-on]").click();
    bench.settle();
    bench.paint(0.5, 0.4, 0.5, 0.6);
    double once = bench.light(0.5, 0.5);
    double beside = bench.light(0.75, 0.2);
    page.keyboard().press("Escape");
    darken();
    double everywhere = bench.light(0.75, 0.2);
    assertThat(everywhere).isLessThan(beside - 20);
    openMask();
    page.locator("[data-copy-mask]")
        .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("Light"));
    page.waitForCondition(() -> veils().get(1).object("mask").text("cover").equals("brush-on"));
    bench.settle();
    assertThat(bench.light(0.75, 0.2)).isEqualTo(beside);
    assertThat(bench.light(0.5, 0.5)).isLessThan(once);
    assertThat(stored().object("painted").raw()).hasSize(2);

    page.keyboard().press("Control+z");
    bench.settle();
    assertThat(bench.light(0.75, 0.2)).isEqualTo(everywhere);
    assertThat(stored().object("painted").raw()).hasSize(1);
  }

  @Test
  void startingFromALightSourceSetsTheWhiteBalance() {
    bench.hang("light");
    List<Integer> before = bench.colour(0.4, 0.75);
    page.locator(".starting-points").selectOption("Tungsten");
    bench.settle();
    assertThat(veils().get(0).object("settings").number("temperature")).isEqualTo(-165);
    List<Integer> after = bench.colour(0.4, 0.75);
    assertThat(after.get(2) - after.get(0)).isGreaterThan(before.get(2) - before.get(0) + 40);
  }

  /** A stroke sends only what it touched: the picture put together must be the whole one. */
  @Test
  void aPicturePatchedByStrokesIsTheOneThatIsLoadedAfresh() {
    bench.hang("soft");
    bench.set("blur", 12);
    page.locator("[data-cover=brush-on]").click();
    bench.settle();
    page.keyboard().press("Escape");
    bench.hang("crisp");
    bench.set("medium", 60);
    bench.pick("Soft");
    bench.paint(0.4, 0.3, 0.6, 0.5);
    bench.paint(0.6, 0.3, 0.45, 0.7);
    Object patched = pixels();
    page.reload();
    bench.settle();
    assertThat(pixels()).isEqualTo(patched);
  }

  private Object pixels() {
    return page.evaluate(
        """
        () => {
          const c = document.querySelector(".pane-finished [data-picture]");
          const d = c.getContext("2d").getImageData(0, 0, c.width, c.height).data;
          let hash = 0;
          for (const v of d) hash = (hash * 31 + v) | 0;
          return [c.width, c.height, hash];
        }""");
  }

  @Test
  void aBrushedVeilIsKeptOffWhatItsRulesDoNotSelect() {
    List<Integer> plain = bench.colour(0.5, 0.4);
    darken();
    page.locator("[data-cover=brush-on]").click();
    openMask();
    adder("Shadows").click();
    bench.settle();
    assertThat(veils().get(0).object("mask").text("cover")).isEqualTo("brush-on");
    bench.setRule(0, "to", 100); // all of the photo is kept off
    bench.paint(0.45, 0.4, 0.55, 0.4);
    assertThat(bench.colour(0.5, 0.4)).isEqualTo(plain);
    page.locator(".rule-box button:text-is(\"Drop\")").click();
    bench.settle();
    assertThat(bench.colour(0.5, 0.4).get(1)).isLessThan(plain.get(1));
  }

  @Test
  void aVeilCoversAsAnotherAndKeepsThatMaskWhenTheOtherIsDropped() {
    List<Integer> plain = bench.colour(0.5, 0.4);
    darken();
    page.locator("[data-cover=brush-on]").click();
    bench.hang("tint");
    bench.set("monochrome", 100);
    page.locator("[data-cover=as-veil]").click();
    bench.settle();
    assertThat(bench.colour(0.5, 0.4)).isEqualTo(plain);
    bench.paint(0.45, 0.4, 0.55, 0.4); // while the follower is open
    List<Integer> both = bench.colour(0.5, 0.4);
    assertThat(Math.abs(both.get(0) - both.get(2)))
        .as("greyer")
        .isLessThan(Math.abs(plain.get(0) - plain.get(2)) * 2 / 3);
    assertThat(both.get(1)).as("and dark").isLessThan(plain.get(1) - 20);
    String other = veils().get(0).text("id");
    assertThat(stored().object("painted").names()).containsExactly(other);
    assertThat(veils().get(1).object("mask").text("veil")).isEqualTo(other);
    bench.pick("Light");
    page.locator(".open").getByText("Drop").click();
    bench.settle();
    assertThat(veils().get(0).object("mask").text("cover")).isEqualTo("brush-on");
  }
}
