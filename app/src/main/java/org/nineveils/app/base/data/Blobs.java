package org.nineveils.app.base.data;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Checksums;

/**
 * Files by the SHA-256 of their content: photos and packed releases. Never changed once written.
 */
public class Blobs {
  /** What a SHA-256 looks like. */
  public static final String NAME = "[0-9a-f]{64}";

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
      if (Files.exists(file)) {
        Files.setLastModifiedTime(file, FileTime.from(Instant.now())); // as new, for tidying
      } else {
        Room.check(folder, bytes.length);
        Files.createDirectories(file.getParent());
        Path part = Files.createTempFile(folder, "new-", ".part");
        try {
          Files.write(part, bytes);
          try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
            channel.force(true);
          }
          Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
        } finally {
          Files.deleteIfExists(part);
        }
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

  /** All names, with when they were put here. */
  public Map<String, Instant> all() {
    Map<String, Instant> out = new HashMap<>();
    if (Files.isDirectory(folder)) {
      try (Stream<Path> files = Files.walk(folder)) {
        for (Path file : files.filter(Files::isRegularFile).toList()) {
          String name = file.getFileName().toString();
          if (name.matches(NAME)) {
            out.put(name, Files.getLastModifiedTime(file).toInstant());
          }
        }
      } catch (IOException e) {
        throw new UncheckedIOException("the kept files cannot be listed", e);
      }
    }
    return out;
  }

  /** Bytes of a kept file. */
  public long size(String sha) {
    try {
      return Files.size(file(sha));
    } catch (IOException e) {
      return 0;
    }
  }

  /** Where the bytes of that name lie, to be read in parts. */
  public Path file(String sha) {
    if (!sha.matches(NAME)) {
      throw new Refusal("That is no name of a kept file.");
    }
    return folder.resolve(sha.substring(0, 2)).resolve(sha);
  }
}
