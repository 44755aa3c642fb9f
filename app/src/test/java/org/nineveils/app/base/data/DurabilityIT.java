package org.nineveils.app.base.data;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.PackedApp;
import org.nineveils.document.Json;

/** An edit that was answered survives the process being killed, with its undo. */
class DurabilityIT {
  @TempDir Path data;

  @Test
  void whatWasAnsweredIsThereAfterKillMinusNine() throws Exception {
    byte[] photo = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
    try (PackedApp app = new PackedApp(data, "512m")) {
      Http http = new Http(app.url());
      assertThat(http.upload("/api/photos/wall", "dog.jpg", photo).statusCode()).isEqualTo(200);
      http.json("POST", "/api/kits", "{\"name\": \"Kept kit\"}");
      http.json("POST", "/api/sections/1/effects", "{\"name\": \"Kept effect\"}");
      String save =
          """
          {"rev": 1, "label": "hang Even", "effect": {"edition": 1, "note": "n", "veils": [
            {"id": "a", "name": "Even", "kind": "light", "blend": "screen", "opacity": 0.25,
             "mask": {"cover": "everywhere"}, "settings": {"exposure": 1}}]}}""";
      assertThat(http.json("PUT", "/api/effects/1", save).statusCode()).isEqualTo(200);
    } // SIGKILL

    try (PackedApp app = new PackedApp(data, "512m")) {
      Http again = new Http(app.url());
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
    }
  }
}
