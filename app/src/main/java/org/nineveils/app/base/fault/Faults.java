package org.nineveils.app.base.fault;

import java.nio.file.FileSystemException;
import java.util.Locale;

/** What the system's own faults mean, as far as a user can do something about them. */
public final class Faults {
  private Faults() {}

  /** A sentence where the disk is full or cannot be written; empty for other faults. */
  public static String sentence(Throwable fault) {
    for (Throwable t = fault; t != null; t = t.getCause()) {
      if (t instanceof DiskFull) {
        return t.getMessage();
      }
      String says = String.valueOf(t.getMessage()).toLowerCase(Locale.ROOT);
      if (says.contains("no space left")
          || says.contains("sqlite_full")
          || says.contains("quota")) {
        return "The disk is full: nothing was kept. Make room, then try again; what was saved before is safe.";
      }
      if (says.contains("read-only file system")
          || says.contains("sqlite_readonly")
          || (t instanceof FileSystemException && says.contains("permission denied"))) {
        return "The data folder cannot be written: nothing was kept. What was saved before is safe.";
      }
      if (says.contains("sqlite_busy") || says.contains("sqlite_locked")) {
        return "Another program holds the database: nothing was changed. Close it, then try again.";
      }
    }
    return "";
  }
}
