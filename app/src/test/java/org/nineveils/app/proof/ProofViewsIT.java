package org.nineveils.app.proof;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;

/** Look-alikes, pairs, sweeps and what has changed, on a kit of its own. */
class ProofViewsIT {
  private static final Http HTTP = new Http(RunningApp.demo());
  private static int kit;
  private static int first;
  private static int second;
  private static int third;

  private static int id(String body) {
    String go = Json.read(body, "").text("go");
    return Integer.parseInt(go.replaceAll("\\D", ""));
  }

  private static int effect(String section, String name, double exposure) {
    String body = "{\"name\":\"%s\"}".formatted(name);
    int made = id(HTTP.json("POST", "/api/sections/%s/effects".formatted(section), body).body());
    save(made, exposure);
    return made;
  }

  private static void save(int effect, double exposure) {
    Fields state = Json.read(HTTP.get("/api/effects/%d?photo=1".formatted(effect)).body(), "");
    Map<String, Object> veil =
        Json.object(
            "id", "a",
            "name", "Light",
            "kind", "light",
            "blend", "normal",
            "opacity", 1,
            "mask", Json.object("cover", "everywhere"),
            "settings", Json.object("exposure", exposure));
    Map<String, Object> dial =
        Json.object("veil", "a", "key", "exposure", "label", "Stops", "min", -0.5, "max", 3);
    Map<String, Object> doc =
        Json.object(
            "edition", 1,
            "note", "",
            "veils", List.of(veil),
            "dials", List.of(dial),
            "madeFor", List.of("pet"));
    Map<String, Object> request =
        Json.object("rev", state.whole("rev"), "label", "light", "effect", doc, "photo", 1);
    var answer = HTTP.json("PUT", "/api/effects/" + effect, Json.write(request));
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
  }

  @BeforeAll
  static void aKitOfThree() {
    kit = id(HTTP.json("POST", "/api/kits", "{\"name\":\"Likeness\",\"purpose\":\"\"}").body());
    Fields rack = Json.read(HTTP.get("/api/rack/" + kit).body(), "The rack");
    String section = String.valueOf(rack.objects("sections", s -> s.whole("id")).get(0));
    first = effect(section, "A little light", 0.2);
    second = effect(section, "As much light", 0.23);
    third = effect(section, "Much light", 1.5);
    render();
  }

  @AfterAll
  static void leave() {
    HTTP.json("DELETE", "/api/kits/" + kit, "");
  }

  private static void render() {
    HTTP.json("POST", "/api/proofs/%d/start".formatted(kit), "");
    HTTP.ended(sheet().object("job").whole("id"));
    assertThat(sheet().whole("done")).isEqualTo(sheet().whole("total"));
  }

  private static Fields sheet() {
    return Json.read(HTTP.get("/api/proofs/" + kit).body(), "");
  }

  @Test
  void twoThatLookAlikeAreJoinedByAThreadComparedAndRememberedAsWanted() throws Exception {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/proofs/" + kit);
      page.locator("[data-cell] img").first().waitFor();
      page.locator("[data-view=alike]").click();
      Locator pair = page.locator("[data-pair='%d:%d']".formatted(first, second));
      pair.waitFor();
      assertThat(page.locator("[data-pair]").count()).isEqualTo(1);
      assertThat(page.locator(".threads line").count()).isEqualTo(1);
      assertThat(page.locator(".on-map").count()).isEqualTo(3);
      pair.click();
      page.locator("[data-alike-differ] li").first().waitFor();
      assertThat(page.locator("[data-alike-differ]").innerText())
          .isEqualTo("Light: light, exposure 0.2 stops → 0.23 stops");
      page.locator("[data-alike-both]").click();
      page.locator(".threads line.is-both").waitFor();
      page.reload();
      page.locator(".threads line.is-both").waitFor();
      assertThat(observed.faults()).isEmpty();
    }
    Picture a = PictureReader.read(HTTP.bytes("/proofs/pictures/%d/9".formatted(first)), "a");
    String address = "/proofs/pictures/difference?one=%d&two=%d&photo=9";
    Picture far = PictureReader.read(HTTP.bytes(address.formatted(first, third)), "far");
    Picture near = PictureReader.read(HTTP.bytes(address.formatted(first, second)), "near");
    assertThat(far.area()).isEqualTo(a.area());
    assertThat(mean(near)).isLessThan(mean(far) / 3);
  }

  private static double mean(Picture p) {
    double sum = 0;
    for (float v : p.g()) {
      sum += v;
    }
    return sum / p.g().length;
  }

  @Test
  void afterASheetIsApprovedOnlyWhatMovedIsShownAndCanBeAccepted() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/proofs/" + kit);
      page.locator("[data-cell] img").first().waitFor();
      page.locator(".top [data-approve]").click();
      page.locator(".said").filter(text("This sheet is approved")).waitFor();
      page.locator("[data-view=changed]").click();
      page.locator("[data-changed-said]").filter(text("Nothing has moved")).waitFor();
      save(third, 1.2);
      render();
      page.reload();
      page.locator("[data-moved]").first().waitFor();
      assertThat(page.locator("[data-moved]").count()).as("its own column alone").isEqualTo(16);
      assertThat(page.locator("[data-changed-said]").innerText())
          .startsWith("16 proofs have moved by more than ΔE 0.5");
      page.waitForFunction(
          "() => [...document.querySelectorAll('[data-moved] img')].slice(0, 3).every(i => i.naturalWidth > 100)");
      page.locator("[data-moved] button").filter(text("Accept")).first().click();
      page.waitForFunction("() => document.querySelectorAll('[data-moved]').length === 15");
      page.locator("[data-changed-all]").click();
      page.locator("[data-changed-said]").filter(text("Nothing has moved")).waitFor();
      assertThat(observed.faults()).isEmpty();
    } finally {
      save(third, 1.5);
      render();
    }
  }

  private static Locator.FilterOptions text(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  /** The dial runs to three stops, which no photo bears; it is let run as far as all hold. */
  @Test
  void aDialIsSweptOverPhotosAndLetRunAsFarAsItHolds() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/proofs/" + kit);
      page.locator("[data-cell] img").first().waitFor();
      List<Route> held = new ArrayList<>();
      page.route("**/api/proofs/effects/*", held::add);
      page.locator(".grid-head").filter(text("A little light")).click();
      page.waitForCondition(() -> !held.isEmpty());
      assertThat(page.locator("[data-column-sweep]").isVisible())
          .as("nothing to sweep is offered before its dials are known")
          .isFalse();
      held.forEach(Route::resume);
      page.unroute("**/api/proofs/effects/*");
      page.locator("[data-column-sweep]").click();
      Locator set = page.locator("[data-column-set]");
      set.waitFor(new Locator.WaitForOptions().setTimeout(60_000));
      assertThat(page.locator(".swept td").count())
          .as("seven steps and where it stands")
          .isEqualTo(3 * 8);
      assertThat(page.locator(".swept .verdict.is-over").count()).isGreaterThan(2);
      assertThat(set.innerText()).matches("Let the dial run from -0.5 to [\\d.]+");
      double to = Double.parseDouble(set.innerText().replaceAll(".* to ", ""));
      assertThat(to).isBetween(0.2, 2.9);
      set.click();
      page.locator(".said").filter(text("runs from")).waitFor();
      Fields now = Json.read(HTTP.get("/api/effects/%d?photo=1".formatted(first)).body(), "");
      Map<?, ?> dial = (Map<?, ?>) now.object("effect").list("dials").get(0);
      assertThat(((Number) dial.get("max")).doubleValue()).isEqualTo(to);
      String beyond = "/proofs/pictures/%d/1/dial?dial=Stops&value=%s".formatted(first, to + 0.1);
      assertThat(HTTP.get(beyond).statusCode())
          .as("what was swept beyond it can still be seen")
          .isEqualTo(200);
      assertThat(observed.faults()).isEmpty();
    }
  }

  @Test
  void pairsThatTheRulesAllowAreTriedOnThePhotosThatDifferMost() {
    long eighteen = HTTP.eighteen();
    String body = "{\"search\":\"together\",\"kit\":%d}".formatted(eighteen);
    Fields job =
        Json.read(HTTP.json("POST", "/api/proofs/searches", body).body(), "").object("job");
    HTTP.ended(job.whole("id"));
    Fields found =
        Json.read(HTTP.get("/jobs/%d/result".formatted(job.whole("id"))).body(), "found");
    assertThat(found.list("photos")).hasSize(4);
    assertThat(found.whole("pairs")).isGreaterThan(100);
    double before = Double.MAX_VALUE;
    for (Object row : found.list("worst")) {
      double share = ((Number) ((List<?>) row).get(6)).doubleValue();
      assertThat(share).isBetween(0.8, before);
      before = share;
    }
    for (Object row : found.list("order")) {
      assertThat(((Number) ((List<?>) row).get(2)).doubleValue()).isGreaterThanOrEqualTo(1);
    }
    HTTP.json("DELETE", "/api/kits/" + eighteen, "");
  }

  @Test
  void theBenchSaysWhatBecomesOfSkinAndQuietlyWhereALimitIsPassed() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/bench/%d?photo=4".formatted(third));
      new Workplace(page).settle();
      page.locator("[data-live] dd").first().waitFor();
      assertThat(page.locator("[data-live]").innerText())
          .contains("very light")
          .containsPattern("\\d+ L\\* lighter");
      page.locator("[data-live-over] .verdict.is-over").waitFor();
      page.locator("[data-goes-on]").focus();
      for (int i = 0; i < 90; i++) {
        page.keyboard().press("ArrowLeft");
      }
      page.waitForFunction("() => document.querySelector('[data-live-over]').hidden");
      assertThat(page.locator("[data-goes-on-at]").innerText()).isEqualTo("10 %");
      page.locator("[data-made-for-add]").selectOption("too dark");
      page.locator(".tag").filter(text("too dark")).waitFor();
      new Workplace(page).settle();
      Fields now = Json.read(HTTP.get("/api/effects/%d?photo=4".formatted(third)).body(), "");
      assertThat(now.object("effect").number("start")).isEqualTo(0.1);
      assertThat(now.object("effect").texts("madeFor")).containsExactly("pet", "too dark");

      page.navigate("/bench/%d?photo=4&region=skin".formatted(third));
      new Workplace(page).settle();
      assertThat(page.locator("[data-look=mask]").getAttribute("aria-pressed")).isEqualTo("true");
      assertThat(observed.faults()).isEmpty();
    } finally {
      save(third, 1.5);
      render();
    }
  }
}
