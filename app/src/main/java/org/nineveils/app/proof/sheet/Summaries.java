package org.nineveils.app.proof.sheet;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.kit.Readiness.Proofed;
import org.nineveils.proof.Judgement;
import org.nineveils.proof.Readings;
import org.nineveils.proof.Verdict;
import org.springframework.stereotype.Service;

/**
 * What the proofs of a kit come to, effect by effect. Kept until something is edited or proofed.
 */
@Service
public class Summaries {
  /** Bytes of one effect's summary, at a guess. */
  private static final long EACH = 400;

  private final Cells cells;
  private final Measuring measuring;
  private final Judging judging;
  private final Journal journal;
  private final Shelf<String, Map<Long, Summary>> kept;

  Summaries(Cells cells, Measuring measuring, Judging judging, Journal journal, Budget budget) {
    this.cells = cells;
    this.measuring = measuring;
    this.judging = judging;
    this.journal = journal;
    this.kept = budget.shelf("what proofs come to", all -> EACH * all.size());
  }

  /**
   * What the proofs of an effect come to.
   *
   * @param worst what went farthest over or towards its limit, and where, in words; empty where
   *     nothing is near
   * @param worstPhoto id of the photo where; 0 where nothing is near
   */
  public record Summary(Proofed proofed, String worst, long worstPhoto) {}

  /** Of an effect that was never proofed. */
  public static final Summary NONE = new Summary(Proofed.NEVER, "", 0);

  /** By effect, for all effects of a kit. */
  public Map<Long, Summary> of(long kitId) {
    String stamp =
        String.format(Locale.ROOT, "%d at %d and %d", kitId, journal.place(), measuring.written());
    return kept.get(stamp, () -> counted(kitId));
  }

  private static final class Count {
    private int made;
    private int of;
    private int over;
    private int near;
    private double farthest;
    private String worst = "";
    private long worstPhoto;

    void add(Cell cell, Judgement said) {
      Optional<Verdict> verdict = said.worst();
      boolean isOver = verdict.filter(v -> v.state() == Verdict.State.OVER).isPresent();
      boolean isNear = verdict.filter(v -> v.state() == Verdict.State.NEAR).isPresent();
      over += isOver ? 1 : 0;
      near += isNear ? 1 : 0;
      if ((isOver || isNear) && verdict.get().share() > farthest) {
        farthest = verdict.get().share();
        worstPhoto = cell.photo().id();
        worst = "%s on %s".formatted(verdict.get().measure().label(), cell.photo().name());
      }
    }

    Summary shown(boolean sheet) {
      return new Summary(new Proofed(made, of, over, near, sheet), worst, worstPhoto);
    }
  }

  private Map<Long, Summary> counted(long kitId) {
    List<Cell> all = cells.all(kitId);
    Map<String, Readings> there = measuring.there(all);
    Judging.Rules rules = judging.rules(kitId);
    Map<Long, Count> counts = new LinkedHashMap<>();
    for (Cell cell : all) {
      Count count = counts.computeIfAbsent(cell.head().id(), e -> new Count());
      Readings taken = there.get(cell.measured());
      if (taken != null) {
        count.made++;
        count.add(cell, rules.judge(cell, taken));
      }
      count.of++;
    }
    Map<Long, Summary> out = new LinkedHashMap<>();
    counts.forEach((effect, count) -> out.put(effect, count.shown(!there.isEmpty())));
    return Map.copyOf(out);
  }
}
