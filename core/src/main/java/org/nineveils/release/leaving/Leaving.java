package org.nineveils.release.leaving;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.kit.EffectFacts;
import org.nineveils.kit.Readiness;
import org.nineveils.name.Names;

/**
 * A release about to leave, as far as it has to be known to let it.
 *
 * @param kits what goes in
 * @param alike pairs of effects that look alike, by id, in the order in which they are filed
 * @param versionTaken whether the version was packed before from another state
 * @param tooLow the least version that the changes ask for, where the present one is lower; else
 *     empty
 * @param megabytes that the file is likely to have
 * @param cover whether there is one
 * @param licence whether there is one
 */
public record Leaving(
    List<Kit> kits,
    List<List<Long>> alike,
    boolean versionTaken,
    String tooLow,
    double megabytes,
    boolean cover,
    boolean licence) {

  /** Above this a release takes a minute on a slow line: common practice, no published source. */
  static final double LARGE_MEGABYTES = 60;

  public Leaving {
    kits = List.copyOf(kits);
    alike = List.copyOf(alike);
  }

  /** A kit with the sections that go in; all of them where it is whole. */
  public record Kit(long id, String name, List<Section> sections) {
    public Kit {
      sections = List.copyOf(sections);
    }

    List<Item> effects() {
      return sections.stream().flatMap(s -> s.effects().stream()).toList();
    }
  }

  /** A section with the effects that go in. */
  public record Section(long id, String name, List<Item> effects) {
    public Section {
      effects = List.copyOf(effects);
    }
  }

  /**
   * An effect.
   *
   * @param worst what went farthest over or towards its limit, in words
   * @param worstPhoto id of the photo where; 0 for none
   * @param broken whether a picture that it lays over photos cannot be read
   */
  public record Item(
      long id,
      String name,
      EffectFacts facts,
      Readiness.Proofed proofed,
      String worst,
      long worstPhoto,
      boolean broken) {}

  /**
   * Something that was found.
   *
   * @param subject what it is about, for the user
   * @param detail more of it; may be empty
   * @param kit id of the kit that it is in; 0 for the whole
   * @param section id of the section that it is about; 0 for none
   * @param effects ids of those that it concerns; may be empty
   * @param photo id of the photo on which it shows; 0 for none
   */
  public record Found(
      Reason reason,
      String subject,
      String detail,
      long kit,
      long section,
      List<Long> effects,
      long photo) {
    public Found {
      effects = List.copyOf(effects);
    }

    Found(
        Reason reason, String subject, String detail, long kit, long section, List<Long> effects) {
      this(reason, subject, detail, kit, section, effects, 0);
    }

    private Found on(long other) {
      return new Found(reason, subject, detail, kit, section, effects, other);
    }
  }

  /** All that is found, what keeps it in first. */
  public List<Found> found() {
    List<Found> out = new ArrayList<>();
    whole(out);
    names(out);
    Map<Long, String> called = new LinkedHashMap<>();
    for (Kit kit : kits) {
      proofs(kit, out);
      for (Item item : kit.effects()) {
        called.put(item.id(), item.name());
        effect(kit, item, out);
      }
    }
    for (List<Long> pair : alike) {
      if (called.keySet().containsAll(pair)) {
        String names = "“%s” and “%s”".formatted(called.get(pair.get(0)), called.get(pair.get(1)));
        out.add(new Found(Reason.ALIKE, names, "", kitOf(pair.get(0)), 0, pair));
      }
    }
    out.sort(java.util.Comparator.comparing(Found::reason));
    return out;
  }

  private long kitOf(long effect) {
    return kits.stream()
        .filter(k -> k.effects().stream().anyMatch(e -> e.id() == effect))
        .mapToLong(Kit::id)
        .findFirst()
        .orElse(0);
  }

  private void whole(List<Found> out) {
    if (kits.isEmpty()) {
      out.add(found(Reason.NOTHING, "The collection", ""));
    }
    for (Kit kit : kits) {
      if (kit.effects().isEmpty()) {
        out.add(
            new Found(Reason.EMPTY_KIT, "“%s”".formatted(kit.name()), "", kit.id(), 0, List.of()));
        continue;
      }
      for (Section section : kit.sections()) {
        if (section.effects().isEmpty()) {
          String name = "“%s” of “%s”".formatted(section.name(), kit.name());
          out.add(new Found(Reason.EMPTY_SECTION, name, "", kit.id(), section.id(), List.of()));
        }
      }
    }
    if (versionTaken) {
      out.add(found(Reason.VERSION, "This version", ""));
    }
    if (!tooLow.isEmpty()) {
      out.add(found(Reason.TOO_LOW, "This version", "at least " + tooLow));
    }
    if (megabytes > LARGE_MEGABYTES) {
      out.add(
          found(Reason.LARGE, "The file", String.format(Locale.ROOT, "about %.0f MB", megabytes)));
    }
    if (!cover) {
      out.add(found(Reason.COVER, "The collection", ""));
    }
    if (!licence) {
      out.add(found(Reason.LICENCE, "The collection", ""));
    }
  }

  /** Of a kit that is not proofed nothing can be told that only proofs tell. */
  private static void proofs(Kit kit, List<Found> out) {
    List<Long> left = kit.effects().stream().filter(Leaving::isUnproofed).map(Item::id).toList();
    if (!left.isEmpty()) {
      String subject =
          String.format(
              Locale.ROOT,
              "%d %s of “%s”",
              left.size(),
              left.size() == 1 ? "effect" : "effects",
              kit.name());
      out.add(new Found(Reason.UNPROOFED, subject, "", kit.id(), 0, left));
    }
  }

  private static boolean isUnproofed(Item item) {
    boolean made = item.proofed().of() > 0 && item.proofed().made() >= item.proofed().of();
    return item.facts().veils() > 0 && !made;
  }

  private static Found found(Reason reason, String subject, String detail) {
    return new Found(reason, subject, detail, 0, 0, List.of());
  }

  /** Effects of several kits that are called the same: nobody could name one of them. */
  private void names(List<Found> out) {
    Map<String, List<Item>> byName = new LinkedHashMap<>();
    for (Kit kit : kits) {
      for (Item item : kit.effects()) {
        byName.computeIfAbsent(Names.key(item.name()), n -> new ArrayList<>()).add(item);
      }
    }
    byName.values().stream()
        .filter(same -> same.size() > 1)
        .forEach(
            same -> {
              Item last = same.get(same.size() - 1);
              List<Long> ids = same.stream().map(Item::id).toList();
              String name = "“%s”".formatted(last.name());
              out.add(new Found(Reason.TWICE, name, "", kitOf(last.id()), 0, ids));
            });
  }

  private static void effect(Kit kit, Item item, List<Found> out) {
    EffectFacts facts = item.facts();
    if (facts.veils() == 0) {
      out.add(of(Reason.PLANNED, kit, item, ""));
      return;
    }
    if (item.broken()) {
      out.add(of(Reason.PICTURE, kit, item, ""));
    }
    if (facts.broken()) {
      out.add(of(Reason.PROMISE, kit, item, ""));
    }
    if (!facts.noted()) {
      out.add(of(Reason.NOTE, kit, item, ""));
    }
    if (facts.unplaced()) {
      out.add(of(Reason.UNPLACED, kit, item, ""));
    } else if (facts.brushed() && item.proofed().made() == 0) {
      out.add(of(Reason.REGION, kit, item, ""));
    }
    if (item.proofed().over() > 0) {
      out.add(of(Reason.OVER, kit, item, item.worst()).on(item.worstPhoto()));
    } else if (item.proofed().near() > 0) {
      out.add(of(Reason.NEAR, kit, item, item.worst()).on(item.worstPhoto()));
    }
    if (facts.isOlder()) {
      out.add(of(Reason.OLDER, kit, item, ""));
    }
  }

  private static Found of(Reason reason, Kit kit, Item item, String detail) {
    return new Found(
        reason, "“%s”".formatted(item.name()), detail, kit.id(), 0, List.of(item.id()));
  }

  /** What was looked at and is well, a phrase each. */
  public List<String> well() {
    List<Reason> ills = found().stream().map(Found::reason).distinct().toList();
    List<String> out = new ArrayList<>();
    well(
        ills,
        out,
        "something goes in, no kit or section is empty",
        Reason.NOTHING,
        Reason.EMPTY_KIT,
        Reason.EMPTY_SECTION);
    well(
        ills,
        out,
        "every effect is built, its pictures can be read",
        Reason.PLANNED,
        Reason.PICTURE);
    well(ills, out, "every name is there once", Reason.TWICE);
    well(
        ills,
        out,
        "every effect has a note, and its promises are kept",
        Reason.NOTE,
        Reason.PROMISE);
    well(ills, out, "brush-on veils were proofed on their regions", Reason.UNPLACED, Reason.REGION);
    well(
        ills,
        out,
        "nothing is over or near its limits",
        Reason.UNPROOFED,
        Reason.OVER,
        Reason.NEAR);
    well(ills, out, "no two look alike", Reason.UNPROOFED, Reason.ALIKE);
    well(ills, out, "the version is free and high enough", Reason.VERSION, Reason.TOO_LOW);
    well(ills, out, "cover and licence are there", Reason.COVER, Reason.LICENCE);
    return out;
  }

  private static void well(List<Reason> ills, List<String> out, String words, Reason... of) {
    if (java.util.Arrays.stream(of).noneMatch(ills::contains)) {
      out.add(words);
    }
  }
}
