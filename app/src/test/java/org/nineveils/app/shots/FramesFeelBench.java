package org.nineveils.app.shots;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.LargeHouse;
import org.nineveils.app.testing.RunningApp;

/**
 * Frames of a sheet of 65 × 100 cells while it is scrolled both ways, beside frames of a still
 * table of the same pictures at the same places: what the browser itself can do here. Run by {@code
 * ./nv bench --browser}; prints figures and judges none of them.
 */
class FramesFeelBench {
  private static final int EFFECTS = 65;
  private static final int PHOTOS = 100;

  /** Scrolls a box for 240 frames and gives the times between them, sorted. */
  private static final String SCROLL =
      """
      box => new Promise(done => {
        const times = [];
        let last = performance.now();
        let n = 0;
        const step = now => {
          times.push(now - last);
          last = now;
          box.scrollTop += 37;
          box.scrollLeft += 23;
          if (++n < 240) requestAnimationFrame(step);
          else done(times.slice(1).sort((a, b) => a - b));
        };
        requestAnimationFrame(step);
      })""";

  /** A box of the same size in the same window: pictures at places and nothing else. */
  private static final String STILL =
      """
      box => {
        const cells = [...box.querySelectorAll(".grid-cell img")].map(i => i.src);
        const { width, height } = box.querySelector(".grid-cell").getBoundingClientRect();
        const { scrollWidth, scrollHeight } = box;
        const own = document.createElement("div");
        own.id = "still";
        own.style.cssText = "position:absolute;inset:0;overflow:auto;background:#808080";
        const all = document.createElement("div");
        all.style.cssText = `position:relative;width:${scrollWidth}px;height:${scrollHeight}px`;
        let k = 0;
        for (let y = 0; y < scrollHeight; y += height + 8)
          for (let x = 0; x < scrollWidth; x += width + 8) {
            const image = new Image();
            image.src = cells[k++ % cells.length];
            image.style.cssText = `position:absolute;left:${x}px;top:${y}px;width:${width}px;height:${height}px`;
            all.append(image);
          }
        own.append(all);
        box.replaceWith(own);
      }""";

  @Test
  void framesOfALargeSheet() throws Exception {
    Path folder = Files.createTempDirectory("nine-veils-frames-");
    LargeHouse.build(folder, EFFECTS, PHOTOS);
    RunningApp app = RunningApp.on(folder, 0);
    try (var observed = app.page()) {
      Http http = new Http(app);
      http.json("POST", "/api/proofs/1/start", "");
      long until = System.nanoTime() + 600_000_000_000L;
      while (done(http) < EFFECTS * PHOTOS && System.nanoTime() < until) {
        Thread.sleep(1000);
      }
      assertThat(done(http)).isEqualTo(EFFECTS * PHOTOS);
      Page page = observed.page();
      page.navigate("/proofs/1");
      page.locator("[data-grid] .grid-cell img").first().waitFor();
      System.out.printf("%nFrames of a sheet of 65 × 100, scrolled both ways%n");
      System.out.printf("%-44s %8s %8s%n", "", "median", "95th");
      page.waitForTimeout(2000);
      page.locator("[data-grid]").evaluate(SCROLL); // what is on the way is then in the cache
      page.locator("[data-grid]").evaluate("box => box.scrollTo(0, 0)");
      List<Double> sheet = print("the sheet, ms", page.locator("[data-grid]").evaluate(SCROLL));
      page.locator("[data-grid]").evaluate("box => box.scrollTo(0, 0)");
      page.locator("[data-grid]").evaluate(STILL);
      page.waitForTimeout(2000);
      List<Double> still =
          print("pictures that stand still, ms", page.locator("#still").evaluate(SCROLL));
      System.out.printf(
          "%-44s %8.2f %8.2f%n",
          "sheet ÷ pictures that stand still",
          middle(sheet, 0.5) / middle(still, 0.5),
          middle(sheet, 0.95) / middle(still, 0.95));
    } finally {
      app.close();
    }
  }

  private static int done(Http http) {
    return org.nineveils.document.Json.read(http.get("/api/proofs/1").body(), "The sheet")
        .whole("done");
  }

  private static List<Double> print(String what, Object times) {
    List<Double> sorted = ((List<?>) times).stream().map(v -> ((Number) v).doubleValue()).toList();
    System.out.printf("%-44s %8.1f %8.1f%n", what, middle(sorted, 0.5), middle(sorted, 0.95));
    return sorted;
  }

  private static double middle(List<Double> sorted, double share) {
    return sorted.get((int) (sorted.size() * share));
  }
}
