package org.nineveils.app.leaving;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Json;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;

class CollectionsIT {
  @TempDir Path files;

  private final RunningApp app = RunningApp.demo();
  private final Http http = new Http(app);

  private String collection(String id, String version, String notes) {
    var now = Json.read(http.get("/api/collections/" + id).body(), "");
    return """
        {"rev": %d, "label": "fill", "collection": {"name": "%s", "version": "%s",
         "licence": "One line.", "notes": "%s", "kits": [1]}}"""
        .formatted(now.whole("rev"), now.object("collection").text("name"), version, notes);
  }

  private void change(String id, String version, String notes) {
    String body = collection(id, version, notes);
    assertThat(http.json("PUT", "/api/collections/" + id, body).statusCode()).isEqualTo(200);
  }

  private String start(String name) {
    String go =
        Json.read(
                http.json("POST", "/api/collections", "{\"name\": \"%s\"}".formatted(name)).body(),
                "")
            .text("go");
    return go.replaceAll("\\D", "");
  }

  @Test
  void changesAreSavedAsTheyAreMadeAndCanBeTakenBack() {
    String id = start("Second Light");
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/collections/" + id);
      page.locator("[name=licence]").fill("For one studio.");
      page.locator("[name=licence]").press("Tab");
      page.waitForFunction("() => !document.querySelector('[data-undo-button]').disabled");
      page.reload();
      assertThat(page.locator("[name=licence]").inputValue()).isEqualTo("For one studio.");
      page.locator(".crumbs").click();
      page.keyboard().press("Control+z");
      page.getByText("Taken back: licence of Second Light").waitFor();
      assertThat(page.locator("[name=licence]").inputValue()).isEmpty();

      page.locator("[name=version]").fill("soon");
      page.locator("[name=version]").press("Tab");
      page.locator("form[data-words] .fault:not([hidden])").waitFor();
      assertThat(page.locator("[data-saved]").innerText()).isEqualTo("Not saved");
      assertThat(observed.faults()).allMatch(f -> f.contains("422"));
    }
  }

  @Test
  void packingTwiceFromOneStateGivesOneFileAndAChangedStateAsksForAVersion() throws Exception {
    String id = start("Third Light");
    String pack = "/api/collections/" + id + "/pack?seen=true";
    change(id, "1.0", "Hello.");
    assertThat(http.job(pack, "").text("said"))
        .startsWith("Packed “Third Light” 1.0 with 24 effects, signed with key ");
    assertThat(http.job(pack, "").text("said")).contains("from the same state");

    change(id, "1.0", "Changed.");
    var refused = http.json("POST", pack, "");
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("packed before, from another state");
    change(id, "1.1", "Changed.");
    assertThat(http.job(pack, "").text("state")).isEqualTo("done");
  }

  /** A version that is out is out, whatever becomes of the collection and of undo. */
  @Test
  void aPackedVersionStaysWhenItsCollectionIsRemovedBroughtBackAndChanged() {
    String id = start("Fourth Light");
    String pack = "/api/collections/" + id + "/pack?seen=true";
    change(id, "1.0", "Hello.");
    http.job(pack, "");
    http.json("DELETE", "/api/collections/" + id, "");
    http.json("POST", "/api/collections/undo?redo=false", "");
    change(id, "1.0", "Other words.");
    assertThat(http.json("POST", pack, "").body()).contains("packed before, from another state");
    assertThat(http.get("/collections/" + id).body()).contains("Download");
  }

  @Test
  void theFormOfASecondTabIsToldAndLosesNothingOfTheFirst() {
    String id = start("Fifth Light");
    try (var first = app.page();
        var second = app.page()) {
      first.page().navigate("/collections/" + id);
      second.page().navigate("/collections/" + id);
      first.page().locator("[name=licence]").fill("Mine.");
      first.page().locator("[name=licence]").press("Tab");
      first
          .page()
          .waitForFunction(
              "() => document.querySelector('[data-saved]').textContent === 'Saved' && !document.querySelector('[data-undo-button]').disabled");
      second.page().locator("[name=notes]").fill("Theirs.");
      second.page().locator("[name=notes]").press("Tab");
      second.page().locator(".said.is-fault").waitFor();
      assertThat(second.page().locator("[name=licence]").inputValue()).isEqualTo("Mine.");
      second.page().getByText("Do mine again").click();
      second
          .page()
          .waitForFunction("() => document.querySelector('[data-saved]').textContent === 'Saved'");
      var stored = Json.read(http.get("/api/collections/" + id).body(), "").object("collection");
      assertThat(stored.text("licence") + stored.text("notes")).isEqualTo("Mine.Theirs.");
    }
  }

  @Test
  void theDemosReleaseIsSoundAndHoldsNoPaint() throws Exception {
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/collections/1");
      page.locator("[data-collection][data-ready]").waitFor();
      page.locator("[data-pack]").click();
      page.locator("#pack-all-the-same .primary").click();
      page.locator("a[download]").first().waitFor();
      Path file = files.resolve("release.zip");
      Files.write(file, new Workplace(page).download("a[download]"));
      Release release = ReleaseReader.read(file);
      assertThat(release.makersMark()).isEqualTo("Quillfern");
      assertThat(release.effects())
          .hasSizeGreaterThanOrEqualTo(8)
          .allMatch(e -> e.after().length > 1000);
      assertThat(release.kits().get(0).sections()).hasSizeGreaterThanOrEqualTo(3);
      assertThat(release.effects()).anyMatch(e -> !e.effect().note().isEmpty());
    }
  }

  @Test
  void anEmptyCollectionIsNotPacked() {
    String id = start("Nothing Yet");
    var refused = http.json("POST", "/api/collections/" + id + "/pack", "");
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("nothing goes in");
  }
}
