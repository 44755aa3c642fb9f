package org.nineveils.app.base.data;

import java.nio.file.Path;

/** Kept files in a test's folder. */
public final class TestBlobs {
  private TestBlobs() {}

  public static Blobs in(Path folder) {
    return new Blobs(folder);
  }
}
