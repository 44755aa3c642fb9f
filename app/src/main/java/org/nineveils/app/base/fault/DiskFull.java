package org.nineveils.app.base.fault;

import java.util.Locale;

/** There is no room on the disk for what is to be kept; nothing was written. */
public final class DiskFull extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public DiskFull(long needed, long free) {
    super(
        String.format(
            Locale.ROOT,
            "The disk is full: %d MB are needed, %d MB are free. Nothing was kept; what was saved before is safe.",
            (needed + (1 << 20) - 1) >> 20,
            free >> 20));
  }
}
