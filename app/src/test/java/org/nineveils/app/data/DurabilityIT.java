package org.nineveils.app.data;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.document.Json;

/** An edit that was answered survives the process being killed, with its undo. */
class DurabilityIT {
  @TempDir Path data;

  private Process process;

  private String start() throws IOException {
    process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx512m",
                "-jar",
                "target/nine-veils.jar",
                "--server.port=0",
                "--nineveils.data=" + data)
            .redirectErrorStream(true)
            .start();
    BufferedReader lines =
        new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    for (String line = lines.readLine(); line != null; line = lines.readLine()) {
      if (line.startsWith("Nine Veils is ready: ")) {
        return line.substring(line.indexOf("http")).replaceAll("/$", "");
      }
    }
    throw new IllegalStateException("the application ended before it was ready");
  }

  private void kill() throws InterruptedException {
    process.destroyForcibly(); // SIGKILL: nothing is tidied up
    assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void whatWasAnsweredIsThereAfterKillMinusNine() throws Exception {
    byte[] photo = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
    try {
      Http http = new Http(start());
      assertThat(http.upload("/api/photos/wall", "dog.jpg", photo).statusCode()).isEqualTo(200);
      http.json("POST", "/api/kits", "{\"name\": \"Kept kit\"}");
      http.json("POST", "/api/sections/1/effects", "{\"name\": \"Kept effect\"}");
      String save =
          """
          {"rev": 1, "label": "hang Even", "effect": {"edition": 1, "note": "n", "veils": [
            {"id": "a", "name": "Even", "kind": "light", "blend": "screen", "opacity": 0.25,
             "mask": {"cover": "everywhere"}, "settings": {"exposure": 1}}]}}""";
      assertThat(http.json("PUT", "/api/effects/1", save).statusCode()).isEqualTo(200);
      kill();

      Http again = new Http(start());
      var state = Json.read(again.get("/api/effects/1?photo=1").body(), "");
      assertThat(state.object("effect").objects("veils", v -> v.text("blend")))
          .containsExactly("screen");
      assertThat(again.get("/photos/1/small").statusCode()).isEqualTo(200);
      var undone = again.json("POST", "/api/effects/1/undo?redo=false&photo=1", "");
      assertThat(undone.body()).contains("Taken back: hang Even");
      assertThat(
              Json.read(again.get("/api/effects/1?photo=1").body(), "")
                  .object("effect")
                  .list("veils"))
          .isEmpty();
    } finally {
      kill();
    }
  }
}
