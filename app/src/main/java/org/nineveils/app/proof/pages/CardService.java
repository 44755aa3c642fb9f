package org.nineveils.app.proof.pages;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.app.proof.searches.OpacitySearch;
import org.nineveils.app.proof.sheet.ProofService;
import org.nineveils.document.Json;
import org.nineveils.proof.Culprit;
import org.nineveils.proof.Judgement;
import org.nineveils.proof.KeptOff;
import org.nineveils.proof.Limits;
import org.nineveils.proof.Readings;
import org.nineveils.proof.Verdict;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Reading;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** What the card of a cell says, and the remedies on it. */
@Service
class CardService {
  /** Less than this share of a limit is not worth a word. */
  private static final double LEAST = 0.1;

  private static final int MOST_NAMED = 3;

  private final Cells cells;
  private final Measuring measuring;
  private final Judging judging;
  private final EffectService effects;

  CardService(Cells cells, Measuring measuring, Judging judging, EffectService effects) {
    this.cells = cells;
    this.measuring = measuring;
    this.judging = judging;
    this.effects = effects;
  }

  /** Every measure of a cell against its limit. */
  Map<String, Object> card(long effectId, long photoId) {
    Cell cell = cells.one(effectId, photoId);
    Judging.Rules rules = judging.rules(cell.head().kitId());
    Readings taken = measuring.readings(cell);
    Judgement said = rules.judge(cell, taken);
    Limits limits = rules.in(cell.head().sectionId());
    List<Object> lines = new ArrayList<>();
    for (Measure m : Measures.all()) {
      Reading reading = taken.byMeasure().get(m.id());
      boolean judged = said.notJudged().isEmpty() && limits.isOn(m);
      String accepted = rules.accepted(effectId, photoId, m.id());
      Verdict verdict = new Verdict(m, reading, limits.of(m), accepted);
      lines.add(
          Json.object(
              "measure", m.id(),
              "label", m.label(),
              "unit", m.unit(),
              "region", m.region(),
              "less", m.bad() == Measure.Bad.LESS,
              "value", reading.isJudged() ? reading.value() : "",
              "why", judged ? reading.why() : limits.isOn(m) ? "" : "switched off",
              "limit", limits.of(m),
              "state", judged ? verdict.state().word() : Verdict.State.NOT_JUDGED.word(),
              "share", OpacitySearch.finite(verdict.share()),
              "accepted", accepted));
    }
    return Json.object(
        "cell", ProofService.shown(cell, said),
        "start", cell.effect().start(),
        "notJudged", said.notJudged(),
        "lacking", cell.standing().on().lacking(),
        "lines", lines);
  }

  /** What is known of an effect besides its cells. */
  Map<String, Object> effect(long effectId) {
    Judging.Rules rules = judging.rules(effects.get(effectId).kitId());
    Effect effect = effects.effect(effects.get(effectId));
    return Json.object(
        "start", effect.start(),
        "madeFor", effect.madeFor(),
        "dials", effect.dials().stream().map(Dial::label).toList(),
        "judged",
            cells.column(effectId).stream()
                .filter(rules::isJudged)
                .map(c -> c.photo().id())
                .toList());
  }

  /** Who did it: the veils that move a measure most, in a sentence. */
  Map<String, Object> who(long effectId, long photoId, String measureId) {
    Measure measure =
        Measures.ofId(measureId)
            .orElseThrow(() -> new Refusal("There is no measure “%s”.".formatted(measureId)));
    Cell cell = cells.one(effectId, photoId);
    Readings taken = measuring.readings(cell);
    Reading with = taken.byMeasure().get(measureId);
    if (!with.isJudged()) {
      return Json.object("sentence", "", "veils", List.of());
    }
    Measuring.Tried tried = measuring.tried(cell);
    List<Culprit> all = Culprit.of(measure, with, cell.effect(), e -> tried.measured(e, measure));
    double limit = judging.rules(cell.head().kitId()).in(cell.head().sectionId()).of(measure);
    double way = measure.bad() == Measure.Bad.LESS ? 100 - limit : limit;
    List<Culprit> named = all.stream().filter(c -> c.by() > LEAST * way).limit(MOST_NAMED).toList();
    return Json.object(
        "sentence", sentence(named, measure),
        "veils", named.stream().map(Culprit::veil).toList());
  }

  private static String sentence(List<Culprit> named, Measure measure) {
    String what = measure.label().toLowerCase(Locale.ROOT);
    if (named.isEmpty()) {
      return "No single veil does it: it is what several do together (%s).".formatted(what);
    }
    List<String> parts = new ArrayList<>();
    String way = measure.bad() == Measure.Bad.LESS ? "more" : "less";
    for (Culprit c : named) {
      String by = "%s %s".formatted(number(c.by()), measure.unit()).strip();
      parts.add(
          parts.isEmpty()
              ? "“%s” does most of it: without it %s is %s %s".formatted(c.name(), what, by, way)
              : "without “%s” %s %s".formatted(c.name(), by, way));
    }
    return String.join("; ", parts) + ".";
  }

  private static String number(double v) {
    return String.format(Locale.ROOT, Math.abs(v) >= 10 ? "%.0f" : "%.1f", v);
  }

  /**
   * Lets an effect go on at another opacity.
   *
   * @param start 0.01…1
   */
  void startAt(long effectId, double start) {
    String label = String.format(Locale.ROOT, "start at %d %%", Math.round(start * 100));
    change(effectId, label, e -> e.startingAt(start));
  }

  /** Keeps veils of an effect off skin by an amount, 0…100 %. */
  void keepOff(long effectId, List<String> veils, double amount) {
    String label = String.format(Locale.ROOT, "keep off skin by %d %%", Math.round(amount));
    change(effectId, label, e -> KeptOff.skin(e, veils, amount));
  }

  /** Gives a dial another range. */
  void range(long effectId, String label, double min, double max) {
    change(effectId, "range of dial " + label, e -> ranged(e, label, min, max));
  }

  private static Effect ranged(Effect e, String label, double min, double max) {
    List<Dial> dials =
        e.dials().stream()
            .map(
                d ->
                    d.label().equals(label)
                        ? new Dial(d.veil(), d.key(), d.label(), min, max, d.heading())
                        : d)
            .toList();
    return new Effect(e.veils(), e.note(), e.edition(), dials, e.start(), e.madeFor());
  }

  private void change(
      long effectId, String label, java.util.function.UnaryOperator<Effect> change) {
    var row = effects.get(effectId);
    String page = Judging.scope(row.kitId());
    effects.change(effectId, Save.on(row.rev(), label), page, change);
  }
}
