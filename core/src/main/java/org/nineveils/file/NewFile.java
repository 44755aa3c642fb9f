package org.nineveils.file;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.UUID;

/** Writes files beside what is there already: whole or not at all, and never over another. */
public final class NewFile {
  private NewFile() {}

  /** Writes a file. */
  @FunctionalInterface
  public interface Writing {
    void to(Path file) throws IOException;
  }

  /** Longest name of a file on common disks, in bytes. */
  private static final int LONGEST = 255;

  /**
   * Writes a file under a name that is free: the wanted one, or the same with “-2”, “-3” … after
   * it. A name that is too long for the disk is cut at a character.
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
        String tail = (n == 1 ? "" : "-" + n) + suffix;
        Path to = folder.resolve(cut(name, LONGEST - tail.length()) + tail);
        if (isPut(part, to)) {
          return to;
        }
      }
    } finally {
      Files.deleteIfExists(part);
    }
  }

  /** As many characters of a name as that many bytes of UTF-8 hold. */
  static String cut(String name, int bytes) {
    String out = name;
    while (out.getBytes(StandardCharsets.UTF_8).length > bytes) {
      out = out.substring(0, out.offsetByCodePoints(out.length(), -1));
    }
    return out;
  }

  /**
   * Gives a file its name, unless that is taken, also at this very moment: by a link, which says
   * so; where the disk has none (FAT, many network shares), by making the name first and moving
   * then.
   */
  private static boolean isPut(Path part, Path to) throws IOException {
    try {
      Files.createLink(to, part);
      return true;
    } catch (FileAlreadyExistsException e) {
      return false;
    } catch (FileSystemException | UnsupportedOperationException e) {
      return isMoved(part, to);
    }
  }

  /** The same without links. */
  public static boolean isMoved(Path part, Path to) throws IOException {
    try {
      Files.createFile(to);
    } catch (FileAlreadyExistsException e) {
      return false;
    }
    try {
      Files.move(part, to, StandardCopyOption.REPLACE_EXISTING);
      return true;
    } catch (IOException e) {
      Files.deleteIfExists(to); // it was only the name
      throw e;
    }
  }
}
