package org.nineveils.release;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.nineveils.document.DocumentException;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureException;
import org.nineveils.file.PictureReader;
import org.nineveils.refusal.InputLimits;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.signing.Signed;
import org.nineveils.veil.Editions;

/** The files of a package while it is opened: each is counted as used when it is asked for. */
final class Packed {
  static final String MANIFEST = "manifest.json";

  /** Folder of the pictures that effects lay over photos. */
  static final String PICTURES = "pictures/";

  /** Paths of those pictures: named after the SHA-256 of what is in them. */
  static final String PICTURE_PATH = "^pictures/[0-9a-f]{64}\\.(jpg|png)$";

  private final String name;
  private final Map<String, byte[]> files;
  private final Set<String> used = new HashSet<>();

  /**
   * Unpacks a file.
   *
   * @param name how to call it in messages
   */
  Packed(byte[] bytes, String name) {
    this.name = name;
    this.files = ZipEntries.read(bytes, name);
  }

  /**
   * The manifest, after the checksums of all files were looked at.
   *
   * @param format that it must be of
   * @param newest version of the format that is read
   */
  Fields manifest(String format, int newest) {
    if (!files.containsKey(MANIFEST)) {
      throw fault("it has no %s, so it is not a release file".formatted(MANIFEST));
    }
    checkSums();
    Fields manifest = json(MANIFEST);
    if (!manifest.text("format").equals(format)) {
      throw fault("its manifest is of another format, “%s”".formatted(manifest.text("format")));
    }
    int version = manifest.whole("formatVersion");
    if (version < 1 || version > newest) {
      throw fault(
          String.format(
              Locale.ROOT,
              "it has package format %d; this program reads formats up to %d",
              version,
              newest));
    }
    int edition = manifest.whole("edition");
    if (edition < 1 || edition > Editions.current()) {
      throw fault(
          String.format(
              Locale.ROOT,
              "it was made with engine edition %d; this program knows editions up to %d",
              edition,
              Editions.current()));
    }
    return manifest;
  }

  /** What its signature is worth. */
  Signed signed() {
    byte[] signature = files.get(Signed.FILE);
    used.add(Signed.FILE);
    return Signed.read(signature, bytes(Checksums.FILE));
  }

  /** Whether its manifest says that it is of a format; nothing else was looked at. */
  boolean isOf(String format) {
    return files.containsKey(MANIFEST) && format.equals(json(MANIFEST).text("format", ""));
  }

  private void checkSums() {
    byte[] list = bytes(Checksums.FILE);
    Map<String, String> sums = Checksums.parse(list);
    for (Map.Entry<String, byte[]> file : files.entrySet()) {
      if (file.getKey().equals(Checksums.FILE) || file.getKey().equals(Signed.FILE)) {
        continue;
      }
      String expected = sums.get(file.getKey());
      if (expected == null) {
        throw fault("“%s” has no checksum".formatted(file.getKey()));
      }
      if (!expected.equals(Checksums.sha256(file.getValue()))) {
        throw fault(
            "“%s” was changed or damaged after packing: its checksum is wrong"
                .formatted(file.getKey()));
      }
    }
    for (String path : sums.keySet()) {
      if (!files.containsKey(path)) {
        throw fault("“%s” is missing".formatted(path));
      }
    }
  }

  /**
   * The pictures, their headers looked at: what each takes, and all together, is bounded before a
   * pixel is decoded. They are decoded when they are worn.
   */
  Map<String, byte[]> pictures(Fields manifest) {
    Map<String, byte[]> pictures = new HashMap<>();
    long pixels = 0;
    if (manifest.has("pictures")) {
      for (Object path : manifest.list("pictures")) {
        byte[] file = bytes(String.valueOf(path));
        if (!String.valueOf(path).matches(PICTURE_PATH)
            || !String.valueOf(path).contains(Checksums.sha256(file))) {
          throw fault("“%s” is not named after what is in it".formatted(path));
        }
        pixels += PictureReader.pixels(file, String.valueOf(path));
        if (pixels > InputLimits.RELEASE_PIXELS) {
          throw fault(
              String.format(
                  Locale.ROOT,
                  "its pictures have more than %d megapixels",
                  InputLimits.RELEASE_PIXELS / 1_000_000));
        }
        pictures.put(Checksums.sha256(file), file);
      }
    }
    return pictures;
  }

  /**
   * A picture that shows an effect or stands on the cover: its header is looked at as that of a
   * photo, before it goes to desk, stall and guide.
   */
  byte[] preview(String path) {
    byte[] file = bytes(path);
    boolean jpeg = file.length > 2 && (file[0] & 0xff) == 0xff && (file[1] & 0xff) == 0xd8;
    if (!jpeg) {
      throw fault("“%s” is no JPEG".formatted(path));
    }
    if (PictureReader.pixels(file, path) > InputLimits.PREVIEW_PIXELS) {
      throw fault(
          String.format(
              Locale.ROOT,
              "“%s” has more than the %d megapixels that a picture of a release may have",
              path,
              InputLimits.PREVIEW_PIXELS / 1_000_000));
    }
    return file;
  }

  /** Refuses a package that is not as it was signed. */
  ReleaseException changed(Signed signed) {
    return new ReleaseException(
        "“%s” was changed after it was signed%s. Nothing of it was taken in; ask the maker for the file again."
            .formatted(name, signed.key().isEmpty() ? "" : " with key " + signed.named()));
  }

  /** Refuses a package that holds what its manifest does not name. */
  void checkNothingLeft() {
    List<String> left = files.keySet().stream().filter(path -> !used.contains(path)).toList();
    if (!left.isEmpty()) {
      throw fault("“%s” belongs to nothing in its manifest".formatted(left.get(0)));
    }
  }

  Fields json(String path) {
    return Json.read(new String(bytes(path), StandardCharsets.UTF_8), path);
  }

  byte[] bytes(String path) {
    byte[] bytes = files.get(path);
    if (bytes == null) {
      throw fault("“%s” is missing".formatted(path));
    }
    used.add(path);
    return bytes;
  }

  ReleaseException fault(String what) {
    return new ReleaseException("“%s” cannot be opened: %s.".formatted(name, what));
  }

  /** What a part of a package was refused with, or that it is damaged. */
  static ReleaseException refused(String name, Throwable fault) {
    boolean said =
        fault instanceof DocumentException
            || fault instanceof Refusal
            || fault instanceof PictureException;
    return new ReleaseException(
        said
            ? "“%s”: %s".formatted(name, fault.getMessage())
            : "“%s” cannot be opened: it is damaged.".formatted(name),
        fault);
  }
}
