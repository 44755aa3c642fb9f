package org.nineveils.app.proof.searches;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.proof.Judgement;
import org.nineveils.proof.Range;
import org.nineveils.proof.Verdict;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Turnable;
import org.springframework.stereotype.Component;

/** A dial over its range, in steps, on some photos: where limits are passed. */
@Component
public class SweepSearch implements Search {
  /** Steps of a sweep; the pictures of a row fit beside one another. */
  private static final int STEPS = 7;

  private final Columns columns;
  private final Measuring measuring;

  SweepSearch(Columns columns, Measuring measuring) {
    this.columns = columns;
    this.measuring = measuring;
  }

  @Override
  public String id() {
    return "sweep";
  }

  @Override
  public String title(Fields request) {
    return "Sweep of dial “%s” of “%s”"
        .formatted(request.text("dial"), columns.name(request.whole("effect")));
  }

  @Override
  public Object find(JobRun run, Fields request) {
    Columns.Column swept = columns.on(request.whole("effect"), request.wholes("photos"));
    Judging.Rules rules = swept.rules();
    List<Cell> column = swept.cells();
    if (column.isEmpty()) {
      throw new Refusal("Choose a photo that the dial is swept on.");
    }
    Effect effect = column.get(0).effect();
    Dial dial = dial(effect, request.text("dial"));
    List<Double> values = values(effect, dial);
    run.total(column.size(), 0);
    Map<Long, List<Judgement>> rows = Collections.synchronizedMap(new LinkedHashMap<>());
    run.each(
        column,
        true,
        cell -> cell.photo().name(),
        cell -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        cell -> {
          Measuring.Tried tried = measuring.tried(cell);
          rows.put(
              cell.photo().id(),
              values.stream()
                  .map(v -> rules.judge(cell, tried.measured(effect.turned(dial, v))))
                  .toList());
        });
    double now = now(effect, dial);
    Range holds =
        Range.holding(
            values, now, i -> rows.values().stream().allMatch(row -> row.get(i).share() <= 1));
    List<Object> shown = new ArrayList<>();
    rows.forEach(
        (photo, row) -> shown.add(List.of(photo, row.stream().map(SweepSearch::cell).toList())));
    return Json.object(
        "dial", dial.label(),
        "values", values,
        "now", now,
        "rows", shown,
        "from", holds.from(),
        "to", holds.to(),
        "holds", holds.isAny());
  }

  private static List<Object> cell(Judgement said) {
    return List.of(
        said.state().word(),
        said.worst().map(v -> v.measure().id()).orElse(""),
        said.worst().map(v -> v.reading().value()).orElse(0.0),
        OpacitySearch.finite(said.worst().map(Verdict::share).orElse(0.0)));
  }

  public static Dial dial(Effect effect, String label) {
    return effect.dials().stream()
        .filter(d -> d.label().equals(label))
        .findFirst()
        .orElseThrow(() -> new Refusal("There is no dial “%s”.".formatted(label)));
  }

  /** Values over the range of a dial, as its setting can take them, and the one that it has. */
  private static List<Double> values(Effect effect, Dial dial) {
    var setting = dial.setting(effect.veil(dial.veil()).orElseThrow());
    Stream<Double> steps =
        IntStream.range(0, STEPS)
            .mapToObj(i -> dial.min() + (dial.max() - dial.min()) * i / (STEPS - 1))
            .map(v -> setting.step() * Math.rint(v / setting.step()))
            .map(v -> Math.rint(v * 1e6) / 1e6)
            .map(dial::within);
    return Stream.concat(steps, Stream.of(now(effect, dial))).distinct().sorted().toList();
  }

  private static double now(Effect effect, Dial dial) {
    return Turnable.of(effect.veil(dial.veil()).orElseThrow(), dial.key()).orElseThrow().value();
  }
}
