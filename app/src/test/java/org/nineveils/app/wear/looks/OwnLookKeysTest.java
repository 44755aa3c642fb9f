package org.nineveils.app.wear.looks;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Database;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;

/** Looks follow what their effects are of. */
class OwnLookKeysTest {
  @TempDir Path folder;
  private Database database;
  private OwnLookStore store;
  private OwnLookKeys keys;

  @BeforeEach
  void open() {
    database = new Database(folder);
    store = new OwnLookStore(database.client());
    keys = new OwnLookKeys(store);
    keep("One", "release:1#a", "release:11#a");
    keep("Other", "release:11#b");
  }

  @AfterEach
  void close() {
    database.close();
  }

  private void keep(String name, String... worn) {
    Fitting look = new Fitting(java.util.Arrays.stream(worn).map(Worn::fresh).toList());
    store.add(name, look, 0);
  }

  private List<String> of(String name) {
    return store.find(store.named(name).orElseThrow()).orElseThrow().look().worn().stream()
        .map(Worn::effect)
        .toList();
  }

  @Test
  void anUpdateMovesItsEffectsAloneAndWhatTheNewOneLacksStaysWithTheOld() {
    keys.move("release:1", "release:2", Map.of("a", "a2"));
    assertThat(of("One")).containsExactly("release:2#a2", "release:11#a");
    assertThat(of("other")).containsExactly("release:11#b");
    keys.move("release:2", "release:1", Map.of("else", "x"));
    assertThat(of("One")).containsExactly("release:2#a2", "release:11#a");
  }

  @Test
  void whatLeftTheDeskIsKnownWhenItComesBackAndNothingElseIsTakenForIt() {
    keys.leaves("release:11", "5ha", "Mosses 1.0");
    assertThat(of("One")).containsExactly("release:1#a", "gone:5ha#a");
    assertThat(store.all().get(1).gone()).containsExactly(Map.entry("gone:5ha", "Mosses 1.0"));
    keys.comesBack("5hb", "release:12");
    assertThat(of("Other")).containsExactly("gone:5ha#b");
    keys.comesBack("5ha", "release:13");
    assertThat(of("One")).containsExactly("release:1#a", "release:13#a");
    assertThat(store.all()).allMatch(look -> look.gone().isEmpty());
  }
}
