package org.nineveils.app.base.data;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Supplier;
import org.nineveils.refusal.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Small rendered pictures on the disk, by a key that changes with everything they depend on. */
public class PictureCache {
  private static final Logger LOG = LoggerFactory.getLogger(PictureCache.class);
  private final Path folder;

  PictureCache(Path folder) {
    this.folder = folder;
  }

  /** Whether a picture is kept under that key. */
  public boolean has(String key) {
    return Files.exists(file(key));
  }

  /** The kept picture. */
  public Optional<byte[]> find(String key) {
    Path file = file(key);
    try {
      if (!Files.exists(file)) {
        return Optional.empty();
      }
      touch(file);
      return Optional.of(Files.readAllBytes(file));
    } catch (IOException e) {
      return Optional.empty(); // a picture that cannot be read is made anew
    }
  }

  /** The kept picture, made and kept first where there is none. */
  public byte[] get(String key, Supplier<byte[]> make) {
    Optional<byte[]> found = find(key);
    if (found.isPresent()) {
      return found.get();
    }
    byte[] made = make.get();
    try {
      Path file = file(key);
      Files.createDirectories(file.getParent());
      Path part = Files.createTempFile(folder, "new-", ".part");
      try {
        Files.write(part, made);
        Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
      } finally {
        Files.deleteIfExists(part);
      }
    } catch (IOException e) {
      LOG.warn("a small picture could not be kept: {}", e.getMessage()); // it is shown all the same
    }
    return made;
  }

  /** Notes that a picture is still looked at, once a day. */
  private static void touch(Path file) throws IOException {
    Instant now = Instant.now();
    if (Files.getLastModifiedTime(file).toInstant().isBefore(now.minus(Duration.ofDays(1)))) {
      Files.setLastModifiedTime(file, FileTime.from(now));
    }
  }

  private Path file(String key) {
    if (!key.matches("[0-9a-f]{64}")) {
      throw new Refusal("That is no name of a small picture.");
    }
    return folder.resolve(key.substring(0, 2)).resolve(key + ".jpg");
  }
}
