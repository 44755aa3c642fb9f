package org.nineveils.app.shots;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.LargeHouse;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.document.Json;

/**
 * How a kit of 65 effects opens and drags among 1 000 effects in all, beside a kit of 10, and how
 * long a search takes. Run by {@code ./nv bench --browser}; prints figures and judges none of them.
 */
class RackFeelBench {
  private static final int TIMES = 7;

  /** Whether all pictures that are in sight are drawn. */
  private static final String DRAWN =
      """
      () => document.querySelector("[data-rack][data-ready]") !== null
        && [...document.querySelectorAll(".piece-hung img")]
          .filter(i => i.getBoundingClientRect().top < innerHeight)
          .every(i => i.complete && i.naturalWidth > 0)""";

  @Test
  void aKitOfSixtyFiveBesideAKitOfTen() throws Exception {
    Path folder = Files.createTempDirectory("nine-veils-rack-");
    LargeHouse.build(folder, 1000, 6);
    RunningApp app = RunningApp.on(folder, 0);
    try (var observed = app.page()) {
      Http http = new Http(app);
      List<Integer> ids =
          Json.read(http.get("/api/rack/2").body(), "").objects("effects", e -> e.whole("id"));
      String body = Json.write(Json.object("effects", ids.subList(0, 10), "name", "Ten of them"));
      String go = Json.read(http.json("POST", "/api/kits/2/lite", body).body(), "").text("go");
      Page page = observed.page();
      System.out.printf("%nA kit's rack among 1 000 effects, pictures made before%n");
      List<Double> ten = opened(page, go);
      List<Double> all = opened(page, "/kits/1");
      print("a kit of 10 opened, ms", ten);
      print("a kit of 65 opened, ms", all);
      System.out.printf("%-44s %8.2f%n", "65 ÷ 10", all.get(TIMES / 2) / ten.get(TIMES / 2));
      print("frames while an effect is dragged, ms", dragged(page));
      for (String q : List.of("length", "has soft no note", "effect 77")) {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < TIMES; i++) {
          long from = System.nanoTime();
          http.get("/api/find?q=" + q.replace(" ", "%20"));
          times.add((System.nanoTime() - from) / 1e6);
        }
        times.sort(null);
        print("search “%s”, ms".formatted(q), times);
      }
    } finally {
      app.close();
    }
  }

  private static List<Double> opened(Page page, String address) {
    page.navigate(address);
    page.waitForFunction(DRAWN);
    List<Double> times = new ArrayList<>();
    for (int i = 0; i < TIMES; i++) {
      page.navigate("/jobs");
      page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
      long from = System.nanoTime();
      page.navigate(address);
      page.waitForFunction(DRAWN);
      times.add((System.nanoTime() - from) / 1e6);
    }
    times.sort(null);
    return times;
  }

  private static List<Double> dragged(Page page) {
    BoundingBox at = page.locator(".piece-hung").first().boundingBox();
    page.mouse().move(at.x + 30, at.y + 40);
    page.mouse().down();
    page.mouse().move(at.x + 60, at.y + 60);
    page.evaluate(
        """
        () => { const w = window.frames_ = []; let before = performance.now();
          const step = now => { w.push(now - before); before = now; requestAnimationFrame(step); };
          requestAnimationFrame(step); }""");
    for (int i = 0; i < 300; i++) {
      page.mouse()
          .move(at.x + 60 + 250 + 250 * Math.sin(i / 18.0), at.y + 200 + 180 * Math.cos(i / 25.0));
    }
    Object times = page.evaluate("() => window.frames_.slice(1)");
    page.mouse().up();
    List<Double> sorted =
        new ArrayList<>(((List<?>) times).stream().map(v -> ((Number) v).doubleValue()).toList());
    sorted.sort(null);
    return sorted;
  }

  private static void print(String what, List<Double> sorted) {
    System.out.printf(
        "%-44s %8.1f %8.1f%n",
        what, sorted.get(sorted.size() / 2), sorted.get((int) (sorted.size() * 0.95)));
  }
}
