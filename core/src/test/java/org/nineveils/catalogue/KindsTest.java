package org.nineveils.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.setting.Handle;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.VeilKind;

class KindsTest {
  @Test
  void everyFolderOfAKindIsInTheCatalogue() throws IOException {
    try (Stream<Path> folders = Files.list(Path.of("src/main/java/org/nineveils/veil"))) {
      assertThat(Kinds.all().stream().map(VeilKind::id))
          .containsExactlyInAnyOrderElementsOf(
              folders.filter(Files::isDirectory).map(f -> f.getFileName().toString()).toList());
    }
  }

  /** The small picture that offers a kind must show what it does. */
  @Test
  void theSampleOfEveryKindChangesAPhotoWithinItsRanges() {
    Picture photo = Scaling.toLongSide(Pictures.photo("newborn-red-blotchy-skin"), 120);
    for (VeilKind kind : Kinds.all()) {
      Picture out = Pictures.through(photo, Pictures.veil(kind.id(), kind.sample()));
      assertThat(Pictures.farthest(photo, out)).as(kind.id()).isGreaterThan(0.03);
    }
  }

  @Test
  void everyHandleMovesSettingsOfItsOwnKind() {
    for (VeilKind kind : Kinds.all()) {
      for (Handle handle : kind.handles()) {
        assertThat(kind.settings()).contains(handle.x(), handle.y());
        assertThat(kind.settings()).as(handle.label()).contains(handle.shown());
      }
    }
    assertThat(Kinds.all().stream().filter(k -> !k.handles().isEmpty())).hasSize(2);
  }
}
