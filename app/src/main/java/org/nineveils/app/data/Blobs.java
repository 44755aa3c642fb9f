package org.nineveils.app.data;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import org.nineveils.release.Checksums;

/**
 * Files by the SHA-256 of their content: photos and packed releases. Never changed once written.
 */
public class Blobs {
  private final Path folder;

  Blobs(Path folder) {
    this.folder = folder;
  }

  /**
   * Keeps bytes, forced to the disk before this returns.
   *
   * @return their SHA-256, which is their name
   */
  public String put(byte[] bytes) {
    String sha = Checksums.sha256(bytes);
    Path file = file(sha);
    try {
      if (!Files.exists(file)) {
        Files.createDirectories(file.getParent());
        Path part = Files.createTempFile(folder, "new-", ".part");
        Files.write(part, bytes);
        try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
          channel.force(true);
        }
        Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
      }
      return sha;
    } catch (IOException e) {
      throw new UncheckedIOException("a file could not be kept", e);
    }
  }

  /** Whether there are bytes of that name. */
  public boolean has(String sha) {
    return Files.exists(file(sha));
  }

  /** The bytes of that name. */
  public byte[] get(String sha) {
    try {
      return Files.readAllBytes(file(sha));
    } catch (IOException e) {
      throw new UncheckedIOException("a kept file could not be read", e);
    }
  }

  private Path file(String sha) {
    if (!sha.matches("[0-9a-f]{64}")) {
      throw new IllegalArgumentException("That is no name of a kept file.");
    }
    return folder.resolve(sha.substring(0, 2)).resolve(sha);
  }
}
