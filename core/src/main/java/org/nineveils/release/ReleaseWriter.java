package org.nineveils.release;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.document.LimitsJson;
import org.nineveils.name.Names;
import org.nineveils.proof.Limits;
import org.nineveils.release.signing.MakersKey;

/**
 * Packs a release. The same release gives the same bytes: entries are in the order of the kits,
 * carry one fixed time, and nothing of the machine or the moment goes in.
 */
public final class ReleaseWriter {
  /** Value of the manifest's field “format”. */
  static final String FORMAT = "nine-veils-release";

  /** Version of the package format that this build writes and the newest it reads. */
  static final int FORMAT_VERSION = 1;

  /** Whether looks with its effects may be handed out, in the manifest; left out where not. */
  static final String MAY_HAND_OUT = "mayHandOut";

  /** What a section is held to, in the manifest. */
  static final String LIMITS = "limits";

  /** Files of the cover. */
  static final String COVER_BEFORE = "cover/before.jpg";

  static final String COVER_AFTER = "cover/after.jpg";

  private ReleaseWriter() {}

  /**
   * The bytes of a release file.
   *
   * @param release what goes in; paths of effects are worked out here
   */
  public static byte[] write(Release release) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    return Packing.zip(manifest(release, files), files);
  }

  /** The same, signed: the same release and key give the same bytes. */
  public static byte[] write(Release release, MakersKey key) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    return Packing.zip(manifest(release, files), files, key);
  }

  private static Map<String, Object> manifest(Release release, Map<String, byte[]> files) {
    List<Object> kits = new ArrayList<>();
    for (Release.KitPart kit : release.kits()) {
      kits.add(
          kit(
              kit,
              String.format(Locale.ROOT, "%02d-%s", kits.size() + 1, Names.slug(kit.name())),
              files));
    }
    Map<String, Object> manifest =
        Json.object(
            "format", FORMAT,
            "formatVersion", FORMAT_VERSION,
            "name", release.name(),
            "version", release.version(),
            "makersMark", release.makersMark(),
            "edition", newest(release),
            "licence", release.licence(),
            "notes", release.notes(),
            "kits", kits);
    if (release.mayHandOut()) {
      manifest.put(MAY_HAND_OUT, true);
    }
    Packing.pictures(release.pictures(), manifest, files);
    if (release.cover().isThere()) {
      files.put(COVER_BEFORE, release.cover().before());
      files.put(COVER_AFTER, release.cover().after());
      manifest.put("cover", Json.object("before", COVER_BEFORE, "after", COVER_AFTER));
    }
    if (!release.news().since().isEmpty()) {
      manifest.put(
          "news", Json.object("since", release.news().since(), "lines", release.news().lines()));
    }
    return manifest;
  }

  private static Object kit(Release.KitPart kit, String folder, Map<String, byte[]> files) {
    List<Object> sections = new ArrayList<>();
    for (Release.SectionPart section : kit.sections()) {
      List<Object> effects = new ArrayList<>();
      for (Release.EffectPart effect : section.effects()) {
        String path =
            String.format(
                Locale.ROOT,
                "%s/%02d-%s/%02d-%s",
                folder,
                section.number(),
                Names.slug(section.name()),
                effects.size() + 1,
                Names.slug(effect.name()));
        effects.add(effect(effect, path, files));
      }
      Map<String, Object> entry =
          Json.object(
              "number", section.number(),
              "name", section.name(),
              "rule", section.rule().id(),
              "effects", effects);
      AgainstJson.write(section.against(), entry);
      if (!section.limits().equals(Limits.START)) {
        entry.put(LIMITS, LimitsJson.format(section.limits()));
      }
      sections.add(entry);
    }
    return Json.object("name", kit.name(), "purpose", kit.purpose(), "sections", sections);
  }

  private static Object effect(Release.EffectPart effect, String path, Map<String, byte[]> files) {
    String json = "effects/" + path + ".json";
    files.put(json, Packing.text(Json.writePretty(EffectJson.format(effect.effect()))));
    Map<String, Object> entry = Json.object("name", effect.name(), "file", json);
    if (!effect.effect().note().isBlank()) {
      String note = "notes/" + path + ".txt";
      files.put(note, Packing.text(effect.effect().note().strip() + "\n"));
      entry.put("note", note);
    }
    if (effect.before().length > 0 && effect.after().length > 0) {
      String before = "previews/" + path + "-before.jpg";
      String after = "previews/" + path + "-after.jpg";
      files.put(before, effect.before());
      files.put(after, effect.after());
      entry.put("before", before);
      entry.put("after", after);
    }
    return entry;
  }

  /** The newest edition of the engine that an effect in it needs. */
  private static int newest(Release release) {
    return release.effects().stream().mapToInt(e -> e.effect().edition()).max().orElse(1);
  }
}
