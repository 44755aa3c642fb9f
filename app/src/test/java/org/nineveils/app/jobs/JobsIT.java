package org.nineveils.app.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureReader;

/**
 * Long work is seen on every page, goes on when the page is left, can be stopped, and keeps its
 * result.
 */
class JobsIT {
  private final RunningApp app = RunningApp.demo();
  private final Http http = new Http(app);

  @Test
  void aFullSizeResultIsAJobAndComesAsAFileWhenItIsThere() throws Exception {
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/bench/3?photo=4");
      new Workplace(page).settle();
      Download download = page.waitForDownload(() -> page.locator("[data-format=tif]").click());
      assertThat(download.suggestedFilename()).isEqualTo("studio-light-skin-open-the-shade.tif");
      Picture picture = PictureReader.read(Files.readAllBytes(download.path()), "result.tif");
      assertThat(picture.width()).isEqualTo(1200);
      page.navigate("/jobs");
      page.locator(".job").first().waitFor();
      assertThat(page.locator(".job").first().innerText())
          .contains("“Studio, light skin” through “Open the shade”", "done");
      byte[] again = new Workplace(page).download(".job:first-child a");
      assertThat(again).isEqualTo(Files.readAllBytes(download.path()));
      assertThat(observed.faults()).isEmpty();
    }
  }

  @Test
  void aBatchGoesOnWhenThePageIsLeftAndIsSeenInTheHeaderStoppedAndItsResultsAreKept()
      throws Exception {
    http.get("/fitting/of?wardrobe=kit:3&photo=9");
    String fitting =
        http.get("/fitting/of?wardrobe=kit:3&photo=9")
            .headers()
            .firstValue("Location")
            .orElseThrow()
            .replaceAll(".*/", "");
    http.json(
        "POST", "/api/fittings/" + fitting + "/wear", "{\"effect\": \"%s\"}".formatted(pet()));
    String body = "{\"photos\": [1,2,3,4,5,6,7,8,10,11,1,2,3,4,5,6,7,8,10,11]}";
    Fields job =
        Json.read(http.json("POST", "/api/fittings/" + fitting + "/batch", body).body(), "")
            .object("progress");
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/kits");
      page.locator("[data-jobs-sign]").waitFor();
      assertThat(page.locator("[data-jobs-sign]").innerText()).contains("job");
      page.locator("[data-jobs-sign]").click();
      page.waitForFunction(
          "id => Number(document.querySelector(`[data-job='${id}'] progress`)?.value ?? 0) > 0",
          job.whole("id"));
      page.locator("[data-job='%d'] button".formatted(job.whole("id"))).click();
      page.locator("[data-job='%d'][data-state=stopped] a".formatted(job.whole("id"))).waitFor();
      byte[] zip = new Workplace(page).download("[data-job='%d'] a".formatted(job.whole("id")));
      int pictures = 0;
      try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
        while (in.getNextEntry() != null) {
          assertThat(PictureReader.read(in.readAllBytes(), "result").longSide()).isEqualTo(1800);
          pictures++;
        }
      }
      assertThat(pictures).isBetween(1, 19);
      assertThat(observed.faults()).isEmpty();
    }
  }

  /** The key of some effect of the third kit. */
  private String pet() {
    return http.get("/kits/3").body().replaceAll("(?s).*?data-effect=\"(\\d+)\".*", "$1");
  }

  @Test
  void whatCouldBeTidiedIsToldAndTidiedOnRequest() {
    Fields look = Json.read(http.get("/api/tidy").body(), "");
    assertThat(look.names()).contains("bytes", "files", "words");
    assertThat(http.job("/api/tidy", "").text("state")).isEqualTo("done");
    assertThat(http.get("/photos/1/small").statusCode()).isEqualTo(200);
  }

  /** What pages see of memory and what is kept in it, in bytes, by shelf. */
  @Test
  void memoryIsToldByTheActuator() {
    http.get("/photos/1/small");
    Fields memory = Json.read(http.get("/actuator/memory").body(), "");
    assertThat(memory.number("kept")).isLessThanOrEqualTo(memory.number("keptMost"));
    assertThat(memory.number("keptMost")).isLessThan(memory.number("heapMost") / 2);
    assertThat(memory.object("shelves").names()).isNotEmpty();
    assertThat(http.get("/actuator/env").statusCode()).isEqualTo(404);
  }
}
