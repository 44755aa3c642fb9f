package org.nineveils.app.collections;

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

  private static String collection(String name, String version) {
    return """
        {"name": "%s", "version": "%s", "licence": "One line.", "notes": "Hello.", "kits": ["1"]}"""
        .formatted(name, version);
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
      page.getByText("Taken back: change Second Light").waitFor();
      assertThat(page.locator("[name=licence]").inputValue()).isEmpty();

      page.locator("[name=version]").fill("soon");
      page.locator("[name=version]").press("Tab");
      page.locator("form[data-autosave] .fault:not([hidden])").waitFor();
      assertThat(page.locator("[data-saved]").innerText()).isEqualTo("Not saved");
      assertThat(observed.faults()).allMatch(f -> f.contains("422"));
    }
  }

  @Test
  void packingTwiceFromOneStateGivesOneFileAndAChangedStateAsksForAVersion() throws Exception {
    String id = start("Third Light");
    http.json("PUT", "/api/collections/" + id, collection("Third Light", "1.0"));
    String first = http.json("POST", "/api/collections/" + id + "/pack", "").body();
    assertThat(first).contains("Packed “Third Light” 1.0 with 24 effects.");
    assertThat(http.json("POST", "/api/collections/" + id + "/pack", "").body())
        .contains("the file is the same");

    http.json(
        "PUT",
        "/api/collections/" + id,
        collection("Third Light", "1.0").replace("Hello", "Changed"));
    var refused = http.json("POST", "/api/collections/" + id + "/pack", "");
    assertThat(refused.statusCode()).isEqualTo(409);
    assertThat(refused.body()).contains("Raise the version");
    http.json("PUT", "/api/collections/" + id, collection("Third Light", "1.1"));
    assertThat(http.json("POST", "/api/collections/" + id + "/pack", "").statusCode())
        .isEqualTo(200);
  }

  @Test
  void theDemosReleaseIsSoundAndHoldsNoPaint() throws Exception {
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/collections/1");
      page.locator("[data-pack]").click();
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
    assertThat(refused.body()).contains("holds no effect yet");
  }
}
