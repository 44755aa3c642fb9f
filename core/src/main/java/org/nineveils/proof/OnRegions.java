package org.nineveils.proof;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.mask.RegionRule;
import org.nineveils.mask.Rule;
import org.nineveils.name.Names;
import org.nineveils.picture.Picture;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * How an effect is tried on a test photo: veils that are brushed on, and that nobody painted on
 * that photo, cover the region that they are meant for.
 *
 * @param bare veils that stay hidden, by name, each with the region that the photo lacks; the empty
 *     region where the veil is meant for none
 * @param acts names of the regions, as the photo has them, that brush-on veils cover, or are meant
 *     for where somebody painted them
 * @param everywhere whether a veil that is down covers more than regions
 */
public record OnRegions(Map<String, String> bare, Set<String> acts, boolean everywhere) {
  /** How soft a region's edge is made, thousandths of the long side: a brush has no hard one. */
  public static final double FEATHER = 4;

  /** Whether nothing of the effect can be seen on the photo. */
  public boolean isHidden() {
    return !bare.isEmpty() && acts.isEmpty() && !everywhere;
  }

  /** Why nothing can be seen, in words that follow “not judged:”; empty where something can. */
  public String why() {
    return isHidden() ? lacking() : "";
  }

  /** What the photo lacks, in words; empty where it lacks nothing. */
  public String lacking() {
    Set<String> regions = new LinkedHashSet<>(bare.values());
    boolean none = regions.remove("");
    if (regions.isEmpty()) {
      return none ? "brushed on, and meant for no region" : "";
    }
    return "no %s here".formatted(String.join(" or ", regions));
  }

  /**
   * Looks at what of an effect can be seen.
   *
   * @param painted ids of the veils that were painted on that photo
   * @param regions names of the regions that it has
   */
  public static OnRegions of(Effect effect, Set<String> painted, Collection<String> regions) {
    Map<String, String> names = byKey(regions);
    Map<String, String> bare = new LinkedHashMap<>();
    Set<String> acts = new LinkedHashSet<>();
    boolean everywhere = false;
    for (Veil veil : effect.veils()) {
      if (veil.lifted() || veil.opacity() == 0) {
        continue;
      }
      Veil covers = effect.veil(veil.mask().as()).orElse(veil);
      String region = names.get(Names.key(covers.meantFor()));
      if (!waits(covers, painted)) {
        everywhere = true;
        if (covers.mask().startsHidden() && region != null) {
          acts.add(region); // painted by hand where it is meant for, more or less
        }
      } else if (region == null) {
        bare.put(veil.name(), covers.meantFor());
      } else {
        acts.add(region);
      }
    }
    return new OnRegions(bare, acts, everywhere);
  }

  /**
   * The effect with its brush-on veils on their regions.
   *
   * @param paint what was painted on that photo, by id of veil
   * @param regions coverage of every pixel, 0…1, by name
   * @param plain the whole plain photo of that size
   */
  public static Effect dressed(
      Effect effect, Map<String, Paint> paint, Map<String, float[]> regions, Picture plain) {
    Map<String, String> names = byKey(regions.keySet());
    List<Veil> veils = new ArrayList<>();
    for (Veil veil : effect.veils()) {
      Optional<String> region = Optional.ofNullable(names.get(Names.key(veil.meantFor())));
      boolean put = waits(veil, paint.keySet()) && region.isPresent();
      veils.add(put ? veil.withMask(over(veil.mask(), regions.get(region.get()), plain)) : veil);
    }
    return effect.withVeils(veils);
  }

  private static boolean waits(Veil veil, Set<String> painted) {
    return veil.mask().startsHidden() && !painted.contains(veil.id());
  }

  private static Map<String, String> byKey(Collection<String> regions) {
    Map<String, String> names = new LinkedHashMap<>();
    regions.forEach(name -> names.put(Names.key(name), name));
    return names;
  }

  /** What paint counts by counts for the region too. */
  private static Mask over(Mask own, float[] region, Picture plain) {
    float[] cover = region;
    if (!own.rules().isEmpty()) {
      Mask within = new Mask(Cover.BY_RULE, own.rules());
      cover = Painter.cover(within, Paint.NONE, plain, plain.area()).cut(plain.area()).values();
      for (int i = 0; i < cover.length; i++) {
        cover[i] *= region[i];
      }
    }
    List<Rule> rules = List.of(RegionRule.of(cover, plain.width()));
    return new Mask(Cover.BY_RULE, rules, own.grow(), Math.max(own.soften(), FEATHER));
  }
}
