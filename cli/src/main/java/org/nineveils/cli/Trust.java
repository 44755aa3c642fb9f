package org.nineveils.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import org.nineveils.document.DocumentException;
import org.nineveils.document.Json;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.signing.PublicKeys;
import org.nineveils.release.signing.Signed;
import picocli.CommandLine.Option;

/**
 * Opens releases, and remembers by which key each maker signs: in the file that the variable
 * NINEVEILS_KEYS names, otherwise in nine-veils/known-keys.json below the folder of settings (XDG
 * Base Directory Specification).
 */
final class Trust {
  /** Names the file in tests. */
  static final String PROPERTY = "nineveils.keys";

  private static final String NONE = "none";

  @Option(
      names = "--trust",
      description = {
        "take a release that is signed by another key than what came from its maker before, or not",
        "signed any more, and remember that",
      })
  private boolean trust;

  /**
   * Opens a release.
   *
   * @throws Refusal with a sentence if its maker signed with another key before
   */
  Release read(Path file) {
    return looked(file, ReleaseReader.read(file));
  }

  /** Opens a release and reads all its pictures. */
  Release check(Path file) {
    return looked(file, ReleaseReader.check(file));
  }

  private Release looked(Path file, Release release) {
    Signed signed = ReleaseReader.signed(file);
    String mark = Names.key(release.makersMark());
    String key = signed.state() == Signed.State.SOUND ? signed.key() : NONE;
    if (mark.isEmpty()) {
      return release; // nobody is named whose key it could be
    }
    Map<String, String> known = known();
    String before = known.get(mark);
    boolean other = before != null && !before.equals(key) && !before.equals(NONE);
    if (other && !trust) {
      throw new Refusal(
          "“%s” is %s, but what came as “%s” before was signed with key %s. Ask the maker if that is right; --trust takes it then."
              .formatted(
                  file.getFileName(),
                  key.equals(NONE) ? "not signed" : "signed with key " + PublicKeys.named(key),
                  release.makersMark(),
                  PublicKeys.named(before)));
    }
    if (!key.equals(before) && (before == null || trust || before.equals(NONE))) {
      known.put(mark, key);
      keep(known);
    }
    return release;
  }

  private static Path file() {
    String named = System.getProperty(PROPERTY, System.getenv().getOrDefault("NINEVEILS_KEYS", ""));
    if (!named.isEmpty()) {
      return Path.of(named);
    }
    String settings = System.getenv().getOrDefault("XDG_CONFIG_HOME", "");
    Path base =
        settings.isEmpty()
            ? Path.of(System.getProperty("user.home"), ".config")
            : Path.of(settings);
    return base.resolve("nine-veils").resolve("known-keys.json");
  }

  /** Keys by mark; none where nothing is kept yet. */
  private static Map<String, String> known() {
    Map<String, String> out = new LinkedHashMap<>();
    Path file = file();
    if (!Files.exists(file)) {
      return out;
    }
    try {
      Json.read(Files.readString(file, StandardCharsets.UTF_8), "The file of known keys")
          .raw()
          .forEach((mark, key) -> out.put(mark, isKey(key) ? String.valueOf(key) : NONE));
      return out;
    } catch (IOException | DocumentException e) {
      throw new Refusal(
          "Known keys are kept in %s, which cannot be read. Mend it or take it away."
              .formatted(file));
    }
  }

  private static boolean isKey(Object key) {
    return String.valueOf(key).matches("[0-9a-f]{64}");
  }

  private static void keep(Map<String, String> known) {
    Path file = file().toAbsolutePath();
    try {
      Files.createDirectories(file.getParent());
      Path part = file.resolveSibling(file.getFileName() + ".part");
      Files.writeString(part, Json.writePretty(new LinkedHashMap<>(known)), StandardCharsets.UTF_8);
      Files.move(part, file, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      // it cannot be remembered here; the release itself is as good as it is
    }
  }
}
