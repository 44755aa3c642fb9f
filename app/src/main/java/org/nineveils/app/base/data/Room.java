package org.nineveils.app.base.data;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.nineveils.app.base.fault.DiskFull;

/** Room on the disk, looked at before something large is written. */
public final class Room {
  /** Left free, so that edits can still be saved. */
  private static final long LEFT = 8L << 20;

  private Room() {}

  /**
   * Checks that there is room.
   *
   * @param folder on the disk that is written to
   * @throws DiskFull with a sentence if there is not
   */
  public static void check(Path folder, long bytes) {
    try {
      Path there = folder;
      while (!Files.exists(there) && there.getParent() != null) {
        there = there.getParent();
      }
      long free = Files.getFileStore(there).getUsableSpace();
      if (free < bytes + LEFT) {
        throw new DiskFull(bytes + LEFT, free);
      }
    } catch (IOException e) {
      // where it cannot be asked, the writing itself will tell
    }
  }
}
