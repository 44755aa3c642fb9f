package org.nineveils.app.workspace;

import java.nio.file.Path;
import java.util.List;

/**
 * Files that nobody needs any more.
 *
 * @param what they are, for people
 * @param files as paths
 * @param bytes of all together
 */
record Needless(String what, List<Path> files, long bytes) {
  /** In words: how many, and how much. */
  String words() {
    return "%s: %d, %.1f MB".formatted(what, files.size(), bytes / 1048576.0);
  }
}
