package org.nineveils.release;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.kit.Mark;
import org.nineveils.kit.StackingRule;
import org.nineveils.name.Names;
import org.nineveils.refusal.Outside;

/**
 * Writes and opens kit files. A kit file is a ZIP file with a manifest, one JSON file an effect (as
 * in a release), placed pictures named after what is in them, and the list of checksums. The same
 * kits give the same bytes.
 */
public final class KitFiles {
  /** Value of the manifest's field “format”. */
  static final String FORMAT = "nine-veils-kits";

  /** Version of the format that this build writes and the newest it reads. */
  static final int FORMAT_VERSION = 1;

  private static final String[] EFFECT_FIELDS =
      Stream.concat(Stream.of("name", "file", "variantOf"), OwnJson.NAMES.stream())
          .toArray(String[]::new);

  private KitFiles() {}

  /** The bytes of a kit file. */
  public static byte[] write(KitFile kits) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    List<Object> parts = new ArrayList<>();
    for (KitFile.KitPart kit : kits.kits()) {
      String folder =
          String.format(Locale.ROOT, "%02d-%s", parts.size() + 1, Names.slug(kit.name()));
      parts.add(
          Json.object(
              "name", kit.name(),
              "purpose", kit.purpose(),
              "sections", kit.sections().stream().map(s -> section(s, folder, files)).toList()));
    }
    int newest = kits.effects().stream().mapToInt(e -> e.effect().edition()).max().orElse(1);
    Map<String, Object> manifest =
        Json.object(
            "format", FORMAT,
            "formatVersion", FORMAT_VERSION,
            "edition", newest,
            "kits", parts,
            "swatches",
                kits.swatches().stream()
                    .map(
                        s ->
                            Json.object(
                                "mark", s.mark(),
                                "name", s.name(),
                                "veil", EffectJson.formatVeil(s.veil())))
                    .toList());
    Packing.pictures(kits.pictures(), manifest, files);
    return Packing.zip(manifest, files);
  }

  private static Object section(
      KitFile.SectionPart section, String folder, Map<String, byte[]> files) {
    List<Object> effects = new ArrayList<>();
    for (KitFile.EffectPart effect : section.effects()) {
      String path =
          String.format(
              Locale.ROOT,
              "effects/%s/%02d-%s/%02d-%s.json",
              folder,
              section.number(),
              Names.slug(section.name()),
              effects.size() + 1,
              Names.slug(effect.name()));
      files.put(path, Packing.text(Json.writePretty(EffectJson.format(effect.effect()))));
      Map<String, Object> part = Json.object("name", effect.name(), "file", path);
      part.putAll(OwnJson.write(effect.own()));
      part.put("variantOf", effect.variantOf());
      effects.add(part);
    }
    Map<String, Object> entry =
        Json.object(
            "number", section.number(),
            "name", section.name(),
            "rule", section.rule().id(),
            "mark", section.mark().map(Mark::id).orElse(""),
            "effects", effects);
    AgainstJson.write(section.against(), entry);
    return entry;
  }

  /**
   * Opens a kit file, or a release, and checks all of it, pictures too, before any of it is given
   * out.
   *
   * @param name how to call it in messages
   * @param ownMark only a release under this mark is opened as kits
   * @throws ReleaseException with a sentence naming the file, the place and the fault
   */
  public static KitFile open(byte[] bytes, String name, String ownMark) {
    return Outside.read(
        () -> {
          Packed packed = new Packed(bytes, name);
          KitFile kits =
              packed.isOf(ReleaseWriter.FORMAT)
                  ? ofRelease(packed, name, ownMark)
                  : new Reading(packed).kits();
          kits.pictures().forEach((sha, file) -> PictureReader.read(file, Packed.PICTURES + sha));
          return kits;
        },
        ReleaseException.class,
        fault -> Packed.refused(name, fault));
  }

  private static KitFile ofRelease(Packed packed, String name, String ownMark) {
    Release release = ReleaseReader.read(packed);
    if (ownMark.isBlank() || !release.makersMark().equals(ownMark)) {
      throw new ReleaseException(
          "“%s” is a release by “%s”. Only releases of your own mark open as kits; look at others at the desk."
              .formatted(name, release.makersMark()));
    }
    return KitFile.of(release);
  }

  /** One kit file while it is read. */
  private record Reading(Packed packed) {
    KitFile kits() {
      Fields manifest = packed.manifest(FORMAT, FORMAT_VERSION);
      manifest.only("format", "formatVersion", "edition", "kits", "swatches", "pictures");
      KitFile kits =
          manifest.build(
              () ->
                  new KitFile(
                      manifest.objects("kits", this::kit),
                      manifest.objects("swatches", Reading::swatch),
                      packed.pictures(manifest)));
      if (kits.kits().isEmpty()) {
        throw packed.fault("it holds no kit");
      }
      for (KitFile.EffectPart effect : kits.effects()) {
        if (!kits.pictures().keySet().containsAll(effect.effect().pictures())) {
          throw packed.fault(
              "the picture that “%s” lays over photos is not in it".formatted(effect.name()));
        }
      }
      packed.checkNothingLeft();
      return kits;
    }

    private KitFile.KitPart kit(Fields f) {
      f.only("name", "purpose", "sections");
      return new KitFile.KitPart(
          Names.check("A kit", f.text("name")),
          Words.PURPOSE.check(f.text("purpose")),
          f.objects("sections", this::section));
    }

    private KitFile.SectionPart section(Fields f) {
      f.only("number", "name", "rule", "mark", "effects", AgainstJson.NAME);
      return f.build(
          () ->
              new KitFile.SectionPart(
                  f.whole("number"),
                  Names.check("A section", f.text("name")),
                  StackingRule.ofId(f.text("rule")),
                  AgainstJson.read(f),
                  Mark.ofId(f.text("mark")),
                  f.objects("effects", this::effect)));
    }

    private KitFile.EffectPart effect(Fields f) {
      f.only(EFFECT_FIELDS);
      return f.build(
          () ->
              new KitFile.EffectPart(
                  Names.check("An effect", f.text("name")),
                  EffectJson.parse(packed.json(f.text("file"))),
                  OwnJson.read(f),
                  f.text("variantOf")));
    }

    private static KitFile.SwatchPart swatch(Fields f) {
      f.only("mark", "name", "veil");
      return new KitFile.SwatchPart(
          Words.MAKERS_MARK.check(f.text("mark")),
          Names.check("A swatch", f.text("name")),
          EffectJson.parseVeil(f.object("veil")));
    }
  }
}
