package org.nineveils.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
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
}
