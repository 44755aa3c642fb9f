package org.nineveils.app.photo.photos;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.TestJournal;
import org.nineveils.app.testing.Database;

class SittingsTest {
  @TempDir Path folder;
  private Database database;
  private Journal journal;
  private Sittings sittings;
  private SavedResults saved;

  @BeforeEach
  void threePhotosAtTheDeskAndOneOnTheWall() {
    database = new Database(folder);
    journal = TestJournal.on(database);
    PhotoStore store = new PhotoStore(database.client());
    for (Side side : List.of(Side.DESK, Side.DESK, Side.DESK, Side.WALL)) {
      store.add(side, side + " " + store.count(side), "sha", 1, 1);
    }
    PhotoService photos = mock(PhotoService.class);
    when(photos.get(anyLong()))
        .thenAnswer(asked -> store.find(asked.<Long>getArgument(0)).orElseThrow());
    sittings = new Sittings(new SittingStore(database.client()), photos, journal);
    saved = new SavedResults(database.client());
  }

  @AfterEach
  void close() {
    database.close();
  }

  private List<String> names() {
    return sittings.all(Side.DESK).stream().map(Sittings.Sitting::name).toList();
  }

  @Test
  void aPhotoIsInOneSittingAndOneWithoutPhotosIsGone() {
    sittings.put(Side.DESK, "Hall of November", List.of(1L, 2L));
    sittings.put(Side.DESK, "HALL of november", List.of(3L));
    assertThat(names()).as("one name, however it is typed").containsExactly("Hall of November");
    sittings.put(Side.DESK, "Garden", List.of(1L, 2L, 3L));
    assertThat(names()).containsExactly("Garden");
    sittings.put(Side.DESK, " ", List.of(1L, 2L, 3L));
    assertThat(names()).isEmpty();
    assertThat(sittings.of(Side.DESK)).isEmpty();
  }

  @Test
  void eachStepIsTakenBackAndDoneAgain() {
    sittings.put(Side.DESK, "Hall", List.of(1L, 2L));
    Map<Long, Long> before = sittings.of(Side.DESK);
    sittings.put(Side.DESK, "Garden", List.of(1L, 2L));
    Map<Long, Long> after = sittings.of(Side.DESK);
    journal.step(PhotoService.scope(Side.DESK), Steps.last(false));
    assertThat(names()).containsExactly("Hall");
    assertThat(sittings.of(Side.DESK)).isEqualTo(before);
    journal.step(PhotoService.scope(Side.DESK), Steps.last(true));
    assertThat(names()).containsExactly("Garden");
    assertThat(sittings.of(Side.DESK)).isEqualTo(after);
  }

  @Test
  void photosOfTheOtherSideNoPhotosAndNamesThatAreTakenAreRefused() {
    sittings.put(Side.DESK, "Hall", List.of(1L));
    sittings.put(Side.DESK, "Garden", List.of(2L));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> sittings.put(Side.DESK, "Hall", List.of(3L, 4L)))
        .withMessageContaining("not all of one side");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> sittings.put(Side.DESK, "Hall", List.of()))
        .withMessageContaining("Tick the photos first");
    long garden = sittings.all(Side.DESK).get(1).id();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> sittings.rename(Side.DESK, garden, "hall"))
        .withMessageContaining("already");
    sittings.rename(Side.DESK, garden, "GARDEN");
    assertThat(names()).containsExactly("Hall", "GARDEN");
    assertThat(sittings.of(Side.DESK)).containsOnlyKeys(1L, 2L);
  }

  @Test
  void theLookThatWasSavedLastCountsAndAPhotoThatIsGoneIsLetBe() {
    saved.put(1, "a");
    saved.put(1, "b");
    saved.put(99, "a");
    assertThat(saved.stamps()).containsExactly(Map.entry(1L, "b"));
  }
}
