package org.nineveils.app.proof.searches;

import java.util.List;
import java.util.function.Predicate;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.judging.Judging;
import org.springframework.stereotype.Component;

/** Columns of sheets, with the rules that they are judged by: what searches begin with. */
@Component
class Columns {
  private final Cells cells;
  private final Judging judging;
  private final EffectService effects;

  Columns(Cells cells, Judging judging, EffectService effects) {
    this.cells = cells;
    this.judging = judging;
    this.effects = effects;
  }

  /**
   * Cells of one effect at one moment.
   *
   * @param rules of its kit
   */
  record Column(List<Cell> cells, Judging.Rules rules) {}

  /** Name of an effect. */
  String name(long effect) {
    return effects.get(effect).name();
  }

  /** The cells of an effect that are judged. */
  Column judged(long effect) {
    Judging.Rules rules = judging.rules(effects.get(effect).kitId());
    return of(effect, rules, rules::isJudged);
  }

  /** The cells of an effect on some photos. */
  Column on(long effect, List<Long> photos) {
    Judging.Rules rules = judging.rules(effects.get(effect).kitId());
    return of(effect, rules, cell -> photos.contains(cell.photo().id()));
  }

  private Column of(long effect, Judging.Rules rules, Predicate<Cell> wanted) {
    return new Column(cells.column(effect).stream().filter(wanted).toList(), rules);
  }
}
