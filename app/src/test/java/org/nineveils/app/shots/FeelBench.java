package org.nineveils.app.shots;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;

/**
 * How the application feels in the hand, measured in the browser; run by {@code ./nv bench
 * --browser}. Prints figures and judges none of them: times depend on the machine.
 *
 * <p>From hand to eye: from the last pointer move that a picture's request could know of, to the
 * animation frame after the picture was painted. Frames: time between animation frames while a
 * stroke is painted. Shift: sum of the browser's layout-shift scores while pictures come in.
 */
class FeelBench {
  private static final int MOVES = 240;

  /** Notes moves of the pointer, requests for pictures, painted pictures and frames. */
  private static final String WATCH =
      """
      () => {
        const w = window.watched = { moves: [], asked: [], waits: [], frames: [], shift: 0, order: [] };
        addEventListener("pointermove", () => w.moves.push(performance.now()), true);
        const own = window.fetch;
        window.fetch = async (address, how) => {
          if (!String(address).endsWith("/render")) return own(address, how);
          const body = JSON.parse(how.body);
          const finished = !body.plain && !body.mask;
          if (finished) w.asked.push(w.moves.at(-1) ?? performance.now());
          return own(address, how);
        };
        const stage = document.querySelector("[data-stage]");
        new MutationObserver(() => {
          const from = w.asked.shift();
          requestAnimationFrame(() => from && w.waits.push(performance.now() - from));
        }).observe(stage, { attributes: true, attributeFilter: ["data-shown"] });
        new PerformanceObserver(l => l.getEntries().forEach(e => (w.shift += e.value)))
          .observe({ type: "layout-shift", buffered: false });
        let before = performance.now();
        const frame = now => { w.frames.push(now - before); before = now; requestAnimationFrame(frame); };
        requestAnimationFrame(frame);
      }""";

  @Test
  void handToEyeAtTheBench() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      Workplace bench = new Workplace(page);
      bench.atTheBench(2, "Whole studio", 4);
      bench.settle();
      assertThat(page.locator(".veil").count()).isEqualTo(12);
      System.out.printf(
          "%nFeel in the browser, 1280 × 800, effect “Whole studio” of 12 veils, warmed up%n");
      System.out.printf("%-44s %8s %8s %8s%n", "", "median", "95th", "count");
      page.keyboard().press("8"); // Warm wash
      bench.settle();
      drag(page, bench, "hem of veil 8", page.locator(".veil.is-open .hem").boundingBox(), true);
      bench.pick("Quiet colours");
      drag(
          page,
          bench,
          "slider of veil 4",
          page.locator(".open .settings:not([hidden]) .slide").first().boundingBox(),
          false);
      bench.pick("Face light");
      paint(page, bench);
      assertThat(observed.faults()).isEmpty();
    }
  }

  /** Notes when something was pressed or pointed at, and what was seen after it. */
  private static final String WATCH_ACTS =
      """
      () => {
        const w = window.acts = { from: 0, first: [], exact: [], opened: [] };
        const begin = () => { w.from = performance.now(); w.seen = false; };
        const since = list => { const from = w.from; requestAnimationFrame(() => from && list.push(performance.now() - from)); };
        addEventListener("pointerdown", begin, true);
        addEventListener("keydown", begin, true);
        addEventListener("pointerover", e => e.target.closest(".piece") && begin(), true);
        const stage = document.querySelector("[data-stage]");
        new MutationObserver(() => { if (!w.seen) { w.seen = true; since(w.first); } })
          .observe(stage, { attributes: true, attributeFilter: ["data-shown"] });
        new MutationObserver(() => { if (w.seen && !stage.classList.contains("is-busy")) { since(w.exact); } })
          .observe(stage, { attributes: true, attributeFilter: ["class"] });
        const open = document.querySelector("[data-beside]");
        if (open) new MutationObserver(() => since(w.opened)).observe(open, { childList: true, subtree: true });
      }""";

  /** From the press to the first picture, to the exact one, and to an open veil. */
  @Test
  void pressToPicture() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      Workplace room = new Workplace(page);
      page.navigate("/fitting/of?wardrobe=kit:2&photo=4");
      room.settle();
      page.locator(".piece").getByText("Whole studio").click();
      page.mouse().move(600, 300);
      room.settle();
      System.out.printf("%nPress to picture, a fitting that wears 12 veils, ms%n");
      for (int round = 0; round < 2; round++) { // the compiler has seen the work in the second
        page.evaluate(WATCH_ACTS);
        keys(page, room, "n", 10);
      }
      printActs(page, "another photo, first picture", "first");
      printActs(page, "another photo, exact picture", "exact");
      page.navigate("/fitting/of?wardrobe=kit:2&photo=4");
      room.settle();
      page.evaluate(WATCH_ACTS);
      for (int i = 0; i < 8; i++) {
        page.locator(".piece").nth(i).hover();
        page.waitForTimeout(400);
        page.mouse().move(600, 300);
        room.settle();
      }
      printActs(page, "effect pointed at (90 ms of them waited)", "first");
      page.evaluate(WATCH_ACTS);
      for (int i = 0; i < 5; i++) {
        page.locator(".piece").nth(3 + i).click();
        page.mouse().move(600, 300);
        room.settle();
      }
      printActs(page, "effect put on", "first");
      room.atTheBench(2, "Whole studio", 4);
      room.settle();
      page.evaluate(WATCH_ACTS);
      for (int i = 1; i <= 9; i++) {
        keys(page, room, String.valueOf(i), 1);
      }
      printActs(page, "a veil opened", "opened");
      assertThat(observed.faults()).isEmpty();
    }
  }

  private static void keys(Page page, Workplace room, String key, int times) {
    for (int i = 0; i < times; i++) {
      page.keyboard().press(key);
      page.waitForTimeout(700);
      room.settle();
    }
  }

  private static void printActs(Page page, String what, String list) {
    print(page, what, "acts", list);
  }

  private static void drag(
      Page page, Workplace bench, String what, BoundingBox at, boolean upwards) {
    double x = at.x + at.width / 2;
    double y = at.y + at.height / 2;
    move(
        page, bench, x, y, upwards); // the machine's compiler has seen the work when it is measured
    page.evaluate(WATCH);
    move(page, bench, x, y, upwards);
    print(page, "hand to eye, " + what + ", ms", "waits");
    System.out.printf("%-44s %8.4f%n", "  layout shift", number(page, "watched.shift"));
    page.reload();
    bench.settle();
  }

  private static void move(Page page, Workplace bench, double x, double y, boolean upwards) {
    page.mouse().move(x, y);
    page.mouse().down();
    for (int i = 0; i < MOVES; i++) {
      double by = 30 * Math.sin(i / 12.0);
      page.mouse().move(upwards ? x : x + by, upwards ? y - 30 + by : y);
    }
    page.mouse().move(x, y);
    page.mouse().up();
    bench.settle();
  }

  private static void paint(Page page, Workplace bench) {
    BoundingBox pane = page.locator(".pane-finished").boundingBox();
    page.evaluate(WATCH);
    page.mouse().move(pane.x + pane.width * 0.45, pane.y + pane.height * 0.3);
    page.mouse().down();
    page.evaluate("() => { watched.frames = []; }");
    for (int i = 0; i < MOVES; i++) {
      double turn = i / 14.0;
      page.mouse()
          .move(
              pane.x + pane.width * (0.5 + 0.06 * Math.cos(turn)),
              pane.y + pane.height * (0.4 + 0.1 * Math.sin(turn)));
    }
    print(page, "frames under the brush, ms", "frames");
    print(page, "hand to eye, paint, ms", "waits");
    page.mouse().up();
    bench.settle();
  }

  private static void print(Page page, String what, String list) {
    print(page, what, "watched", list);
  }

  private static void print(Page page, String what, String watch, String list) {
    List<Double> sorted =
        ((List<?>) page.evaluate("() => [..." + watch + "." + list + "].sort((a, b) => a - b)"))
            .stream().map(v -> ((Number) v).doubleValue()).toList();
    if (sorted.isEmpty()) {
      System.out.printf("%-44s nothing measured%n", what);
      return;
    }
    System.out.printf(
        "%-44s %8.1f %8.1f %8d%n",
        what,
        sorted.get(sorted.size() / 2),
        sorted.get((int) (sorted.size() * 0.95)),
        sorted.size());
  }

  private static double number(Page page, String what) {
    return ((Number) page.evaluate("() => " + what)).doubleValue();
  }
}
