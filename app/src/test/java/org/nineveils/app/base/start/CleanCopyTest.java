package org.nineveils.app.base.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class CleanCopyTest {
  private static final Pattern MIGRATION = Pattern.compile("V(\\d+)__.*");

  @Test
  void theNewestVersionIsThatOfTheLastMigration() throws IOException {
    int newest = 0;
    for (String root :
        new String[] {"src/main/resources/db/migration", "src/main/java/db/migration"}) {
      try (Stream<Path> all = Files.list(Path.of(root))) {
        for (Path file : all.toList()) {
          Matcher named = MIGRATION.matcher(file.getFileName().toString());
          newest = Math.max(newest, named.matches() ? Integer.parseInt(named.group(1)) : 0);
        }
      }
    }
    assertThat(CleanCopy.NEWEST).isEqualTo(newest);
  }
}
