package org.nineveils.veil;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.nineveils.refusal.Seen;
import org.nineveils.setting.InvalidSetting;
import org.nineveils.setting.PictureSetting;
import org.nineveils.setting.Setting;

/**
 * An ordered stack of veils that is applied in one go; the first veil is nearest to the plain
 * photo.
 *
 * @param veils 0…{@link #MAX_VEILS} veils with different ids
 * @param note what the photographer reads when the effect goes on; may be empty
 * @param edition revision of the engine's maths that it was made with
 * @param dials settings that the photographer may change, 0…{@link #MAX_DIALS}, in the order of the
 *     card; no setting twice
 * @param start opacity at which it goes on, above 0 and up to 1
 * @param madeFor tags of the photos that it is made for, 0…{@link #MAX_TAGS}; none where it is for
 *     all
 */
public record Effect(
    List<Veil> veils,
    String note,
    int edition,
    List<Dial> dials,
    double start,
    List<String> madeFor) {
  /** Most veils of an effect. */
  public static final int MAX_VEILS = 35;

  /** Longest note, in characters. */
  public static final int MAX_NOTE = 2000;

  /** Most dials of an effect. */
  public static final int MAX_DIALS = 24;

  /** Most tags of photos that an effect is made for. */
  public static final int MAX_TAGS = 12;

  /** Longest tag, in characters. */
  public static final int MAX_TAG = 40;

  public Effect {
    veils = List.copyOf(veils);
    note = Seen.lines(note);
    dials = List.copyOf(dials);
    madeFor = madeFor.stream().map(Seen::line).toList();
    if (veils.size() > MAX_VEILS) {
      throw new InvalidSetting(
          String.format(
              Locale.ROOT,
              "An effect holds at most %d veils; this one has %d.",
              MAX_VEILS,
              veils.size()));
    }
    Set<String> ids = new HashSet<>();
    for (Veil veil : veils) {
      if (!ids.add(veil.id())) {
        throw new InvalidSetting("Two veils have the same id “%s”.".formatted(veil.id()));
      }
    }
    if (note.length() > MAX_NOTE) {
      throw new InvalidSetting(
          String.format(Locale.ROOT, "A note has at most %d characters.", MAX_NOTE));
    }
    if (edition < 1 || edition > Editions.current()) {
      throw new InvalidSetting(
          String.format(
              Locale.ROOT,
              "The effect was made with engine edition %d; this program knows editions up to %d.",
              edition,
              Editions.current()));
    }
    if (!(start > 0 && start <= 1)) {
      throw new InvalidSetting(
          "An effect goes on at more than 0 and at most 100 %%, but was to at %s %%."
              .formatted(Math.round(start * 1000) / 10.0));
    }
    if (madeFor.size() > MAX_TAGS
        || madeFor.stream().anyMatch(t -> t.isBlank() || t.length() > MAX_TAG)) {
      throw new InvalidSetting(
          String.format(
              Locale.ROOT,
              "An effect is made for photos of at most %d tags, of 1 to %d characters each.",
              MAX_TAGS,
              MAX_TAG));
    }
    check(dials, veils);
    Following.check(veils);
  }

  /** An effect that goes on as it is, on any photo. */
  public Effect(List<Veil> veils, String note, int edition, List<Dial> dials) {
    this(veils, note, edition, dials, 1, List.of());
  }

  /** An effect without dials. */
  public Effect(List<Veil> veils, String note, int edition) {
    this(veils, note, edition, List.of());
  }

  private static void check(List<Dial> dials, List<Veil> veils) {
    if (dials.size() > MAX_DIALS) {
      throw new InvalidSetting(
          String.format(
              Locale.ROOT,
              "An effect has at most %d dials; this one has %d.",
              MAX_DIALS,
              dials.size()));
    }
    Set<String> turned = new HashSet<>();
    for (Dial dial : dials) {
      Veil veil =
          veils.stream()
              .filter(v -> v.id().equals(dial.veil()))
              .findFirst()
              .orElseThrow(
                  () ->
                      new InvalidSetting(
                          "Dial “%s” turns a veil that is not there.".formatted(dial.label())));
      dial.setting(veil);
      if (!turned.add(dial.veil() + " " + dial.key())) {
        throw new InvalidSetting(
            "Dial “%s” turns what another dial turns already.".formatted(dial.label()));
      }
    }
  }

  /** Whether it was made with an edition of the engine before the present one. */
  public boolean isOlder() {
    return edition < Editions.current();
  }

  /** An effect without veils. */
  public static Effect empty() {
    return new Effect(List.of(), "", Editions.current());
  }

  /** Names of the pictures that its veils lay over a photo. */
  public Set<String> pictures() {
    Set<String> names = new TreeSet<>();
    for (Veil veil : veils) {
      for (Setting<?> setting : veil.kind().settings()) {
        if (setting instanceof PictureSetting picture) {
          names.add(veil.settings().get(picture));
        }
      }
    }
    names.remove("");
    return names;
  }

  /**
   * The same effect with other veils; the dials of veils, and of rules of masks, that are gone go
   * with them, the others hold what their veils have now; and what followed a veil that is gone
   * keeps its mask.
   */
  public Effect withVeils(List<Veil> others) {
    Set<String> ids = new HashSet<>();
    others.forEach(veil -> ids.add(veil.id()));
    List<Veil> freed = others.stream().map(v -> Following.freed(v, ids, veils)).toList();
    List<Dial> left = dials.stream().flatMap(d -> held(d, freed).stream()).toList();
    return new Effect(freed, note, edition, left, start, madeFor);
  }

  /**
   * The same effect going on at another opacity.
   *
   * @param share above 0 and up to 1
   */
  public Effect startingAt(double share) {
    return new Effect(veils, note, edition, dials, share, madeFor);
  }

  /** The same effect with another note. */
  public Effect noted(String words) {
    return new Effect(veils, words, edition, dials, start, madeFor);
  }

  /** The same effect with the newest edition of the engine. */
  public Effect updated() {
    return new Effect(veils, note, Editions.current(), dials, start, madeFor);
  }

  private Optional<Dial> held(Dial dial, List<Veil> now) {
    Optional<Veil> before = veil(dial.veil());
    return now.stream()
        .filter(v -> v.id().equals(dial.veil()) && dial.fits(v))
        .filter(v -> before.isEmpty() || dial.reaches(before.get(), v))
        .map(dial::holding)
        .findFirst();
  }

  /**
   * The same effect with some dials turned.
   *
   * @param turned values by label of a dial
   * @throws InvalidSetting with a sentence if there is no such dial, or a value lies out of its
   *     range
   */
  public Effect dialled(Map<String, Double> turned) {
    Effect next = this;
    for (var each : turned.entrySet()) {
      Dial dial = dial(each.getKey());
      double value = each.getValue();
      if (dial.within(value) != value) {
        throw new InvalidSetting(
            "Dial “%s” goes from %s to %s, but was %s."
                .formatted(dial.label(), dial.min(), dial.max(), value));
      }
      next = next.turned(dial, value);
    }
    return next;
  }

  /**
   * The same effect with what a dial turns at a value, be it out of the dial's range.
   *
   * @throws InvalidSetting with a sentence if the setting cannot have that value
   */
  public Effect turned(Dial dial, double value) {
    return withVeils(
        veils.stream()
            .map(v -> v.id().equals(dial.veil()) ? v.withNumbers(Map.of(dial.key(), value)) : v)
            .toList());
  }

  private Dial dial(String label) {
    return dials.stream()
        .filter(d -> d.label().equalsIgnoreCase(label))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidSetting(
                    dials.isEmpty()
                        ? "This effect has no dials."
                        : "There is no dial “%s”; there are: %s."
                            .formatted(
                                label,
                                String.join(", ", dials.stream().map(Dial::label).toList()))));
  }

  /** The veil of that id. */
  public Optional<Veil> veil(String id) {
    return veils.stream().filter(v -> v.id().equals(id)).findFirst();
  }
}
