package org.nineveils.app.leaving;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.signing.Signed;

/** From ticking to the desk: what goes in, what keeps it in, what changes, who signed it. */
class LeavingIT {
  @TempDir Path files;

  private final RunningApp app = RunningApp.demo();
  private final Http http = new Http(app);

  private String collection(String name) {
    String body = "{\"name\": \"%s\"}".formatted(name);
    return Json.read(http.json("POST", "/api/collections", body).body(), "").text("go");
  }

  private Fields doc(String go) {
    return Json.read(http.get("/api" + go).body(), "").object("collection");
  }

  private static void saved(Page page) {
    page.waitForFunction(
        "() => document.querySelector('[data-saved]').textContent === 'Saved' && !document.querySelector('[data-pack]').disabled");
  }

  private static void tick(Page page, String what, boolean on) {
    page.locator("[data-tick='%s']".formatted(what)).setChecked(on);
    saved(page);
  }

  private static void pack(Page page) {
    page.locator("[data-collection][data-ready]").waitFor();
    page.locator("[data-pack]").click();
    page.locator("#pack-all-the-same .primary").click();
    page.getByText("Packed “").waitFor();
    page.locator("[data-packed]").waitFor();
  }

  private List<Fields> sections(long kit) {
    return Json.read(http.get("/api/rack/" + kit).body(), "").objects("sections", s -> s);
  }

  @Test
  void tickedCheckedMendedPackedChangedAndTakenInAtTheDesk() throws Exception {
    long kit = http.eighteen();
    String go = collection("Under the Larch");
    List<Fields> sections = sections(kit);
    int looks = sections.get(1).whole("id");
    List<Integer> effects = sections.get(1).wholes("effects").stream().map(Long::intValue).toList();
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate(go);
      page.getByText("The collection: nothing goes in").waitFor();

      // what goes in
      tick(page, "kit:" + kit, true);
      tick(page, "section:" + sections.get(4).whole("id"), false);
      page.locator("[data-act='open:%d']".formatted(looks)).click();
      tick(page, "effect:" + effects.get(4), false);
      assertThat(doc(go).wholes("withoutEffects")).containsExactly((long) effects.get(4));
      assertThat(doc(go).wholes("withoutSections"))
          .containsExactly((long) sections.get(4).whole("id"));
      page.locator("[data-cover-photo]").selectOption("5");
      saved(page);
      page.locator("[data-cover-effect]").selectOption(String.valueOf(effects.get(0)));
      saved(page);
      page.waitForFunction(
          "() => [...document.querySelectorAll('[data-cover] img')].filter(i => i.naturalWidth > 300).length === 2");
      page.locator("[name=licence]").fill("For one studio.");
      page.locator("[name=licence]").press("Tab");
      saved(page);

      // what keeps it in, and mending it
      http.json(
          "POST",
          "/api/rack/%d/sections".formatted(kit),
          "{\"name\":\"Later\",\"rule\":\"stack-freely\"}");
      page.reload();
      page.getByText("leave it out").click();
      saved(page);
      assertThat(doc(go).wholes("withoutSections")).hasSize(2);
      page.getByText("Nothing keeps it in.").waitFor();
      plan(kit, sections.get(0).whole("id"));
      page.reload();
      Locator must = page.locator("[data-checks] .is-must");
      must.waitFor();
      assertThat(must.innerText()).contains("“First frost”: planned, not built");
      assertThat(must.locator(".mend").getAttribute("href")).startsWith("/bench/");
      page.locator("[data-pack]").click();
      page.getByText("Nothing was packed. “First frost”: planned, not built.").waitFor();
      observed.faults().removeIf(f -> f.contains("422"));
      http.json("POST", "/api/rack/%d/undo?redo=false".formatted(kit), "");
      page.reload();

      // as a buyer
      page.getByText("See it as a buyer").click();
      page.locator(".as-buyer").waitFor();
      assertThat(page.locator(".effect").count()).isEqualTo(13);
      page.waitForFunction(
          "() => [...document.querySelectorAll('.effect img')].slice(0, 2).every(i => i.naturalWidth > 300)");
      page.getByText("Back to the collection").click();
      page.waitForURL("**" + go);

      pack(page);
      Release one = fetched(page, "1.0");
      assertThat(one.effects()).hasSize(13);
      assertThat(one.cover().isThere()).isTrue();
      assertThat(one.news()).isEqualTo(Release.News.NONE);

      // what changed since, with how far it moves, and the version that follows
      page.getByText("Nothing has changed.").waitFor();
      darker(effects.get(0));
      page.reload();
      Locator moved = page.locator("[data-since] [data-sort=look]");
      moved.waitFor();
      page.waitForFunction(
          "() => /ΔE \\d/.test(document.querySelector('[data-since] .since-by').textContent)");
      assertThat(moved.innerText()).contains("Clean larch", "goes on at 50 % instead of 100 %");
      page.waitForFunction(
          "() => [...document.querySelectorAll('[data-since] img')].filter(i => i.naturalWidth > 100).length === 2");
      page.getByText("Call it 2.0").click();
      saved(page);
      assertThat(doc(go).text("version")).isEqualTo("2.0");
      pack(page);
      Release two = fetched(page, "2.0");
      assertThat(two.news().since()).isEqualTo("1.0");
      assertThat(two.news().lines())
          .containsExactly("“Clean larch” looks different: goes on at 50 % instead of 100 %.");
      page.locator("[data-compare] button").click();
      page.locator("[data-compared] li").waitFor();
      assertThat(page.locator("[data-compared]").innerText()).contains("Clean larch");
      assertThat(observed.faults()).isEmpty();
      atTheDesk(page, files.resolve("1.0.zip"), "a key that this desk had not seen before", "");
      atTheDesk(page, files.resolve("2.0.zip"), "known since", "“Clean larch” looks different");
    } finally {
      http.json("DELETE", "/api/kits/" + kit, "");
    }
  }

  private void plan(long kit, int section) {
    String body = Json.write(Json.object("section", section, "names", "First frost"));
    var answer = http.json("POST", "/api/rack/%d/plan".formatted(kit), body);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
  }

  private void darker(int effect) {
    Fields state = Json.read(http.get("/api/effects/%d?photo=5".formatted(effect)).body(), "");
    Map<String, Object> doc = new java.util.LinkedHashMap<>(state.object("effect").raw());
    doc.put("start", 0.5);
    String body =
        Json.write(
            Json.object("rev", state.whole("rev"), "label", "start", "effect", doc, "photo", 5));
    var answer = http.json("PUT", "/api/effects/" + effect, body);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
  }

  private Release fetched(Page page, String version) throws Exception {
    byte[] bytes = new Workplace(page).download("[aria-label='Download %s']".formatted(version));
    Path file = files.resolve(version + ".zip");
    Files.write(file, bytes);
    assertThat(ReleaseReader.signed(bytes, "x").state()).isEqualTo(Signed.State.SOUND);
    return ReleaseReader.check(file);
  }

  private void atTheDesk(Page page, Path file, String signed, String news) {
    page.navigate("/desk");
    page.locator("[data-drop=release] input").setInputFiles(file);
    page.locator("[data-signed]").waitFor();
    assertThat(page.locator("[data-signed]").innerText()).contains(signed);
    if (page.url().contains("/update/")) {
      page.locator("[data-update]").click();
      page.locator(".said").getByText("is 2.0 now").waitFor();
      page.locator(".cover-two").waitFor();
    }
    assertThat(page.locator("main").innerText()).contains(news);
    page.waitForFunction(
        "() => [...document.querySelectorAll('.cover-two img')].every(i => i.naturalWidth > 300)");
  }

  @Test
  void theKeyIsOfItsOwnersEyesAloneTravelsUnderAPhraseAndIsReplacedOnlyByAnotherOne()
      throws Exception {
    Path file = app.data().resolve("makers-key.json");
    String phrase = "{\"phrase\":\"linen by the window\"}";
    byte[] sealed =
        http.json("POST", "/api/makers-key/export", phrase).body().getBytes(StandardCharsets.UTF_8);
    assertThat(Files.getPosixFilePermissions(file)).hasSize(2);
    String before = Files.readString(file);
    assertThat(http.json("POST", "/api/makers-key/export", "{\"phrase\":\"x\"}").body())
        .contains("at least 8 characters");
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/collections/1");
      page.locator("[data-opens=take-key]").click();
      page.locator("[data-take-key] [type=file]")
          .setInputFiles(
              new com.microsoft.playwright.options.FilePayload(
                  "key.json", "application/json", sealed));
      page.locator("[data-take-key] [name=phrase]").fill("another phrase");
      page.locator("[data-take-key] .primary").click();
      page.getByText("The pass phrase does not open this key.").waitFor();
      page.locator("[data-take-key] [name=phrase]").fill("linen by the window");
      page.locator("[data-take-key] .primary").click();
      page.waitForFunction(
          "() => /signs from now on/.test(document.querySelector('[data-key]').textContent)");
    }
    assertThat(Files.readString(file)).as("it was the same key").isEqualTo(before);
  }

  @Test
  void tablesAreMadeOfWhatGoesInWithHowTheyTravel() throws Exception {
    Fields job = http.job("/api/collections/1/tables?format=cube17", "");
    assertThat(job.text("said"))
        .matches(
            "\\d+ effects travel whole, at most ΔE 0\\.\\d\\d in the mean \\(.+\\), \\d+ in part, .*");
    byte[] zip = http.bytes("/jobs/%d/result".formatted(job.whole("id")));
    List<String> names = new java.util.ArrayList<>();
    try (var in = new java.util.zip.ZipInputStream(new java.io.ByteArrayInputStream(zip))) {
      for (var e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        names.add(e.getName());
      }
    }
    assertThat(names).contains("willow-basket/open-the-shade.cube", "tables.csv");
    assertThat(names).doesNotContain("willow-basket/face-light.cube");
    assertThat(http.json("POST", "/api/collections/1/tables?format=x", "").statusCode())
        .isEqualTo(422);
  }

  @Test
  void aReleaseThatWasChangedAfterSigningIsNotTakenIn() throws Exception {
    http.job("/api/collections/1/pack?seen=true", "");
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/collections/1");
      byte[] bytes = new Workplace(page).download("[data-packed] a[download]");
      byte[] changed = Repacked.with(bytes, "manifest.json", "First Weeks", "First Years");
      var answer = http.upload("/api/desk", "first.zip", changed);
      assertThat(answer.statusCode()).isEqualTo(422);
      assertThat(answer.body()).contains("“first.zip” was changed after it was signed");
    }
  }
}
