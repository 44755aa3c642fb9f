package org.nineveils.picture;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;

/** Writes files beside what is there already: whole or not at all, and never over another. */
public final class NewFile {
  private NewFile() {}

  /** Writes a file. */
  @FunctionalInterface
  public interface Writing {
    void to(Path file) throws IOException;
  }

  /**
   * Writes a file under a name that is free: the wanted one, or the same with “-2”, “-3” … after
   * it.
   *
   * @param folder that it goes into; there
   * @param name wanted, without an ending
   * @param suffix with its dot
   * @return where it is now
   * @throws IOException if it cannot be written; nothing is left behind then
   */
  public static Path write(Path folder, String name, String suffix, Writing writing)
      throws IOException {
    Path part = folder.resolve(".%s.part%s".formatted(UUID.randomUUID(), suffix));
    try {
      writing.to(part);
      for (int n = 1; ; n++) {
        Path to = folder.resolve(name + (n == 1 ? "" : "-" + n) + suffix);
        try {
          Files.createLink(to, part); // fails where the name is taken, also at this very moment
          return to;
        } catch (FileAlreadyExistsException e) {
          // the next name
        } catch (UnsupportedOperationException e) {
          if (!Files.exists(to)) {
            return Files.move(part, to);
          }
        }
      }
    } finally {
      Files.deleteIfExists(part);
    }
  }
}
