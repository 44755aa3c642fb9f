package org.nineveils.kit;

import java.util.LinkedHashSet;
import java.util.Set;
import org.nineveils.name.Names;
import org.nineveils.setting.Setting;
import org.nineveils.veil.Editions;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * What is known of an effect without looking at a photo: by it effects are found, and told ready or
 * not.
 *
 * @param kinds ids of the kinds of its veils
 * @param settings names on screens of the settings that are not at their start, as keys of names
 * @param veils how many it has
 * @param dials how many settings are left to the photographer
 * @param edition of the engine that it was made with
 * @param noted whether it has a note
 * @param brushed whether a veil is brushed on
 * @param unplaced whether a veil is brushed on and nobody says where
 * @param broken whether its note promises a dial that is not there
 */
public record EffectFacts(
    Set<String> kinds,
    Set<String> settings,
    int veils,
    int dials,
    int edition,
    boolean noted,
    boolean brushed,
    boolean unplaced,
    boolean broken) {
  public EffectFacts {
    kinds = Set.copyOf(kinds);
    settings = Set.copyOf(settings);
  }

  /** Whether it was made with an edition of the engine before the present one. */
  public boolean isOlder() {
    return edition < Editions.current();
  }

  /** Looks at an effect. */
  public static EffectFacts of(Effect effect) {
    Set<String> kinds = new LinkedHashSet<>();
    Set<String> settings = new LinkedHashSet<>();
    for (Veil veil : effect.veils()) {
      kinds.add(veil.kind().id());
      for (Setting<?> setting : veil.kind().settings()) {
        if (!veil.settings().get(setting).equals(setting.start())) {
          settings.add(Names.key(setting.label()));
        }
      }
    }
    return new EffectFacts(
        kinds,
        settings,
        effect.veils().size(),
        effect.dials().size(),
        effect.edition(),
        !effect.note().isBlank(),
        effect.veils().stream().anyMatch(v -> v.mask().startsHidden()),
        effect.veils().stream().anyMatch(v -> v.mask().startsHidden() && v.meantFor().isBlank()),
        !Promises.broken(effect).isEmpty());
  }
}
