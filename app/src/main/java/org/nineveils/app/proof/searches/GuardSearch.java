package org.nineveils.app.proof.searches;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.proof.Culprit;
import org.nineveils.proof.Finder;
import org.nineveils.proof.KeptOff;
import org.nineveils.proof.Readings;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Reading;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/**
 * How much veils must be kept off skin until a measure is within on every photo: first the veil
 * that does most, then more of them, and of those the least amount that suffices.
 */
@Component
class GuardSearch implements Search {
  private static final int STEPS = 5;
  private static final double PRECISION = 1; // per cent

  private final Columns columns;
  private final Measuring measuring;

  GuardSearch(Columns columns, Measuring measuring) {
    this.columns = columns;
    this.measuring = measuring;
  }

  @Override
  public String id() {
    return "guard";
  }

  @Override
  public String title(Fields request) {
    return "Keeping “%s” off skin".formatted(columns.name(request.whole("effect")));
  }

  @Override
  public Object find(JobRun run, Fields request) {
    Measure measure =
        Measures.ofId(request.text("measure"))
            .orElseThrow(() -> new Refusal("There is no such measure."));
    Columns.Column judged = columns.judged(request.whole("effect"));
    Judging.Rules rules = judged.rules();
    List<Cell> column = judged.cells();
    Cell here =
        column.stream()
            .filter(c -> c.photo().id() == request.whole("photo"))
            .findFirst()
            .orElseThrow(() -> new Refusal("This photo is not judged for the effect."));
    List<Cell> over = column.stream().filter(c -> isOver(c, measure, rules)).toList();
    List<String> veils = doing(here, measure);
    run.total(Math.max(1, veils.size()), 0);
    List<String> some = new ArrayList<>();
    AtomicReference<Object> found = new AtomicReference<>();
    run.each(
        veils,
        false,
        veil -> here.effect().veil(veil).orElseThrow().name(),
        veil -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        veil -> {
          if (found.get() == null) {
            some.add(veil);
            upTo(over, column, some, measure, rules)
                .ifPresent(at -> found.set(found(here, some, at)));
          }
        });
    return found.get() == null ? Json.object("found", false) : found.get();
  }

  private static Object found(Cell here, List<String> veils, double amount) {
    return Json.object(
        "found",
        true,
        "veils",
        List.copyOf(veils),
        "names",
        veils.stream().map(v -> here.effect().veil(v).orElseThrow().name()).toList(),
        "amount",
        amount);
  }

  private boolean isOver(Cell cell, Measure measure, Judging.Rules rules) {
    return share(cell, measuring.readings(cell), measure, rules) > 1;
  }

  private static double share(Cell cell, Readings taken, Measure measure, Judging.Rules rules) {
    return rules.judge(cell, taken).verdicts().stream()
        .filter(v -> v.measure() == measure)
        .mapToDouble(v -> v.share())
        .findFirst()
        .orElse(0);
  }

  /** Veils that make the measure worse here, the one that does most first. */
  private List<String> doing(Cell here, Measure measure) {
    Measuring.Tried tried = measuring.tried(here);
    Reading with = measuring.readings(here).byMeasure().get(measure.id());
    if (with == null || !with.isJudged()) {
      return List.of();
    }
    return Culprit.of(measure, with, here.effect(), e -> tried.measured(e, measure)).stream()
        .filter(c -> c.by() > 0)
        .map(Culprit::veil)
        .toList();
  }

  /** The least amount that suffices on all photos; none where all of it does not. */
  private Optional<Double> upTo(
      List<Cell> over,
      List<Cell> column,
      List<String> veils,
      Measure measure,
      Judging.Rules rules) {
    if (!holds(over, veils, 100, measure, rules)) {
      return Optional.empty();
    }
    Finder found =
        Finder.between(
            100, 0, STEPS, PRECISION, 1, amount -> shares(over, veils, amount, measure, rules));
    double amount = found.at();
    // Elsewhere a veil that is kept off skin may do less good than harm.
    return holds(column, veils, amount, measure, rules) ? Optional.of(amount) : Optional.empty();
  }

  private boolean holds(
      List<Cell> some, List<String> veils, double amount, Measure measure, Judging.Rules rules) {
    return shares(some, veils, amount, measure, rules).stream().allMatch(s -> s <= 1);
  }

  private List<Double> shares(
      List<Cell> some, List<String> veils, double amount, Measure measure, Judging.Rules rules) {
    return some.parallelStream()
        .map(
            cell -> {
              Effect kept = KeptOff.skin(cell.effect(), veils, amount);
              Reading taken = measuring.tried(cell).measured(kept, measure);
              return share(cell, new Readings(Map.of(measure.id(), taken)), measure, rules);
            })
        .toList();
  }
}
