package org.nineveils.app.proof.searches;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.proof.measure.Samples;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/** Dials of a kit that nobody can see an effect of, from one end of their range to the other. */
@Component
class DialsSearch implements Search {
  /** Mean ΔE00 from end to end below which nothing is seen; half of what is just noticed. */
  static final double SEEN = 0.5;

  private final Cells cells;
  private final Measuring measuring;
  private final KitService kits;

  DialsSearch(Cells cells, Measuring measuring, KitService kits) {
    this.cells = cells;
    this.measuring = measuring;
    this.kits = kits;
  }

  @Override
  public String id() {
    return "dials";
  }

  @Override
  public String title(Fields request) {
    return "Dials of “%s”".formatted(kits.kit(request.whole("kit")).name());
  }

  @Override
  public Object find(JobRun run, Fields request) {
    List<Long> photos = request.wholes("photos");
    List<Cell> dialled =
        cells.all(request.whole("kit")).stream()
            .filter(c -> photos.contains(c.photo().id()))
            .filter(c -> !c.effect().dials().isEmpty() && c.standing().on().why().isEmpty())
            .toList();
    run.total(dialled.size(), 0);
    Map<List<Object>, Double> most = Collections.synchronizedMap(new HashMap<>());
    run.each(
        dialled,
        true,
        cell -> "%s on %s".formatted(cell.head().name(), cell.photo().name()),
        cell -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        cell -> {
          for (Dial dial : cell.effect().dials()) {
            most.merge(List.of(cell.head().id(), dial.label()), moved(cell, dial), Math::max);
          }
        });
    List<Object> unseen = new ArrayList<>();
    most.forEach(
        (dial, by) -> {
          if (by < SEEN) {
            unseen.add(Json.object("effect", dial.get(0), "dial", dial.get(1), "by", by));
          }
        });
    return Json.object("unseen", unseen, "dials", most.size());
  }

  /** What turning a dial from end to end changes: over the whole picture, or where it acts. */
  private double moved(Cell cell, Dial dial) {
    Measuring.Tried tried = measuring.tried(cell);
    Samples low = samples(tried, cell.effect(), dial, dial.min());
    Samples high = samples(tried, cell.effect(), dial, dial.max());
    return low.most(high);
  }

  private static Samples samples(Measuring.Tried tried, Effect effect, Dial dial, double value) {
    Effect at = effect.turned(dial, dial.within(value));
    return Samples.of(tried.plain(), tried.picture(at, at.start()));
  }
}
