package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/**
 * Two tabs, pages that are left, restarts, log-ins that run out: what was made is stored or still
 * there.
 */
class NothingLostIT {
  private static int made;

  @TempDir Path folder;

  /** An effect with two veils, the second brushed on. @return its id */
  private static String effect(Http http, String section) {
    String body = "{\"name\": \"Kept %d\"}".formatted(++made);
    String go =
        Json.read(http.json("POST", "/api/sections/" + section + "/effects", body).body(), "")
            .text("go");
    String id = go.replaceAll("\\D", "");
    String veils =
        """
        {"rev": 1, "label": "fill", "effect": {"edition": 1, "veils": [
          {"id": "a", "name": "Even", "kind": "light", "blend": "normal", "opacity": 1,
           "mask": {"cover": "everywhere"}, "settings": {}},
          {"id": "b", "name": "Bright", "kind": "light", "blend": "normal", "opacity": 1,
           "mask": {"cover": "brush-on"}, "settings": {"exposure": 1}},
          {"id": "c", "name": "Dark", "kind": "light", "blend": "normal", "opacity": 1,
           "mask": {"cover": "brush-on"}, "settings": {"exposure": -1}}]}}""";
    assertThat(http.json("PUT", "/api/effects/" + id, veils).statusCode()).isEqualTo(200);
    return id;
  }

  private static Fields stored(Http http, String effect, int photo) {
    return Json.read(http.get("/api/effects/%s?photo=%d".formatted(effect, photo)).body(), "");
  }

  private static double setting(Http http, String effect, int veil, String key) {
    return stored(http, effect, 1)
        .object("effect")
        .objects("veils", v -> v.object("settings"))
        .get(veil)
        .number(key);
  }

  private static void type(Page page, String key, String value) {
    var number = page.locator(".open .setting[data-key=" + key + "] input[type=number]");
    number.fill(value);
    number.press("Enter");
  }

  /** Paint, fill and invert carry a revision too: it must not be taken without its state. */
  @Test
  void whatAnotherTabMadeIsNotOverwrittenAfterPaintFillAndInvert() {
    RunningApp app = RunningApp.demo();
    Http http = new Http(app);
    String effect = effect(http, "2");
    try (var first = app.page();
        var second = app.page()) {
      Workplace one = new Workplace(first.page());
      Workplace two = new Workplace(second.page());
      first.page().navigate("/bench/" + effect);
      second.page().navigate("/bench/" + effect);
      one.settle();
      two.settle();
      first.page().keyboard().press("1");
      type(first.page(), "exposure", "0.5");
      one.settle();

      second.page().keyboard().press("2"); // its brush is armed
      two.paint(0.4, 0.4, 0.5, 0.5);
      second.page().locator("[data-side=mask]").click();
      second.page().locator("[data-paint=invert]").click();
      two.settle();
      second.page().locator("[data-side=settings]").click();
      type(second.page(), "contrast", "20");
      two.settle();
      assertThat(setting(http, effect, 0, "exposure")).as("the first tab's").isEqualTo(0.5);
      assertThat(setting(http, effect, 1, "contrast")).as("the second tab's").isEqualTo(20);
      assertThat(stored(http, effect, 1).object("painted").whole("b")).isEqualTo(2);
      assertThat(second.faults()).isEmpty();
    }
    http.json("DELETE", "/api/effects/" + effect, "");
  }

  /** Paint cleared in one tab does not come back to life with a slider of the other. */
  @Test
  void inAFittingPaintPinsAndSlidersOfTwoTabsLiveTogether() {
    RunningApp app = RunningApp.demo();
    Http http = new Http(app);
    try (var first = app.page();
        var second = app.page()) {
      Workplace one = new Workplace(first.page());
      Workplace two = new Workplace(second.page());
      app.takeAllOff("kit:1");
      first.page().navigate("/fitting/of?wardrobe=kit:1&photo=10");
      one.settle();
      first.page().locator(".piece").getByText("Face light").first().click();
      first.page().mouse().move(600, 300);
      one.settle();
      one.paint(0.45, 0.4, 0.55, 0.4);
      second.page().navigate(first.page().url());
      two.settle();
      String api = "/api/fittings/" + first.page().url().replaceAll(".*/", "");

      first.page().locator("[data-paint-all] button:text-is(\"Clear\")").click();
      one.settle();
      first.page().locator("[data-pin]").click();
      one.settle();
      two.dragHem("Face light", 0.5); // built on a state before all that
      if (second.page().locator(".said.is-fault").count() > 0) {
        second.page().getByText("Do mine again").click();
        two.settle();
      }
      Fields state = Json.read(http.get(api).body(), "");
      assertThat(state.object("fitting").objects("worn", w -> w.number("opacity")).get(0))
          .isEqualTo(0.5);
      assertThat(state.object("painted").raw().values().toString())
          .as("the paint stays cleared")
          .isEqualTo("[{}]");
      assertThat(state.objects("pins", p -> p.text("name"))).hasSize(1);
    }
  }

  @Test
  void aFittingOpenedEightTimesAtOnceIsOne() {
    RunningApp app = RunningApp.demo();
    List<CompletableFuture<String>> all =
        IntStream.range(0, 8)
            .mapToObj(
                i ->
                    CompletableFuture.supplyAsync(
                        () ->
                            new Http(app)
                                .get("/fitting/of?wardrobe=kit:3&photo=11")
                                .headers()
                                .firstValue("Location")
                                .orElse("none")))
            .toList();
    assertThat(all.stream().map(CompletableFuture::join).distinct()).hasSize(1);
    assertThat(all.get(0).join()).contains("/fitting/");
  }

  /** Opens an effect and types a note that is not let go of. */
  private static void noteBeingTyped(Page page, String effect) {
    page.navigate("/bench/" + effect);
    new Workplace(page).settle();
    page.locator("[data-note]").fill("Typed and not yet let go.");
  }

  @Test
  void whatIsBeingTypedOrDraggedWhenAPageIsLeftIsStored() {
    RunningApp app = RunningApp.demo();
    Http http = new Http(app);
    String effect = effect(http, "2");
    try (var observed = app.page()) {
      Page page = observed.page();
      noteBeingTyped(page, effect);
      page.navigate("/kits"); // as by the address line: no link is pressed
      page.waitForURL("**/kits");
      page.waitForFunction(
          "a => fetch(a).then(r => r.json()).then(s => s.effect.note === 'Typed and not yet let go.')",
          "/api/effects/%s?photo=1".formatted(effect));

      page.navigate("/bench/" + effect);
      new Workplace(page).settle();
      page.locator("[data-note]").fill("Then a link.");
      page.locator(".rooms a[href='/kits']").click();
      page.waitForURL("**/kits");
      assertThat(stored(http, effect, 1).object("effect").text("note")).isEqualTo("Then a link.");
    }
    http.json("DELETE", "/api/effects/" + effect, "");
  }

  /** What is sent as a page goes arrives after the next one was made. */
  @Test
  void aPageLoadedAnewAtOnceShowsWhatWasOnItsWay() {
    RunningApp app = RunningApp.demo();
    Http http = new Http(app);
    String effect = effect(http, "2");
    try (var observed = app.page()) {
      Page page = observed.page();
      noteBeingTyped(page, effect);
      page.reload();
      page.waitForFunction(
          "() => document.querySelector('[data-note]').value === 'Typed and not yet let go.'"
              + " && !document.querySelector('[data-undo-button]').disabled");
      new Workplace(page).settle();
      assertThat(observed.faults()).isEmpty();
    }
    http.json("DELETE", "/api/effects/" + effect, "");
  }

  private static Fields fitting(Http http, String api) {
    return Json.read(http.get(api).body(), "The fitting");
  }

  private static String put(Fields on, String after, double opacity) {
    String doc = Json.write(on.object("fitting").raw());
    return """
        {"rev": %d, "after": ["%s"], "built": %s, "label": "opacity", "fitting": %s}"""
        .formatted(
            on.whole("rev"),
            after,
            doc,
            doc.replaceFirst("\"opacity\":[0-9.]+", "\"opacity\":" + opacity));
  }

  /** The tab is closed while an effect is being put on, and a slider was moved after that. */
  @Test
  void aSliderMovedWhileAnEffectIsStillBeingPutOnIsStoredWithTheEffectWhicheverComesFirst() {
    Http http = new Http(RunningApp.demo());
    String api = "/api/fittings/" + http.fitting("kit:2", 11);
    List<String> keys = List.of("35", "36", "37");
    http.json("POST", api + "/wear", "{\"effect\": \"%s\"}".formatted(keys.get(0)));
    Fields before = fitting(http, api);
    String second = "{\"effect\": \"%s\", \"answer\": \"both\"}".formatted(keys.get(1));
    assertThat(http.named("put-on-1", "POST", api + "/wear", second).statusCode()).isEqualTo(200);
    var late = http.named("slider-1", "PUT", api, put(before, "put-on-1", 0.25));
    assertThat(late.statusCode()).as(late.body()).isEqualTo(200);
    Fields both = fitting(http, api).object("fitting");
    assertThat(both.objects("worn", w -> w.text("effect"))).contains(keys.get(0), keys.get(1));
    assertThat(both.objects("worn", w -> w.number("opacity"))).contains(0.25);

    Fields again = fitting(http, api);
    http.named("slider-2", "PUT", api, put(again, "put-on-2", 0.75));
    String third = "{\"effect\": \"%s\", \"answer\": \"both\"}".formatted(keys.get(2));
    assertThat(http.named("put-on-2", "POST", api + "/wear", third).statusCode()).isEqualTo(200);
    Fields all = fitting(http, api).object("fitting");
    assertThat(all.objects("worn", w -> w.text("effect"))).contains(keys.get(2));
    assertThat(all.objects("worn", w -> w.number("opacity"))).contains(0.75);
    assertThat(http.named("slider-3", "PUT", api, put(again, "another page's", 0.1)).statusCode())
        .as("what another page did between is still a conflict")
        .isEqualTo(409);
  }

  /** The answer was lost, as when the application was ended right after storing. */
  @Test
  void aStrokeOrAnUndoThatIsSentAgainUnderItsNameIsDoneOnce() {
    Http http = new Http(RunningApp.demo());
    String effect = effect(http, "2");
    String stroke =
        """
        {"photo": 1, "veil": "b", "stroke": {"size": 0.05, "softness": 0.5, "strength": 0.5, "flow": 1,
         "reveal": true, "points": [0.4, 0.4]}}""";
    String paint = "/api/effects/" + effect + "/paint";
    var first = http.named("stroke", "POST", paint, stroke);
    assertThat(first.statusCode()).isEqualTo(200);
    var again = http.named("stroke", "POST", paint, stroke);
    assertThat(again.body()).as("answered as it was").isEqualTo(first.body());
    assertThat(stored(http, effect, 1).object("painted").whole("b")).isEqualTo(1);
    assertThat(http.named("other", "POST", paint, stroke).statusCode()).isEqualTo(200);
    String undo = "/api/effects/" + effect + "/undo?photo=1&redo=false";
    http.named("undo", "POST", undo, "");
    http.named("undo", "POST", undo, "");
    assertThat(stored(http, effect, 1).object("painted").whole("b")).isEqualTo(1);
    http.json("DELETE", "/api/effects/" + effect, "");
  }

  /**
   * Keys pressed while the hand paints open other veils and photos; the stroke is for where it
   * began.
   */
  @Test
  void aStrokeKeepsTheVeilAndThePhotoThatItBeganOn() {
    RunningApp app = RunningApp.demo();
    Http http = new Http(app);
    String effect = effect(http, "2");
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/bench/" + effect + "?photo=1");
      Workplace bench = new Workplace(page);
      bench.settle();
      page.keyboard().press("2");
      bench.settle();
      BoundingBox pane = page.locator(".pane-finished").boundingBox();
      page.mouse().move(pane.x + pane.width * 0.4, pane.y + pane.height * 0.4);
      page.mouse().down();
      page.mouse().move(pane.x + pane.width * 0.5, pane.y + pane.height * 0.5);
      page.keyboard().press("3"); // another veil
      page.mouse().move(pane.x + pane.width * 0.6, pane.y + pane.height * 0.5);
      page.keyboard().press("n"); // another photo
      page.mouse().up();
      bench.settle();
      assertThat(stored(http, effect, 1).object("painted").raw()).containsOnlyKeys("b");
      assertThat(stored(http, effect, 2).object("painted").raw()).isEmpty();
      assertThat(observed.faults()).isEmpty();
    }
    http.json("DELETE", "/api/effects/" + effect, "");
  }

  private void start(Http http) throws Exception {
    byte[] photo = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
    http.upload("/api/photos/wall", "dog.jpg", photo);
    http.json("POST", "/api/kits", "{\"name\": \"Kept\"}");
  }

  /**
   * Before, every open page failed with 403 after a restart, and the text was gone after a reload.
   */
  @Test
  void aPageThatWasOpenOverARestartSavesWhatWasMadeMeanwhile() throws Exception {
    RunningApp before = RunningApp.on(folder, 0);
    int port = before.port();
    Http http = new Http(before);
    start(http);
    String effect = effect(http, "1");
    var observed = before.page();
    Page page = observed.page();
    page.navigate("/bench/" + effect);
    Workplace room = new Workplace(page);
    room.settle();
    double plain = room.light(0.5, 0.4);
    before.close();
    page.locator("[data-note]").fill("Made while it was down.");
    page.locator("[data-note]").press("Tab");
    page.locator(".said.is-fault").waitFor();
    assertThat(page.locator(".said").innerText()).contains("Your change is kept here");
    assertThat(page.locator("[data-saved]").innerText()).isEqualTo("Waiting");
    room.veil("Even").locator(".pick .name").click();
    type(page, "exposure", "1");

    page.locator(".stage.is-behind").waitFor(); // the picture is not what was made, and says so
    assertThat(page.locator("[data-tag]").innerText()).contains("Before your last change");
    page.keyboard().press("Escape");

    RunningApp after = RunningApp.on(folder, port);
    try {
      page.waitForFunction("() => document.querySelector('[data-saved]').textContent === 'Saved'");
      assertThat(stored(new Http(after), effect, 1).object("effect").text("note"))
          .isEqualTo("Made while it was down.");
      room.settle();
      assertThat(room.light(0.5, 0.4)).as("what is stored is shown").isGreaterThan(plain);
      assertThat(page.locator(".said.is-fault").count()).isZero();
      assertThat(page.locator("[data-tag]").isVisible()).isFalse();
      room.veil("Even").locator(".pick .name").click();
      page.context().clearCookies(); // and the token itself is gone
      room.readings();
      page.locator("[data-note]").fill("And without a token.");
      page.locator("[data-note]").press("Tab");
      room.settle();
      assertThat(stored(new Http(after), effect, 1).object("effect").text("note"))
          .isEqualTo("And without a token.");
    } finally {
      observed.close();
      after.close();
    }
  }

  @Test
  void whereTheLogInHasRunOutOneLogsInAgainInPlaceAndTheEditIsStillThere() throws Exception {
    RunningApp plain = RunningApp.on(folder, 0);
    Http http = new Http(plain);
    start(http);
    String effect = effect(http, "1");
    plain.close();
    RunningApp locked = RunningApp.on(folder, 0, "--nineveils.password=pa$$w${rd}");
    try (var observed = locked.page()) {
      Page page = observed.page();
      page.navigate("/bench/" + effect);
      page.locator("[name=password]").fill("wrong");
      page.keyboard().press("Enter");
      page.getByText("This is not the password.").waitFor();
      for (int i = 0; i < 60 && page.url().contains("/log-in"); i++) {
        page.locator("[name=password]").fill("pa$$w${rd}");
        var shown =
            page.waitForResponse(
                r -> r.request().isNavigationRequest() && r.status() == 200,
                () -> page.keyboard().press("Enter"));
        page.waitForURL(shown.url());
      }
      assertThat(page.url()).contains("/bench/");
      new Workplace(page).settle();
      page.context().clearCookies(); // the log-in has run out
      page.locator("[data-note]").fill("Kept over the log-in.");
      page.locator("[data-note]").press("Tab");
      page.locator("dialog[data-log-in] [name=password]").fill("pa$$w${rd}");
      page.keyboard().press("Enter");
      new Workplace(page).settle();
      page.reload();
      new Workplace(page).settle();
      assertThat(page.locator("[data-note]").inputValue()).isEqualTo("Kept over the log-in.");
      page.getByText("Log out").click();
      page.waitForURL("**/log-in");
      page.navigate("/bench/" + effect);
      assertThat(page.url()).as("a page is not shown after the log-out").contains("/log-in");
    } finally {
      locked.close();
    }
  }

  /**
   * A save waits, as on a full disk, and she turns to the next photo: the retry put the old photo's
   * document into the next one's fitting, and deleted the strokes there.
   */
  @Test
  void whatWaitsForOnePhotoIsNeverStoredInAnothersPlace() {
    RunningApp app = RunningApp.demo();
    Http http = new Http(app);
    long kit = http.eighteen();
    String here = http.fitting("kit:" + kit, 5);
    String there = http.fitting("kit:" + kit, 6);
    try (var observed = app.page()) {
      Page page = observed.page();
      Workplace room = new Workplace(page);
      page.navigate("/fitting/" + there);
      room.settle();
      page.locator(".piece").getByText("Silver larch").first().click();
      page.mouse().move(600, 300);
      room.settle();
      page.navigate("/fitting/" + here);
      room.settle();
      page.locator(".piece").getByText("Silver larch").first().click();
      page.mouse().move(600, 300);
      room.settle();
      String before = http.get("/api/fittings/" + there).body();
      java.util.concurrent.atomic.AtomicInteger refused =
          new java.util.concurrent.atomic.AtomicInteger();
      page.route(
          "**/api/fittings/*",
          route -> {
            if (route.request().method().equals("PUT") && refused.getAndIncrement() < 2) {
              route.fulfill(
                  new com.microsoft.playwright.Route.FulfillOptions()
                      .setStatus(507)
                      .setContentType("application/json")
                      .setBody("{\"sentence\": \"The disk is full.\"}"));
            } else {
              route.resume();
            }
          });
      room.veil("Silver larch").locator(".hem").focus();
      page.keyboard().press("ArrowUp"); // the cloth is drawn up a little
      page.waitForCondition(() -> refused.get() > 0);
      page.locator("[data-photo='6']").click();
      page.waitForCondition(() -> refused.get() > 2);
      room.settle();
      assertThat(http.get("/api/fittings/" + there).body()).isEqualTo(before);
      assertThat(
              Json.read(http.get("/api/fittings/" + here).body(), "")
                  .object("fitting")
                  .objects("worn", w -> w.number("opacity"))
                  .get(0))
          .isLessThan(1);
    }
    http.json("DELETE", "/api/kits/" + kit, "");
  }
}
