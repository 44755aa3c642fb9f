package org.nineveils.app.proof.judging;

import java.util.Optional;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.wear.fitting.HeldTo;
import org.nineveils.proof.Limits;
import org.springframework.stereotype.Component;

/** The limits that kits are held to, for fittings. */
@Component
class KitsHeldTo implements HeldTo {
  private final Judging judging;
  private final EffectService effects;

  KitsHeldTo(Judging judging, EffectService effects) {
    this.judging = judging;
    this.effects = effects;
  }

  @Override
  public Optional<Limits> limits(String wardrobe, String key) {
    if (!wardrobe.startsWith("kit:")) {
      return Optional.empty();
    }
    Rows.Effect row = effects.get(Long.parseLong(key));
    return Optional.of(judging.limits(row.kitId(), row.sectionId()));
  }
}
