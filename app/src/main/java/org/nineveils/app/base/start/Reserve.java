package org.nineveils.app.base.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;

/**
 * A little of the disk is held back, so that the database can be opened also when the disk is full.
 */
final class Reserve {
  private static final String FILE = "reserve";
  private static final int BYTES = 4 << 20;

  /** Of what is free, where that is little. */
  private static final int SHARE_HELD_BACK = 4;

  private Reserve() {}

  /**
   * Holds back as much as there is room for; on a full disk, gives it free. Where nothing was held
   * back, small pictures go, which are made anew.
   *
   * @param folder the data folder
   * @param database in it, which may not be there yet
   */
  static void makeRoom(Path folder, Path database) {
    Path reserve = folder.resolve(FILE);
    try {
      long free = Files.getFileStore(folder).getUsableSpace();
      if (free < BYTES && Files.exists(database)) {
        if (!Files.deleteIfExists(reserve)) {
          forgetSmallPictures(folder.resolve("thumbnails"));
        }
      } else if (!Files.exists(reserve)) {
        Files.write(reserve, new byte[(int) Math.min(BYTES, free / SHARE_HELD_BACK)]);
      }
    } catch (IOException e) {
      // without it a start on a full disk may fail with a sentence
    }
  }

  private static void forgetSmallPictures(Path pictures) throws IOException {
    if (!Files.isDirectory(pictures)) {
      return;
    }
    long gone = 0;
    try (Stream<Path> all = Files.walk(pictures)) {
      for (Path file : all.filter(Files::isRegularFile).toList()) {
        if (gone < BYTES) {
          gone += Files.size(file);
          Files.deleteIfExists(file);
        }
      }
    }
  }
}
