package org.nineveils.release;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.document.DocumentException;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Names;
import org.nineveils.kit.StackingRule;
import org.nineveils.picture.PictureException;
import org.nineveils.picture.PictureReader;
import org.nineveils.refusal.Limits;
import org.nineveils.refusal.Outside;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Effect;

/**
 * Opens a release file and checks all of it before any of it is given out: paths, sizes, checksums,
 * manifest, every effect.
 */
public final class ReleaseReader {
  private final String name;
  private final Map<String, byte[]> files;
  private final Set<String> used = new HashSet<>();
  private final Set<String> effects = new HashSet<>();

  private ReleaseReader(String name, Map<String, byte[]> files) {
    this.name = name;
    this.files = files;
  }

  /**
   * Opens a file.
   *
   * @throws ReleaseException with a sentence naming the file, the place and the fault
   */
  public static Release read(Path file) {
    String name = String.valueOf(file.getFileName());
    try {
      if (!Files.isRegularFile(file)) {
        throw new ReleaseException("There is no file “%s”.".formatted(file));
      }
      if (Files.size(file) > Limits.RELEASE_BYTES) {
        throw new ReleaseException(
            "“%s” is larger than the %d MB that a release may have."
                .formatted(name, Limits.RELEASE_BYTES >> 20));
      }
      return read(Files.readAllBytes(file), name);
    } catch (IOException e) {
      throw new ReleaseException("“%s” could not be read from the disk.".formatted(name), e);
    }
  }

  /**
   * Opens a release.
   *
   * @param bytes the whole file
   * @param name how to call it in messages
   * @throws ReleaseException with a sentence naming the file, the place and the fault
   */
  public static Release read(byte[] bytes, String name) {
    return Outside.read(
        () -> new ReleaseReader(name, ZipEntries.read(bytes, name)).release(),
        ReleaseException.class,
        fault -> refused(name, fault));
  }

  /**
   * Opens a release and reads every picture in it to its end, as before it is put out or taken in.
   *
   * @throws ReleaseException as {@link #read(byte[], String)}
   */
  public static Release check(byte[] bytes, String name) {
    return checked(read(bytes, name), name);
  }

  /** The same of a file. */
  public static Release check(Path file) {
    return checked(read(file), String.valueOf(file.getFileName()));
  }

  private static Release checked(Release release, String name) {
    release
        .pictures()
        .forEach(
            (sha, file) ->
                Outside.read(
                    () -> PictureReader.read(file, ReleaseWriter.PICTURES + sha),
                    ReleaseException.class,
                    fault -> refused(name, fault)));
    return release;
  }

  /**
   * The list of checksums in a release: releases with the same list hold the same, however they
   * were compressed.
   */
  public static byte[] checksums(byte[] bytes, String name) {
    return Outside.read(
        () -> ZipEntries.read(bytes, name).getOrDefault(Checksums.FILE, new byte[0]),
        ReleaseException.class,
        fault -> refused(name, fault));
  }

  /** What a part of it was refused with, or that it is damaged. */
  private static ReleaseException refused(String name, Throwable fault) {
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

  private Release release() {
    if (!files.containsKey(ReleaseWriter.MANIFEST)) {
      throw fault("it has no %s, so it is not a release file".formatted(ReleaseWriter.MANIFEST));
    }
    checkSums();
    Fields manifest = json(ReleaseWriter.MANIFEST);
    manifest.only(
        "format",
        "formatVersion",
        "name",
        "version",
        "makersMark",
        "edition",
        "licence",
        "notes",
        "kits",
        "pictures");
    if (!manifest.text("format").equals(ReleaseWriter.FORMAT)) {
      throw fault("its manifest is of another format, “%s”".formatted(manifest.text("format")));
    }
    int version = manifest.whole("formatVersion");
    if (version < 1 || version > ReleaseWriter.FORMAT_VERSION) {
      throw fault(
          "it has package format %d; this program reads formats up to %d"
              .formatted(version, ReleaseWriter.FORMAT_VERSION));
    }
    int edition = manifest.whole("edition");
    if (edition < 1 || edition > Effect.CURRENT_EDITION) {
      throw fault(
          "it was made with engine edition %d; this program knows editions up to %d"
              .formatted(edition, Effect.CURRENT_EDITION));
    }
    Release release =
        manifest.build(
            () ->
                new Release(
                    Names.check("A collection", manifest.text("name")),
                    Names.checkVersion(manifest.text("version")),
                    Words.MAKERS_MARK.check(manifest.text("makersMark")),
                    Words.LICENCE.check(manifest.text("licence")),
                    Words.NOTES.check(manifest.text("notes")),
                    manifest.objects("kits", this::kit),
                    pictures(manifest)));
    if (release.kits().isEmpty()) {
      throw fault("it holds no kit");
    }
    checkPlacedPictures(release);
    checkNothingLeft();
    return release;
  }

  /**
   * The pictures, their headers looked at: what each takes, and all together, is bounded before a
   * pixel is decoded. They are decoded when they are worn; see {@link #check}.
   */
  private Map<String, byte[]> pictures(Fields manifest) {
    Map<String, byte[]> pictures = new HashMap<>();
    long pixels = 0;
    if (manifest.has("pictures")) {
      for (Object path : manifest.list("pictures")) {
        byte[] file = bytes(String.valueOf(path));
        if (!String.valueOf(path).matches(ReleaseWriter.PICTURE_PATH)
            || !String.valueOf(path).contains(Checksums.sha256(file))) {
          throw fault("“%s” is not named after what is in it".formatted(path));
        }
        pixels += PictureReader.pixels(file, String.valueOf(path));
        if (pixels > Limits.RELEASE_PIXELS) {
          throw fault(
              "its pictures have more than %d megapixels"
                  .formatted(Limits.RELEASE_PIXELS / 1_000_000));
        }
        pictures.put(Checksums.sha256(file), file);
      }
    }
    return pictures;
  }

  private void checkPlacedPictures(Release release) {
    for (Release.EffectPart part : release.effects()) {
      for (String sha : part.effect().pictures()) {
        if (!release.pictures().containsKey(sha)) {
          throw fault("the picture that “%s” lays over photos is not in it".formatted(part.name()));
        }
      }
    }
  }

  private Release.KitPart kit(Fields f) {
    f.only("name", "purpose", "sections");
    return new Release.KitPart(
        Names.check("A kit", f.text("name")),
        Words.PURPOSE.check(f.text("purpose")),
        f.objects("sections", this::section));
  }

  private Release.SectionPart section(Fields f) {
    f.only("number", "name", "rule", "effects");
    return f.build(
        () ->
            new Release.SectionPart(
                f.whole("number"),
                Names.check("A section", f.text("name")),
                StackingRule.ofId(f.text("rule")),
                f.objects("effects", this::effect)));
  }

  private Release.EffectPart effect(Fields f) {
    f.only("name", "file", "note", "before", "after");
    String path = f.text("file");
    if (!effects.add(path)) {
      throw fault("“%s” is in its manifest twice".formatted(path));
    }
    Effect effect = EffectJson.parse(json(path));
    if (f.has("note")) {
      String note = new String(bytes(f.text("note")), StandardCharsets.UTF_8);
      if (!note.strip().equals(effect.note().strip())) {
        throw fault("the note of “%s” differs between two of its files".formatted(f.text("name")));
      }
    }
    return new Release.EffectPart(
        Names.check("An effect", f.text("name")),
        path,
        effect,
        f.has("before") ? bytes(f.text("before")) : new byte[0],
        f.has("after") ? bytes(f.text("after")) : new byte[0]);
  }

  private void checkSums() {
    byte[] list = bytes(Checksums.FILE);
    Map<String, String> sums = Checksums.parse(list);
    for (Map.Entry<String, byte[]> file : files.entrySet()) {
      if (file.getKey().equals(Checksums.FILE)) {
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

  private void checkNothingLeft() {
    List<String> left = files.keySet().stream().filter(path -> !used.contains(path)).toList();
    if (!left.isEmpty()) {
      throw fault("“%s” belongs to nothing in its manifest".formatted(left.get(0)));
    }
  }

  private Fields json(String path) {
    return Json.read(new String(bytes(path), StandardCharsets.UTF_8), path);
  }

  private byte[] bytes(String path) {
    byte[] bytes = files.get(path);
    if (bytes == null) {
      throw fault("“%s” is missing".formatted(path));
    }
    used.add(path);
    return bytes;
  }

  private ReleaseException fault(String what) {
    return new ReleaseException("“%s” cannot be opened: %s.".formatted(name, what));
  }
}
