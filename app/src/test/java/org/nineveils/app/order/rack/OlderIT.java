package org.nineveils.app.order.rack;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.document.Json;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Editions;

/** A second edition of the engine, registered for the test, in which light is a stop brighter. */
class OlderIT {
  private final Http http = new Http(RunningApp.demo());

  private static Editions.Trial brighter() {
    return Editions.trial(
        (kind, values, frame) -> {
          if (!kind.id().equals("light")) {
            return kind.prepare(values, frame, 1);
          }
          Map<String, Object> more = new HashMap<>(values.format());
          more.merge("exposure", 1.0, (a, b) -> Math.min(5, (double) a + (double) b));
          return kind.prepare(SettingValues.parse(kind.settings(), more), frame, 1);
        });
  }

  private List<Integer> editions(long kit) {
    return Json.read(http.get("/api/rack/" + kit).body(), "The rack")
        .objects("effects", e -> e.whole("edition"));
  }

  private String name(long kit) {
    return Json.read(http.get("/api/rack/" + kit).body(), "The rack")
        .object("kit")
        .text("name")
        .toLowerCase(java.util.Locale.ROOT)
        .replace(" ", "%20");
  }

  private void markedWhereItIsWornProofedAndPacked(Page page, long kit) {
    page.navigate("/fitting/of?wardrobe=kit:%d&photo=1".formatted(kit));
    assertThat(page.locator(".piece:has-text('Oat matte')").innerText()).contains("older edition");
    page.navigate("/proofs/" + kit);
    page.locator(".grid-head:has-text('Window balance'):has-text('older edition')").waitFor();
    String go =
        Json.read(http.json("POST", "/api/collections", "{\"name\":\"Old\"}").body(), "")
            .text("go");
    page.navigate(go);
    page.locator("[data-tick='kit:%d']".formatted(kit)).check();
    page.locator("[data-act^='open:']").first().click();
    assertThat(page.locator(".ticks .section-mark").count()).isEqualTo(3);
    page.getByText("made with an older edition").first().waitFor();
    http.json("DELETE", "/api" + go, "");
  }

  @Test
  void olderEffectsAreMarkedSeenBeforeAndAfterAndUpdatedSinglyOrAllWithOneUndo() {
    long kit = http.kitLike(1, "Older ones");
    try (var trial = brighter();
        var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/kits/" + kit);
      page.locator("[data-rack][data-ready]").waitFor();
      assertThat(trial).isNotNull();
      int all = editions(kit).size();
      assertThat(page.locator(".piece-line:text-is('older edition')").count()).isGreaterThan(0);
      assertThat(
              Json.read(http.get("/api/find?q=older%20edition%20in%20" + name(kit)).body(), "")
                  .whole("count"))
          .isEqualTo(all);
      long first =
          Json.read(http.get("/api/rack/" + kit).body(), "The rack")
              .objects("effects", e -> e.whole("id"))
              .get(0);
      assertThat(http.get("/bench/" + first).body()).contains(">older edition<");
      markedWhereItIsWornProofedAndPacked(page, kit);
      page.navigate("/kits/" + kit);
      page.locator("[data-health] .mend[aria-label*='older edition']").click();
      page.waitForFunction(
          "() => /moves by ΔE \\d+\\.\\d/.test(document.querySelector('[data-older] span').textContent)");
      String told = page.locator("[data-older] span").first().innerText();
      assertThat(Double.parseDouble(told.replaceAll(".*ΔE ", "")))
          .as("“Third of a stop” a stop brighter")
          .isGreaterThan(3);
      page.waitForResponse(
          r -> r.url().endsWith("/update"),
          () -> page.locator("[data-older] button").first().click());
      assertThat(editions(kit)).filteredOn(e -> e == 2).hasSize(1);
      page.waitForResponse(
          r -> r.url().endsWith("/update"),
          () -> page.locator("dialog[open]").getByText("Update all").click());
      assertThat(editions(kit)).containsOnly(2);
      page.keyboard().press("Control+z");
      page.getByText("Taken back: update %d effects.".formatted(all - 1)).waitFor();
      assertThat(editions(kit)).filteredOn(e -> e == 1).hasSize(all - 1);
      http.json("POST", "/api/rack/%d/undo?redo=false".formatted(kit), "");
      assertThat(editions(kit)).containsOnly(1);
      assertThat(observed.faults()).isEmpty();
    } finally {
      http.json("DELETE", "/api/kits/" + kit, "");
    }
  }
}
