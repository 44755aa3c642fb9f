package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;

/** Hues pulled round a wheel, greys beside it, tones on the strip of the histogram. */
class WheelIT extends BenchTrial {
  private double value(String key) {
    return veils().get(0).object("settings").number(key);
  }

  private Locator patch(String key) {
    return page.locator("[data-patch=" + key + "]");
  }

  /** Pulls by some pixels, from the middle of what is seen of a thing. */
  private void pull(Locator thing, double dx, double dy) {
    thing.scrollIntoViewIfNeeded();
    BoundingBox box = thing.boundingBox();
    double x = box.x + box.width / 2;
    double y = box.y + box.height / 2;
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + dx / 2, y + dy / 2);
    page.mouse().move(x + dx, y + dy);
    page.mouse().up();
    bench.settle();
  }

  @Test
  void aPatchOfTheWheelIsPulledOutForMoreAndInForLess() {
    bench.hang("colour");
    page.locator(".wheel-head")
        .getByText("Saturation", new Locator.GetByTextOptions().setExact(true))
        .click();
    Object before = bench.picture();
    // Amber stands at 60 degrees of the Oklab wheel: outwards is to the right and up.
    pull(patch("amberSaturation"), 12, -21);
    double more = value("amberSaturation");
    assertThat(more).isBetween(40.0, 100.0);
    assertThat(bench.picture()).isNotEqualTo(before);
    assertThat(page.locator(".cell[data-key=amberSaturation] input").inputValue())
        .isEqualTo(String.valueOf((int) more));
    pull(patch("skySaturation"), 20, -20); // sky stands at 240 degrees: this is inwards
    assertThat(value("skySaturation")).isNegative();
    patch("amberSaturation").focus();
    page.keyboard().press("ArrowUp");
    page.keyboard().press("PageDown");
    bench.settle();
    assertThat(value("amberSaturation")).isEqualTo(more - 9);
    assertThat(patch("amberSaturation").getAttribute("aria-valuenow"))
        .isEqualTo(String.valueOf((int) more - 9));
    assertThat(page.locator(".wheel-head output").innerText()).startsWith("Amber ");
    patch("amberSaturation").dblclick();
    bench.settle();
    assertThat(value("amberSaturation")).isZero();
  }

  @Test
  void greysStandBesideTheWheelOfInksAndShiftPullsFinely() {
    bench.hang("ink");
    page.locator(".wheel-head").getByText("Yellow").click();
    pull(patch("lightsYellow"), 0, -30);
    double coarse = value("lightsYellow");
    assertThat(coarse).isGreaterThan(20);
    page.keyboard().down("Shift");
    pull(patch("darksYellow"), 0, -30);
    page.keyboard().up("Shift");
    assertThat(value("darksYellow")).isBetween(1.0, coarse / 5);
    page.keyboard().press("Control+z");
    page.locator(".said").getByText("Taken back", new Locator.GetByTextOptions()).waitFor();
    bench.settle();
    assertThat(value("darksYellow")).isZero();
    assertThat(value("lightsYellow")).isEqualTo(coarse);
  }

  @Test
  void tonesArePulledOnTheStripOfTheHistogram() {
    bench.hang("light");
    page.waitForFunction("() => document.querySelector('.tone-strip .tones').getAttribute('d')");
    double plain = bench.light(0.5, 0.2);
    Locator light = page.locator("[data-zone=light]");
    pull(light, 24, 0);
    assertThat(value("light")).isBetween(40.0, 80.0);
    assertThat(bench.light(0.5, 0.2)).isGreaterThan(plain + 3);
    pull(page.locator("[data-zone=deepest]"), -10, 0);
    assertThat(value("deepest")).isNegative();
    light.focus();
    page.keyboard().press("ArrowLeft");
    bench.settle();
    Locator typed = page.locator(".setting[data-key=light] input[type=number]");
    assertThat(Double.parseDouble(typed.inputValue())).isEqualTo(value("light"));
    page.locator(".setting", new Page.LocatorOptions().setHasText("Deep tones")).first().waitFor();
  }
}
