package org.nineveils.app.workspace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.start.BackupFile;
import org.nineveils.app.start.CannotStart;
import org.nineveils.app.start.DataCheck;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.document.Fields;
import org.nineveils.refusal.Refusal;

class BackupIT {
  @TempDir Path folder;
  private final Http demo = new Http(RunningApp.demo());

  private Path backup(boolean photos) throws Exception {
    Fields job = demo.job("/api/safe/backup", "{\"photos\": %s}".formatted(photos));
    assertThat(job.text("state")).isEqualTo("done");
    Path file = folder.resolve("b%s.zip".formatted(photos));
    return Files.write(file, demo.bytes("/jobs/%d/result".formatted(job.whole("id"))));
  }

  @Test
  void aWorkspaceIsTheSameAfterItWasBackedUpWhileItRanAndRestoredElsewhere() throws Exception {
    Path file = backup(true);
    assertThat(BackupFile.check(file).photos()).isTrue();
    Path there = folder.resolve("there");
    RunningApp other = RunningApp.on(there, 0, "--nineveils.restore=" + file);
    try {
      Http http = new Http(other);
      String kits = "/kits/file?kits=1,2,3";
      assertThat(http.bytes(kits)).isEqualTo(demo.bytes(kits));
      for (String address : List.of("/photos/6/small", "/effects/4/on/1", "/pictures")) {
        assertThat(http.get(address).body()).isEqualTo(demo.get(address).body());
      }
      assertThat(http.get("/api/effects/4?photo=1").body())
          .isEqualTo(demo.get("/api/effects/4?photo=1").body());
    } finally {
      other.close();
    }
  }

  @Test
  void withoutPhotosKitsComeAloneAndAreWhole() throws Exception {
    Path file = backup(false);
    assertThat(Files.size(file)).isLessThan(Files.size(backup(true)) / 2);
    Path there = folder.resolve("bare");
    RunningApp other = RunningApp.on(there, 0, "--nineveils.restore=" + file);
    try {
      Http http = new Http(other);
      assertThat(http.bytes("/kits/file?kits=1")).isEqualTo(demo.bytes("/kits/file?kits=1"));
      assertThat(http.get("/api/photos/wall").body()).doesNotContain("Black dog");
      assertThat(http.get("/kits/1").statusCode()).isEqualTo(200);
    } finally {
      other.close();
    }
  }

  @Test
  void whatIsBroughtBackTakesThePlaceAtTheNextStartAndWhatWasThereIsSetAside() throws Exception {
    Path file = backup(true);
    Path there = folder.resolve("again");
    RunningApp first = RunningApp.on(there, 0);
    try (var observed = first.page()) {
      Http http = new Http(first);
      http.json("POST", "/api/kits", "{\"name\": \"Mine before\"}");
      Page page = observed.page();
      page.navigate("/safe");
      page.locator("[data-restore]").setInputFiles(file);
      page.locator("dialog[data-asks]").waitFor();
      assertThat(page.locator("dialog[data-asks]").innerText())
          .contains("3 kits", "set aside and not overwritten");
      page.locator("dialog[data-asks]").getByText("Let it take the place").click();
      page.getByText("A backup takes the place of what is here at the next start.").waitFor();
      assertThat(http.get("/kits").body()).contains("Mine before");
      assertThat(observed.faults()).isEmpty();
    } finally {
      first.close();
    }
    RunningApp second = RunningApp.on(there, 0);
    try {
      String kits = new Http(second).get("/kits").body();
      assertThat(kits).contains("Willow Basket").doesNotContain("Mine before");
      assertThat(new Http(second).get("/safe").body()).contains("set-aside-");
    } finally {
      second.close();
    }
    try (Stream<Path> all = Files.list(there)) {
      assertThat(all).anyMatch(f -> f.getFileName().toString().startsWith("set-aside-"));
    }
    assertThat(there.resolve(DataCheck.NEXT)).doesNotExist();
  }

  @Test
  void aDamagedBackupIsRefusedBeforeAnythingTakesAPlace() throws Exception {
    Path file = backup(true);
    byte[] bytes = Files.readAllBytes(file);
    bytes[bytes.length / 2] ^= 0x20;
    Files.write(file, bytes);
    assertThatThrownBy(() -> BackupFile.check(file))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(file.getFileName().toString());
    Path there = folder.resolve("kept");
    RunningApp.on(there, 0).close();
    byte[] before = Files.readAllBytes(there.resolve(DataCheck.DATABASE));
    assertThatThrownBy(() -> DataCheck.of(there, file.toString(), false))
        .isInstanceOf(CannotStart.class);
    assertThat(Files.readAllBytes(there.resolve(DataCheck.DATABASE))).isEqualTo(before);
    Path odd = Files.writeString(folder.resolve("odd.zip"), "no backup");
    assertThatThrownBy(() -> BackupFile.check(odd)).isInstanceOf(Refusal.class);
  }

  @Test
  void whatLiesWhereAndHowLargeIsTold() {
    String page = demo.get("/safe").body();
    assertThat(page).contains("nine-veils.db", "files", "thumbnails", "the last seven are kept");
    assertThat(page).contains(RunningApp.demo().data().toString());
  }
}
