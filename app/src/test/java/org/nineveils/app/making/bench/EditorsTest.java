package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.nineveils.catalogue.Kinds;
import org.nineveils.mask.Mask;
import org.nineveils.mask.RuleKinds;
import org.nineveils.setting.Setting;

class EditorsTest {
  private static final Path EDITORS = Path.of("src/main/resources/static/js/base/editors");

  @Test
  void everyTypeOfSettingHasAnEditor() throws IOException {
    Stream<Setting<?>> all =
        Stream.of(
                Kinds.all().stream().flatMap(k -> k.settings().stream()),
                RuleKinds.all().stream().flatMap(k -> k.settings().stream()),
                Mask.EDGES.stream())
            .flatMap(s -> s);
    Set<String> types = all.map(Setting::type).collect(Collectors.toSet());
    String alone = Files.readString(EDITORS.resolve("editor.js"));
    String together = Files.readString(EDITORS.resolve("settings.js"));
    for (String type : types) {
      boolean known =
          Pattern.compile("EDITORS = \\{[^}]*\\b" + type + "\\b").matcher(alone).find()
              || together.contains("type === \"" + type + "\"");
      assertThat(known).as("an editor for “%s”", type).isTrue();
    }
    assertThat(types).contains("number", "curve", "choice", "colours", "picture");
  }
}
