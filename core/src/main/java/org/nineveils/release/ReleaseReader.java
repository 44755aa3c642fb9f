package org.nineveils.release;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.LimitsJson;
import org.nineveils.file.PictureReader;
import org.nineveils.kit.StackingRule;
import org.nineveils.name.Names;
import org.nineveils.refusal.InputLimits;
import org.nineveils.refusal.Outside;
import org.nineveils.refusal.Refusal;
import org.nineveils.refusal.Seen;
import org.nineveils.release.signing.Signed;
import org.nineveils.veil.Effect;

/**
 * Opens a release file and checks all of it before any of it is given out: paths, sizes, checksums,
 * manifest, every effect.
 */
public final class ReleaseReader {
  private final Packed packed;
  private final Set<String> effects = new HashSet<>();

  private ReleaseReader(Packed packed) {
    this.packed = packed;
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
      if (Files.size(file) > InputLimits.RELEASE_BYTES) {
        throw new ReleaseException(
            String.format(
                Locale.ROOT,
                "“%s” is larger than the %d MB that a release may have.",
                name,
                InputLimits.RELEASE_BYTES >> 20));
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
        () -> read(new Packed(bytes, name)),
        ReleaseException.class,
        fault -> Packed.refused(name, fault));
  }

  /** The same of a package that is unpacked already. */
  static Release read(Packed packed) {
    return new ReleaseReader(packed).release();
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
                    () -> PictureReader.read(file, Packed.PICTURES + sha),
                    ReleaseException.class,
                    fault -> Packed.refused(name, fault)));
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
        fault -> Packed.refused(name, fault));
  }

  /**
   * What the signature of a release is worth.
   *
   * @throws ReleaseException as {@link #read(byte[], String)}
   */
  public static Signed signed(byte[] bytes, String name) {
    return Outside.read(
        () -> new Packed(bytes, name).signed(),
        ReleaseException.class,
        fault -> Packed.refused(name, fault));
  }

  /** The same of a file. */
  public static Signed signed(Path file) {
    try {
      return signed(Files.readAllBytes(file), String.valueOf(file.getFileName()));
    } catch (IOException e) {
      throw new ReleaseException("“%s” could not be read from the disk.".formatted(file), e);
    }
  }

  private Release release() {
    Fields manifest = packed.manifest(ReleaseWriter.FORMAT, ReleaseWriter.FORMAT_VERSION);
    Signed signed = packed.signed();
    if (signed.state() == Signed.State.CHANGED) {
      throw packed.changed(signed);
    }
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
        "pictures",
        "cover",
        "news",
        ReleaseWriter.MAY_HAND_OUT);
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
                    packed.pictures(manifest),
                    cover(manifest),
                    news(manifest),
                    manifest.flag(ReleaseWriter.MAY_HAND_OUT, false)));
    if (release.kits().isEmpty()) {
      throw packed.fault("it holds no kit");
    }
    checkPlacedPictures(release);
    packed.checkNothingLeft();
    return release;
  }

  private Release.Cover cover(Fields manifest) {
    if (!manifest.has("cover")) {
      return Release.Cover.NONE;
    }
    Fields f = manifest.object("cover");
    f.only("before", "after");
    return new Release.Cover(packed.preview(f.text("before")), packed.preview(f.text("after")));
  }

  private static Release.News news(Fields manifest) {
    if (!manifest.has("news")) {
      return Release.News.NONE;
    }
    Fields f = manifest.object("news");
    f.only("since", "lines");
    List<String> lines = f.texts("lines");
    if (lines.size() > Words.MOST_NEWS) {
      throw new Refusal(
          String.format(
              Locale.ROOT, "The news of a release are at most %d lines.", Words.MOST_NEWS));
    }
    lines.forEach(Words.NEWS::check);
    return new Release.News(Names.checkVersion(f.text("since")), lines);
  }

  private void checkPlacedPictures(Release release) {
    for (Release.EffectPart part : release.effects()) {
      for (String sha : part.effect().pictures()) {
        if (!release.pictures().containsKey(sha)) {
          throw packed.fault(
              "the picture that “%s” lays over photos is not in it".formatted(part.name()));
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
    f.only("number", "name", "rule", "effects", AgainstJson.NAME, ReleaseWriter.LIMITS);
    return f.build(
        () ->
            new Release.SectionPart(
                f.whole("number"),
                Names.check("A section", f.text("name")),
                StackingRule.ofId(f.text("rule")),
                AgainstJson.read(f),
                f.has(ReleaseWriter.LIMITS)
                    ? LimitsJson.parse(f.object(ReleaseWriter.LIMITS))
                    : org.nineveils.proof.Limits.START,
                f.objects("effects", this::effect)));
  }

  private Release.EffectPart effect(Fields f) {
    f.only("name", "file", "note", "before", "after");
    String path = f.text("file");
    if (!effects.add(path)) {
      throw packed.fault("“%s” is in its manifest twice".formatted(path));
    }
    Effect effect = EffectJson.parse(packed.json(path));
    if (f.has("note")) {
      String note = Seen.lines(new String(packed.bytes(f.text("note")), StandardCharsets.UTF_8));
      if (!note.strip().equals(effect.note().strip())) {
        throw packed.fault(
            "the note of “%s” differs between two of its files".formatted(f.text("name")));
      }
    }
    return new Release.EffectPart(
        Names.check("An effect", f.text("name")),
        path,
        effect,
        f.has("before") ? packed.preview(f.text("before")) : new byte[0],
        f.has("after") ? packed.preview(f.text("after")) : new byte[0]);
  }
}
