package org.nineveils.app.base.paint;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.TestJournal;
import org.nineveils.app.testing.Database;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;

/** What painting and dragging add to the database. Before, 400 strokes added over a gigabyte. */
class GrowthTest {
  private static final long MOST = 20_000_000;
  private static final int STROKES = 1000; // on each of two veils: a veil takes 2 000
  private static final int MOVES = 2000;

  @TempDir Path folder;

  private static Stroke stroke(Random random) {
    List<Double> points = new ArrayList<>();
    for (int i = 0; i < 120; i++) {
      points.add(Math.round(random.nextDouble() * 100_000) / 100_000.0);
    }
    return new Stroke(points, 0.08, 0.7, 1, 0.25, true);
  }

  private long onTheDisk() throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.mapToLong(f -> f.toFile().length()).sum();
    }
  }

  @Test
  void twoThousandStrokesAndTwoThousandMovesAddAtMostTwentyMegabytes() throws Exception {
    try (Database database = new Database(folder)) {
      Journal journal = TestJournal.on(database);
      StrokeRows rows =
          StrokeRows.ofBench(database.client(), new ParsedStrokes(new Budget(100_000_000)));
      journal.quietly(
          () -> {
            for (String sql :
                List.of(
                    "insert into kit (id, name, name_key) values (1, 'K', 'k')",
                    "insert into section (id, kit_id, number, name, name_key, rule) values (1, 1, 1, 'S', 's', 'x')",
                    "insert into effect (id, kit_id, section_id, position, name, name_key, doc) values (1, 1, 1, 1, 'E', 'e', '')",
                    "insert into photo (id, side, name, name_key, sha, width, height) values (1, 'wall', 'P', 'p', 'x', 1, 1)")) {
              database.client().sql(sql).update();
            }
            return null;
          });
      long before = onTheDisk();
      Random random = new Random(3);
      for (int i = 0; i < 2 * STROKES; i++) {
        String veil = i % 2 == 0 ? "lips" : "eyes";
        journal.edit(
            "effect:1",
            "brush on",
            () -> {
              rows.add(1L, 1L, veil, stroke(random));
              return null;
            });
      }
      String veils =
          "{\"veils\": \"" + "a setting and its value, ".repeat(220) + "%d\"}"; // nine veils
      for (int i = 0; i < MOVES; i++) {
        String doc = veils.formatted(i);
        journal.edit(
            Set.of("effect:1"),
            "exposure",
            "hand " + i,
            () -> database.client().sql("update effect set doc = ?").param(doc).update());
      }
      assertThat(onTheDisk() - before).isLessThan(MOST);
      assertThat(rows.find(1L, 1L).get("lips").strokes()).hasSize(STROKES);
      journal.step("effect:1", Steps.last(false));
      assertThat(database.client().sql("select doc from effect").query(String.class).single())
          .isEqualTo(veils.formatted(MOVES - 2));
    }
  }

  @Test
  void paintIsPutTurnedRoundClearedAndTakenBackStrokeForStroke() {
    try (Database database = new Database(folder)) {
      Journal journal = TestJournal.on(database);
      StrokeRows rows =
          StrokeRows.ofFittings(database.client(), new ParsedStrokes(new Budget(1_000_000)));
      database
          .client()
          .sql(
              "insert into photo (id, side, name, name_key, sha, width, height) values (1, 'wall', 'P', 'p', 'x', 1, 1)")
          .update();
      database
          .client()
          .sql("insert into fitting (id, wardrobe, photo_id, doc) values (5, 'kit:1', 1, '{}')")
          .update();
      Random random = new Random(4);
      List<Stroke> strokes = List.of(stroke(random), stroke(random), stroke(random));
      for (Stroke s : strokes) {
        edit(journal, () -> rows.add(5L, "7", "v", s));
      }
      Paint painted = new Paint(strokes);
      assertThat(rows.find(5L, "7")).containsEntry("v", painted);
      Paint turned = painted.inverted(false);
      edit(journal, () -> rows.put(5L, "7", "v", turned));
      assertThat(rows.find(5L, "7")).containsEntry("v", turned);
      journal.step("fitting:5", Steps.last(false));
      assertThat(rows.find(5L, "7")).containsEntry("v", painted);
      journal.step("fitting:5", Steps.last(false));
      assertThat(rows.find(5L, "7").get("v").strokes()).isEqualTo(strokes.subList(0, 2));
      edit(journal, () -> rows.clear(5L, "7", "v"));
      assertThat(rows.find(5L, "7")).isEmpty();
      assertThat(rows.counts(5L, "7")).isEmpty();
    }
  }

  private static void edit(Journal journal, Runnable work) {
    journal.edit(
        "fitting:5",
        "paint",
        () -> {
          work.run();
          return null;
        });
  }
}
