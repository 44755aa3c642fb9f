package org.nineveils.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Every table of the database has one owner: the room whose stores speak to it. Apart stand the
 * journal, which knows all recorded tables and whose order of edits anybody may read, and the
 * house, which keeps and tidies the database as a whole.
 */
class TableOwnersTest {
  private static final Path MAIN = Path.of("src/main/java/org/nineveils/app");
  private static final Pattern TEXT =
      Pattern.compile("\"\"\"(.*?)\"\"\"|\"((?:[^\"\\\\\n]|\\\\.)*)\"", Pattern.DOTALL);
  private static final Pattern STATEMENT =
      Pattern.compile("\\b(select|insert|update|delete|with)\\b");
  private static final Pattern NAMED =
      Pattern.compile("\\b(from|into|update|join)\\s+([a-z_]+)\\b");
  private static final Pattern MADE =
      Pattern.compile("create (?:virtual )?table (?:if not exists )?([a-z_]+)");
  private static final Set<String> READ_BY_ALL = Set.of("edit_scope");
  private static final Set<String> EVERYWHERE = Set.of("base/undo", "house/workspace");

  private static Set<String> tables() throws IOException {
    Set<String> out = new TreeSet<>();
    for (String root : new String[] {"src/main/resources/db", "src/main/java/db"}) {
      try (Stream<Path> all = Files.walk(Path.of(root))) {
        for (Path file : all.filter(Files::isRegularFile).toList()) {
          Matcher made = MADE.matcher(Files.readString(file));
          while (made.find()) {
            out.add(made.group(1));
          }
        }
      }
    }
    return out;
  }

  private static Map<String, Set<String>> owners(Set<String> tables) throws IOException {
    Map<String, Set<String>> out = new TreeMap<>();
    try (Stream<Path> all = Files.walk(MAIN)) {
      for (Path file : all.filter(f -> f.toString().endsWith(".java")).toList()) {
        String room = MAIN.relativize(file.getParent()).toString();
        Matcher text = TEXT.matcher(Files.readString(file));
        while (text.find()) {
          String words = text.group(1) == null ? text.group(2) : text.group(1);
          Matcher named = NAMED.matcher(words);
          while (STATEMENT.matcher(words).find() && named.find()) {
            if (tables.contains(named.group(2)) && !EVERYWHERE.contains(room)) {
              out.computeIfAbsent(named.group(2), t -> new TreeSet<>()).add(room);
            }
          }
        }
      }
    }
    return out;
  }

  @Test
  void everyTableIsSpokenToByOneRoom() throws IOException {
    Map<String, Set<String>> owners = owners(tables());
    assertThat(owners.keySet()).contains("effect", "fitting", "photo", "reading", "desk_release");
    owners.forEach(
        (table, rooms) -> {
          if (!READ_BY_ALL.contains(table)) {
            assertThat(rooms).as("table “%s”", table).hasSize(1);
          }
        });
  }
}
