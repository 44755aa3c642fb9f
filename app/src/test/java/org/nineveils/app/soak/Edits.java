package org.nineveils.app.soak;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.nineveils.app.testing.Http;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** Edits as a page makes them, and what was acknowledged of them. */
final class Edits {
  private static final String EFFECT =
      """
      {"rev": %d, "label": "exposure", "gesture": "%s", "effect": {"edition": 1, "note": "%s", "veils": [
        {"id": "a", "name": "Even", "kind": "light", "blend": "normal", "opacity": 1,
         "mask": {"cover": "brush-on"}, "settings": {"exposure": %s}}]}}""";

  private final Random random = new Random(11);
  private final int effect;
  private final int photo;

  /** The note of the last save that was answered, and how many strokes were. */
  String note = "";

  int strokes;
  int saves;

  Edits(int effect, int photo) {
    this.effect = effect;
    this.photo = photo;
  }

  private Fields state(Http http) {
    return Json.read(http.get("/api/effects/%d?photo=%d".formatted(effect, photo)).body(), "");
  }

  /** Saves a setting. @return whether it was acknowledged */
  boolean save(Http http) {
    String next = "save " + (saves + 1);
    String body =
        EFFECT.formatted(
            state(http).whole("rev"), "hand " + saves, next, random.nextInt(40) / 10.0 - 2);
    boolean taken = http.json("PUT", "/api/effects/" + effect, body).statusCode() == 200;
    if (taken) {
      note = next;
      saves++;
    }
    return taken;
  }

  /** Paints. @return whether it was acknowledged */
  boolean paint(Http http) {
    List<String> points = new ArrayList<>();
    double x = random.nextInt(70) / 100.0;
    double y = random.nextInt(70) / 100.0;
    for (int i = 0; i < 60; i++) { // as a hand goes: a little further each time
      x += random.nextInt(80) / 10_000.0 - 0.003;
      y += random.nextInt(80) / 10_000.0 - 0.004;
      points.add("%.5f".formatted(x));
      points.add("%.5f".formatted(y));
    }
    String body =
        """
        {"photo": %d, "veil": "a", "stroke": {"points": [%s], "size": 0.05, "softness": 0.5,
         "strength": 1, "flow": 0.5, "reveal": true}}"""
            .formatted(photo, String.join(", ", points));
    boolean taken =
        http.json("POST", "/api/effects/%d/paint".formatted(effect), body).statusCode() == 200;
    strokes += taken ? 1 : 0;
    return taken;
  }

  /** Asks for a picture as a stage does. @return its status */
  int render(Http http, int longSide) {
    String body =
        "{\"photo\": %d, \"effect\": %s, \"longSide\": %d, \"view\": \"soak-%d\"}"
            .formatted(photo, Json.write(state(http).object("effect").raw()), longSide, effect);
    return http.json("POST", "/api/effects/%d/render".formatted(effect), body).statusCode();
  }

  /**
   * Whether all that was acknowledged is there. What was sent and not answered may be there too:
   * one save, one stroke.
   */
  boolean isAllThere(Http http) {
    Fields state = state(http);
    String stored = state.object("effect").text("note");
    if (saves == 0 && !stored.startsWith("save ")) {
      stored = ""; // what the house began with
    }
    Fields painted = state.object("painted");
    int there = painted.has("a") ? painted.whole("a") : 0;
    boolean saved = stored.equals(note) || stored.equals("save " + (saves + 1));
    boolean whole = saved && (there == strokes || there == strokes + 1);
    if (whole) { // go on from what is there
      saves = stored.isEmpty() ? 0 : Integer.parseInt(stored.replace("save ", ""));
      note = stored;
      strokes = there;
    }
    return whole;
  }
}
