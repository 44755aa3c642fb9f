package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Database;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;

class MovesTest {
  @TempDir Path folder;
  private Database database;
  private Moves moves;

  @BeforeEach
  void open() {
    database = new Database(folder);
    moves = new Moves(new FittingStore(database.client()), new MoveStore(database.client()));
    run(
        "insert into photo (id, side, name, name_key, sha, width, height) values (1, 'desk', 'P', 'p', 'x', 1, 1)");
  }

  @AfterEach
  void close() {
    database.close();
  }

  private void run(String sql, Object... values) {
    database.client().sql(sql).params(List.of(values)).update();
  }

  private List<String> texts(String sql) {
    return database.client().sql(sql).query(String.class).list();
  }

  private static String wearing(String... keys) {
    return Json.write(
        FittingJson.format(new Fitting(java.util.Arrays.stream(keys).map(Worn::fresh).toList())));
  }

  /**
   * A fitting of the new release that wears nothing now may hold pins: they were deleted with it.
   */
  @Test
  void pinsOfAFittingThatWearsNothingNowGoAlong() {
    run(
        "insert into fitting (id, wardrobe, photo_id, doc) values (1, 'release:1', 1, ?)",
        wearing("a"));
    run(
        "insert into fitting (id, wardrobe, photo_id, doc) values (2, 'release:2', 1, ?)",
        wearing());
    run("insert into pin (fitting_id, name, doc) values (1, 'Old', ?)", wearing("a"));
    run("insert into pin (fitting_id, name, doc) values (2, 'New', ?)", wearing("b2"));
    assertThat(moves.move("release:1", "release:2", Map.of("a", "a2"))).isZero();
    assertThat(texts("select wardrobe || ' ' || id from fitting")).containsExactly("release:2 1");
    assertThat(texts("select name from pin where fitting_id = 1 order by id"))
        .containsExactly("Old", "New");
    assertThat(texts("select doc ->> '$.worn[0].effect' from pin order by id"))
        .containsExactly("a2", "b2");
  }

  /** What an effect had is found again by the key that it has in the new one, paint and all. */
  @Test
  void whatWasLaidByGoesAlongUnderItsNewKey() {
    run(
        "insert into fitting (id, wardrobe, photo_id, doc) values (1, 'release:1', 1, ?)",
        wearing("a"));
    run(
        "insert into fitting (id, wardrobe, photo_id, doc) values (2, 'release:2', 1, ?)",
        wearing());
    for (String of : List.of("1 b", "2 b2", "2 c2")) {
      Object[] parts = {Integer.valueOf(of.substring(0, 1)), of.substring(2)};
      run(
          "insert into laid_by (fitting_id, effect, doc) values (?, ?, ?)",
          parts[0],
          parts[1],
          wearing((String) parts[1]));
      run(
          "insert into fitting_stroke (fitting_id, effect, veil, place, doc) values (?, ?, '*', 1, '{}')",
          parts);
    }
    moves.move("release:1", "release:2", Map.of("a", "a2", "b", "b2"));
    LaidByStore laidBy = new LaidByStore(database.client());
    assertThat(laidBy.keys(1)).containsExactlyInAnyOrder("b2", "c2");
    assertThat(laidBy.find(1, "b2")).contains(Worn.fresh("b2"));
    assertThat(texts("select fitting_id || effect from fitting_stroke order by effect"))
        .as("of what both had, that of the one that goes on stays")
        .containsExactly("1b2", "1c2");
  }

  @Test
  void aFittingThatWearsSomethingStaysAsItIs() {
    run(
        "insert into fitting (id, wardrobe, photo_id, doc) values (1, 'release:1', 1, ?)",
        wearing("a"));
    run(
        "insert into fitting (id, wardrobe, photo_id, doc) values (2, 'release:2', 1, ?)",
        wearing("b2"));
    assertThat(moves.move("release:1", "release:2", Map.of("a", "a2"))).isEqualTo(1);
    assertThat(texts("select wardrobe from fitting order by id"))
        .containsExactly("release:1", "release:2");
  }
}
