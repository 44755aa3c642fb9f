package org.nineveils.app.data;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;
import java.util.function.Supplier;

/** Small rendered pictures on the disk, by a key that changes with everything they depend on. */
public class PictureCache {
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
      return Files.exists(file) ? Optional.of(Files.readAllBytes(file)) : Optional.empty();
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
      Files.createDirectories(folder);
      Path part = Files.createTempFile(folder, "new-", ".part");
      Files.write(part, made);
      Files.move(part, file(key), StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      throw new UncheckedIOException("a small picture could not be kept", e);
    }
    return made;
  }

  private Path file(String key) {
    if (!key.matches("[0-9a-f]{64}")) {
      throw new IllegalArgumentException("That is no name of a small picture.");
    }
    return folder.resolve(key + ".jpg");
  }
}
