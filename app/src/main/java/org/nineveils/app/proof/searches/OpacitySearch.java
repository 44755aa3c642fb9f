package org.nineveils.app.proof.searches;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.proof.Finder;
import org.springframework.stereotype.Component;

/** How much of an effect is too much: the highest opacity at which its photos are within. */
@Component
public class OpacitySearch implements Search {
  private static final int STEPS = 10;
  private static final double PRECISION = 0.01;

  private final Columns columns;
  private final Measuring measuring;

  OpacitySearch(Columns columns, Measuring measuring) {
    this.columns = columns;
    this.measuring = measuring;
  }

  @Override
  public String id() {
    return "opacity";
  }

  @Override
  public String title(Fields request) {
    return "How much is too much of “%s”".formatted(columns.name(request.whole("effect")));
  }

  @Override
  public Object find(JobRun run, Fields request) {
    double wanted = request.number("share", 1);
    Columns.Column judged = columns.judged(request.whole("effect"));
    List<Cell> column = judged.cells();
    run.total(column.size(), 0);
    Map<Long, Finder> each = Collections.synchronizedMap(new LinkedHashMap<>());
    run.each(
        column,
        true,
        cell -> cell.photo().name(),
        cell -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        cell -> each.put(cell.photo().id(), upTo(cell, judged.rules())));
    if (each.isEmpty()) {
      return Json.object("photos", 0);
    }
    List<Finder> found = List.copyOf(each.values());
    Finder all = Finder.together(found, wanted);
    List<Object> curve = new ArrayList<>();
    all.curve().forEach(p -> curve.add(List.of(p.at(), finite(p.worst()), p.within())));
    List<Object> ends = new ArrayList<>();
    each.forEach((photo, finder) -> ends.add(List.of(photo, finder.at())));
    return Json.object(
        "photos", found.size(),
        "at", all.at(),
        "start", column.get(0).effect().start(),
        "curve", curve,
        "ends", ends);
  }

  private Finder upTo(Cell cell, Judging.Rules rules) {
    Measuring.Tried tried = measuring.tried(cell);
    return Finder.between(
        0,
        1,
        STEPS,
        PRECISION,
        1,
        opacity -> List.of(rules.judge(cell, tried.measured(cell.effect(), opacity)).share()));
  }

  /** JSON has no infinity. */
  public static double finite(double share) {
    return Math.min(1000, share);
  }
}
