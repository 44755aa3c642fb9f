package org.nineveils.app.base.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import java.io.ByteArrayInputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;

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
      assertThat(download.suggestedFilename()).isEqualTo("Studio, light skin-Open the shade.tif");
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

  /** Exif with a date and a serial number, as a TIFF block by hand (TIFF 6.0, Exif 2.32). */
  private static byte[] withData(byte[] jpeg) {
    ByteBuffer block = ByteBuffer.allocate(100).order(ByteOrder.LITTLE_ENDIAN);
    block.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
    block.putShort((short) 1).putShort((short) 0x8769).putShort((short) 4).putInt(1).putInt(26);
    block.putInt(0);
    block.putShort((short) 2);
    block.putShort((short) 0x9003).putShort((short) 2).putInt(20).putInt(56);
    block.putShort((short) 0xA431).putShort((short) 2).putInt(7).putInt(76).putInt(0);
    block.put("2026:05:04 10:11:12\0B-7781\0".getBytes(StandardCharsets.US_ASCII));
    byte[] exif = block.array();
    ByteBuffer out = ByteBuffer.allocate(jpeg.length + exif.length + 10);
    out.put(jpeg, 0, 2).putShort((short) 0xffe1).putShort((short) (exif.length + 8));
    out.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII)).put(exif);
    return out.put(jpeg, 2, jpeg.length - 2).array();
  }

  @Test
  void aResultKeepsThePhotosDataAndLeavesNumbersOutWhereTicked() throws Exception {
    byte[] plain = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
    int id =
        Json.read(http.upload("/api/photos/wall", "dated.jpg", withData(plain)).body(), "")
            .whole("id");
    try (var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/bench/3?photo=" + id);
      new Workplace(page).settle();
      Download all = page.waitForDownload(() -> page.locator("[data-format=jpg]").click());
      assertThat(new String(Files.readAllBytes(all.path()), StandardCharsets.ISO_8859_1))
          .contains("2026:05:04 10:11:12", "B-7781", "Nine Veils");
      page.getByText("Size, quality, data").click();
      page.getByLabel("Without place and numbers").check();
      page.getByLabel("JPEG quality").fill("60");
      page.getByLabel("JPEG quality").press("Tab");
      page.reload();
      new Workplace(page).settle();
      assertThat(page.getByLabel("Without place and numbers").isChecked()).isTrue();
      Download less = page.waitForDownload(() -> page.locator("[data-format=jpg]").click());
      assertThat(new String(Files.readAllBytes(less.path()), StandardCharsets.ISO_8859_1))
          .contains("2026:05:04 10:11:12")
          .doesNotContain("B-7781");
      assertThat(Files.size(less.path())).as("of less quality").isLessThan(Files.size(all.path()));
      Download deep = page.waitForDownload(() -> page.locator("[data-format=png16]").click());
      byte[] png = Files.readAllBytes(deep.path());
      assertThat(png[24]).as("bits of a sample, PNG 11.2.2").isEqualTo((byte) 16);
      assertThat(observed.faults()).isEmpty();
    }
    http.json("DELETE", "/api/photos/" + id, "");
  }

  @Test
  void aBatchGoesOnWhenThePageIsLeftAndIsSeenInTheHeaderStoppedAndItsResultsAreKept()
      throws Exception {
    String fitting = http.fitting("kit:3", 9);
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
    return String.valueOf(
        Json.read(http.get("/api/rack/3").body(), "The rack")
            .objects("effects", e -> e.whole("id"))
            .get(0));
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

  /** The process ended after the results were packed and before that was told. */
  @Test
  void aBatchThatWasPackedWhenTheApplicationEndedIsNotMadeAgain(@TempDir Path folder)
      throws Exception {
    RunningApp.on(folder, 0).close();
    try (var db = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("nine-veils.db"));
        var run = db.createStatement()) {
      run.execute(
          """
          insert into job (id, kind, subject, title, request, state, made_at) values
            (5, 'batch', 'fitting:1', 'One on 1 photo', '{"state": {}, "items": [
              {"file": "0", "name": "a.png"}]}', 'running', '2026-01-01T00:00:00Z')""");
    }
    Path results = Files.createDirectories(folder.resolve("jobs/5")).resolve("results.zip");
    try (var zip = new ZipOutputStream(Files.newOutputStream(results))) {
      zip.putNextEntry(new ZipEntry("a.jpg"));
    }
    RunningApp again = RunningApp.on(folder, 0);
    try {
      Fields job = new Http(again).ended(5);
      assertThat(job.text("said")).isEqualTo("1 photo is ready.");
      assertThat(job.text("state")).isEqualTo("done");
      assertThat(job.raw().get("faults")).isEqualTo(List.of());
    } finally {
      again.close();
    }
  }
}
