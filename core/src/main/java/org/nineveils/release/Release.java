package org.nineveils.release;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.nineveils.file.PictureReader;
import org.nineveils.kit.Against;
import org.nineveils.kit.StackingRule;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.picture.Scaling;
import org.nineveils.proof.Limits;
import org.nineveils.veil.Effect;

/**
 * A named, versioned package of kits.
 *
 * @param name of the collection
 * @param version such as 1.0.2
 * @param makersMark who made it
 * @param licence one line
 * @param notes for the photographer; may be empty
 * @param kits 1 or more
 * @param pictures files of the pictures that effects lay over photos, by SHA-256
 * @param cover what it shows of itself
 * @param news what is new in it
 * @param mayHandOut whether photographers may hand out looks of their own that its effects are in;
 *     they may not, unless its maker says so
 */
public record Release(
    String name,
    String version,
    String makersMark,
    String licence,
    String notes,
    List<KitPart> kits,
    Map<String, byte[]> pictures,
    Cover cover,
    News news,
    boolean mayHandOut) {

  /** One without a cover, of which nothing is new, and whose effects no photographer hands out. */
  public Release(
      String name,
      String version,
      String makersMark,
      String licence,
      String notes,
      List<KitPart> kits,
      Map<String, byte[]> pictures) {
    this(name, version, makersMark, licence, notes, kits, pictures, Cover.NONE, News.NONE, false);
  }

  /**
   * A photo before and after, on the front of a release.
   *
   * @param before JPEG; empty for no cover
   * @param after JPEG of the same size; empty for no cover
   */
  @SuppressWarnings("ArrayRecordComponent") // file contents, handed over
  public record Cover(byte[] before, byte[] after) {
    public static final Cover NONE = new Cover(new byte[0], new byte[0]);

    public boolean isThere() {
      return before.length > 0 && after.length > 0;
    }
  }

  /**
   * What is new since the version before.
   *
   * @param since that version; empty where there is none
   * @param lines a sentence each, for photographers
   */
  public record News(String since, List<String> lines) {
    public static final News NONE = new News("", List.of());

    public News {
      lines = List.copyOf(lines);
    }
  }

  public Release {
    kits = List.copyOf(kits);
    pictures = Map.copyOf(pictures);
  }

  /** This, with other news. */
  public Release withNews(News other) {
    return new Release(
        name, version, makersMark, licence, notes, kits, pictures, cover, other, mayHandOut);
  }

  /** This, with another word on handing out. */
  public Release withMayHandOut(boolean may) {
    return new Release(name, version, makersMark, licence, notes, kits, pictures, cover, news, may);
  }

  /** The pictures as a shelf; each is decoded when it is asked for. */
  public PictureShelf shelf() {
    return new PictureShelf() {
      @Override
      public Optional<Picture> find(String sha) {
        return Optional.ofNullable(pictures.get(sha)).map(file -> PictureReader.read(file, sha));
      }

      @Override
      public Optional<Picture> cover(String sha, int longSide) {
        return Optional.ofNullable(pictures.get(sha))
            .flatMap(file -> PictureReader.cover(file, sha))
            .map(cover -> Scaling.toLongSide(cover, longSide));
      }
    };
  }

  /** A kit in a release. */
  public record KitPart(String name, String purpose, List<SectionPart> sections) {
    public KitPart {
      sections = List.copyOf(sections);
    }
  }

  /**
   * A section of a kit.
   *
   * @param number counts from 1
   * @param against sections of the kit that it goes not with
   * @param limits that the maker held its effects to
   */
  public record SectionPart(
      int number,
      String name,
      StackingRule rule,
      List<Against> against,
      Limits limits,
      List<EffectPart> effects) {
    public SectionPart {
      against = List.copyOf(against);
      effects = List.copyOf(effects);
    }

    /** A section whose effects were held to the limits that measures begin with. */
    public SectionPart(
        int number,
        String name,
        StackingRule rule,
        List<Against> against,
        List<EffectPart> effects) {
      this(number, name, rule, against, Limits.START, effects);
    }

    /** A section that goes with every other. */
    public SectionPart(int number, String name, StackingRule rule, List<EffectPart> effects) {
      this(number, name, rule, List.of(), effects);
    }
  }

  /**
   * An effect of a section.
   *
   * @param name on screens
   * @param key what it is known by where it stands: its file in a package, its number in the
   *     workspace before it is packed, its name where neither is there
   * @param effect the veils and the note
   * @param before small JPEG of a plain photo, empty where there is none
   * @param after the same through the effect
   */
  @SuppressWarnings("ArrayRecordComponent") // file contents, handed over
  public record EffectPart(String name, String key, Effect effect, byte[] before, byte[] after) {
    /** Long side of its pictures, pixels, and their quality, 0…1. */
    public static final int PICTURE_SIDE = 640;

    public static final float PICTURE_QUALITY = 0.88f;

    /** What an effect holds in memory, at a guess. */
    private static final int BYTES = 40_000;
  }

  /** Bytes that it holds in memory: its pictures and, at a guess, its effects. */
  public long bytes() {
    long placed = pictures.values().stream().mapToLong(p -> p.length).sum();
    return effects().stream()
            .mapToLong(e -> e.before().length + e.after().length + EffectPart.BYTES)
            .sum()
        + placed;
  }

  /** Every effect, in the order of kits and sections. */
  public List<EffectPart> effects() {
    return kits.stream()
        .flatMap(kit -> kit.sections().stream())
        .flatMap(section -> section.effects().stream())
        .toList();
  }

  /**
   * The effect of that name, upper and lower case alike.
   *
   * @param wanted name, or path in the package where two kits share a name
   * @throws ReleaseException if there is none or more than one
   */
  public EffectPart effect(String wanted) {
    String name = wanted.strip().toLowerCase(Locale.ROOT);
    List<EffectPart> found = matching(e -> e.key().equals(wanted.strip()));
    if (found.isEmpty()) {
      found = matching(e -> e.name().toLowerCase(Locale.ROOT).equals(name));
    }
    if (found.isEmpty()) {
      throw new ReleaseException(
          "There is no effect “%s” in “%s” %s. It holds: %s."
              .formatted(
                  wanted,
                  this.name,
                  version,
                  String.join(", ", effects().stream().map(EffectPart::name).toList())));
    }
    if (found.size() > 1) {
      throw new ReleaseException(
          String.format(
              Locale.ROOT,
              "There are %d effects called “%s”; name one by its file: %s.",
              found.size(),
              wanted,
              String.join(", ", found.stream().map(EffectPart::key).toList())));
    }
    return found.get(0);
  }

  private List<EffectPart> matching(Predicate<EffectPart> which) {
    return effects().stream().filter(which).toList();
  }
}
