package org.nineveils.app.making.maker;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.nineveils.app.base.data.DataFolder;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.release.signing.MakersKey;
import org.nineveils.release.signing.SealedKey;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Service;

/**
 * The maker's key: a file of its own beside the database, for its owner's eyes alone (0600), in no
 * backup and in no kit file. It is made when something is signed first.
 */
@Service
public class KeyFile {
  private static final String NAME = "makers-key.json";

  private final Path file;
  private final Clock clock;

  @Autowired
  KeyFile(Environment environment, Clock clock) {
    this(DataFolder.path(environment), clock);
  }

  KeyFile(Path folder, Clock clock) {
    this.file = folder.resolve(NAME);
    this.clock = clock;
  }

  /**
   * A key and since when it is here.
   *
   * @param since such as 2026-11-27T20:10:00Z
   */
  public record Kept(MakersKey key, String since) {}

  /** The key; empty where nothing was signed yet. */
  public synchronized Optional<Kept> find() {
    if (!Files.exists(file)) {
      return Optional.empty();
    }
    try {
      Fields f = Json.read(Files.readString(file), "The maker's key");
      return Optional.of(new Kept(new MakersKey(f.text("seed"), f.text("key")), f.text("since")));
    } catch (IOException e) {
      throw new UncheckedIOException("the maker's key cannot be read", e);
    }
  }

  /** The key; made now where there was none. */
  public synchronized MakersKey get() {
    return find().map(Kept::key).orElseGet(() -> keep(MakersKey.make()));
  }

  private MakersKey keep(MakersKey key) {
    String since = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
    String text =
        Json.writePretty(Json.object("seed", key.seed(), "key", key.key(), "since", since));
    Path next = file.resolveSibling(NAME + ".new");
    FileAttribute<?> owner =
        PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------"));
    try {
      Files.deleteIfExists(next);
      Files.createFile(next, owner);
      Files.write(next, text.getBytes(StandardCharsets.UTF_8));
      Files.move(next, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      throw new UncheckedIOException("the maker's key cannot be kept", e);
    }
    return key;
  }

  /** The key as a file under a pass phrase. */
  public synchronized String export(String phrase) {
    return SealedKey.write(get(), phrase);
  }

  /**
   * Takes a key from a file in the place of the one that is here, which is set aside beside it.
   *
   * @throws org.nineveils.refusal.Refusal with a sentence if the file is none or the phrase is
   *     another; then the key that is here stays
   */
  public synchronized MakersKey take(byte[] sealed, String phrase) {
    MakersKey key = SealedKey.open(sealed, phrase);
    if (find().filter(kept -> kept.key().equals(key)).isPresent()) {
      return key;
    }
    if (Files.exists(file)) {
      String day = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString().replace(":", "");
      try {
        Files.move(file, file.resolveSibling("makers-key-until-%s.json".formatted(day)));
      } catch (IOException e) {
        throw new UncheckedIOException("the maker's key cannot be set aside", e);
      }
    }
    return keep(key);
  }
}
