package org.nineveils.release;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.kit.Against;
import org.nineveils.kit.MakersOwn;
import org.nineveils.kit.Mark;
import org.nineveils.kit.StackingRule;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * Kits as a maker carries them from one installation to another, to be worked on there: with all
 * that belongs to her and that no release holds.
 *
 * @param kits one or several, in order
 * @param swatches settings of single veils that go along
 * @param pictures that effects lay over photos: file by SHA-256 of what is in it
 */
public record KitFile(List<KitPart> kits, List<SwatchPart> swatches, Map<String, byte[]> pictures) {
  public KitFile {
    kits = List.copyOf(kits);
    swatches = List.copyOf(swatches);
    pictures = Map.copyOf(pictures);
  }

  /** A kit. */
  public record KitPart(String name, String purpose, List<SectionPart> sections) {
    public KitPart {
      sections = List.copyOf(sections);
    }
  }

  /**
   * A section.
   *
   * @param number counts from 1
   * @param against sections of the kit that it goes not with
   * @param mark of the maker's own
   */
  public record SectionPart(
      int number,
      String name,
      StackingRule rule,
      List<Against> against,
      Optional<Mark> mark,
      List<EffectPart> effects) {
    public SectionPart {
      against = List.copyOf(against);
      effects = List.copyOf(effects);
    }
  }

  /**
   * An effect.
   *
   * @param variantOf name of the effect of the kit that it came from; empty where it came from none
   */
  public record EffectPart(String name, Effect effect, MakersOwn own, String variantOf) {}

  /** A swatch under the mark of its maker. */
  public record SwatchPart(String mark, String name, Veil veil) {}

  /** Every effect of every kit. */
  public List<EffectPart> effects() {
    return kits.stream()
        .flatMap(k -> k.sections().stream())
        .flatMap(s -> s.effects().stream())
        .toList();
  }

  /** The kits of a release; what only its maker knew is not in it. */
  public static KitFile of(Release release) {
    return new KitFile(
        release.kits().stream().map(KitFile::kit).toList(), List.of(), release.pictures());
  }

  private static KitPart kit(Release.KitPart kit) {
    return new KitPart(
        kit.name(), kit.purpose(), kit.sections().stream().map(KitFile::section).toList());
  }

  private static SectionPart section(Release.SectionPart s) {
    return new SectionPart(
        s.number(),
        s.name(),
        s.rule(),
        s.against(),
        Optional.empty(),
        s.effects().stream()
            .map(e -> new EffectPart(e.name(), e.effect(), MakersOwn.NONE, ""))
            .toList());
  }
}
