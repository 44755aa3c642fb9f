package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.LargeHouse;
import org.nineveils.app.testing.RunningApp;

/**
 * A thousand effects and five hundred photos: pages stay light, and what is asked again is not sent
 * again.
 */
class ScaleIT {
  private static final int MOST = 300_000;

  @TempDir Path folder;

  @Test
  void everyPageIsUnder300Kilobytes() throws Exception {
    LargeHouse.build(folder, 1000, 500);
    RunningApp app = RunningApp.on(folder, 0);
    try {
      Http http = new Http(app);
      String id = http.fitting("kit:1", 1);
      String fitting = "/fitting/" + id;
      for (int effect = 1; effect <= 3; effect++) {
        http.json(
            "POST", "/api/fittings/" + id + "/wear", "{\"effect\": \"%d\"}".formatted(effect));
      }
      for (String page :
          List.of(
              "/kits",
              "/kits/1",
              "/bench/1",
              fitting,
              "/proofs/1",
              "/photos",
              "/collections/1",
              "/collections",
              "/desk",
              "/jobs",
              "/api/proofs/1",
              "/api/fittings/" + id)) {
        assertThat(http.get(page).body().length()).as(page).isBetween(10, MOST);
      }
    } finally {
      app.close();
    }
  }

  /** A small picture is sent once; asked for again, it is neither made nor read. */
  @Test
  void smallPicturesCarryAStrongValidatorThatChangesWithWhatTheyShow() throws Exception {
    RunningApp app = RunningApp.on(folder, 0);
    try {
      Http http = new Http(app);
      byte[] photo = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
      http.upload("/api/photos/wall", "dog.jpg", photo);
      http.json("POST", "/api/kits", "{\"name\": \"K\"}");
      http.json("POST", "/api/sections/1/effects", "{\"name\": \"E\"}");
      String small = "/effects/1/small?photo=1";
      String tag = http.get(small).headers().firstValue("ETag").orElseThrow();
      assertThat(tag).doesNotStartWith("W/");
      assertThat(http.get(small, "If-None-Match", tag).statusCode()).isEqualTo(304);
      http.json(
          "PUT",
          "/api/effects/1",
          """
          {"rev": 1, "label": "x", "effect": {"edition": 1, "veils": [
            {"id": "a", "name": "A", "kind": "light", "blend": "normal", "opacity": 1,
             "mask": {"cover": "brush-on"}, "settings": {"exposure": 1}}]}}""");
      String changed = http.get(small).headers().firstValue("ETag").orElseThrow();
      assertThat(changed).isNotEqualTo(tag);
      assertThat(http.get(small, "If-None-Match", tag).statusCode()).isEqualTo(200);
      http.json(
          "POST",
          "/api/effects/1/paint",
          """
          {"photo": 1, "veil": "a", "stroke": {"points": [0.3, 0.3], "size": 0.3, "softness": 0.5,
           "strength": 1, "flow": 1, "reveal": true}}""");
      assertThat(http.get(small).headers().firstValue("ETag").orElseThrow()).isNotEqualTo(changed);
    } finally {
      app.close();
    }
  }
}
