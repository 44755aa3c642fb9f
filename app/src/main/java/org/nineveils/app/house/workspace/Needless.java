package org.nineveils.app.house.workspace;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Locale;

/**
 * Files that nobody needs any more.
 *
 * @param what they are, for people
 */
record Needless(String what, List<Found> files) {
  /**
   * A file as it was when it was found.
   *
   * @param written when it was last written, or asked to be kept again
   */
  record Found(Path path, Instant written, long bytes) {
    static Found of(Path path) throws IOException {
      return new Found(path, Files.getLastModifiedTime(path).toInstant(), Files.size(path));
    }

    /**
     * Lets the file go, unless it was kept again since it was found.
     *
     * @return whether it went
     */
    boolean letGo() throws IOException {
      try {
        return Files.getLastModifiedTime(path).toInstant().equals(written)
            && Files.deleteIfExists(path);
      } catch (NoSuchFileException e) {
        return false;
      }
    }
  }

  /** In words: how many, and how much. */
  String words() {
    return String.format(Locale.ROOT, "%s: %d, %.1f MB", what, files.size(), bytes() / 1048576.0);
  }

  /** Bytes of all together. */
  long bytes() {
    return files.stream().mapToLong(Found::bytes).sum();
  }
}
