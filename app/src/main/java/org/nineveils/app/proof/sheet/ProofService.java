package org.nineveils.app.proof.sheet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.proof.Judgement;
import org.nineveils.proof.Readings;
import org.nineveils.proof.Verdict;
import org.springframework.stereotype.Service;

/**
 * Makes proof sheets: every effect of a kit on every photo of the test wall, as a job. Cells are
 * kept on the disk by what they show, so a sheet made again renders only what changed.
 */
@Service
public class ProofService implements JobKind {
  private static final String ID = "proofs";

  /** Beyond this many times its limit nothing is told apart. */
  private static final double FARTHEST = 1000;

  private final KitService kits;
  private final Cells cells;
  private final Measuring measuring;
  private final Judging judging;
  private final Jobs jobs;

  /** What was made since the application began, by kit: pages ask for what is new to them. */
  private final Map<Long, Made> made = new ConcurrentHashMap<>();

  ProofService(KitService kits, Cells cells, Measuring measuring, Judging judging, Jobs jobs) {
    this.kits = kits;
    this.cells = cells;
    this.measuring = measuring;
    this.judging = judging;
    this.jobs = jobs;
  }

  /** A log of cells as pages take them; see {@link #shown}. */
  static final class Made {
    private final List<List<Object>> log = new ArrayList<>();

    synchronized void add(List<Object> cell) {
      log.add(cell);
    }

    synchronized int size() {
      return log.size();
    }

    synchronized List<List<Object>> since(int place) {
      return List.copyOf(log.subList(Math.max(0, Math.min(place, log.size())), log.size()));
    }
  }

  private Made madeOf(long kitId) {
    return made.computeIfAbsent(kitId, k -> new Made());
  }

  /**
   * A cell as pages take it: effect, photo, verdict, the measure that it is for with its value, how
   * far that went towards its limit, and words: why nothing is judged, why it may be over, or what
   * the photo lacks.
   */
  public static List<Object> shown(Cell cell, Judgement said) {
    Optional<Verdict> worst = said.worst();
    String lacking = cell.standing().on().lacking();
    return List.of(
        cell.head().id(),
        cell.photo().id(),
        said.state().word(),
        worst.map(v -> v.measure().id()).orElse(""),
        worst.map(v -> v.reading().value()).orElse(0.0),
        Math.min(FARTHEST, worst.map(Verdict::share).orElse(0.0)),
        said.notJudged().isEmpty()
            ? worst.map(Verdict::accepted).filter(w -> !w.isEmpty()).orElse(lacking)
            : said.notJudged());
  }

  /**
   * All cells: a row a photo, a letter an effect, 1 where it is there; and those of which something
   * is said.
   */
  private void all(List<Cell> all, Judging.Rules rules, Map<String, Object> out) {
    Map<String, Readings> there = measuring.there(all);
    Map<Long, StringBuilder> rows = new LinkedHashMap<>();
    List<List<Object>> marks = new ArrayList<>();
    int done = 0; // cells: two effects that are the same have one reading
    for (Cell cell : all) {
      Readings taken = there.get(cell.measured());
      rows.computeIfAbsent(cell.photo().id(), p -> new StringBuilder())
          .append(taken == null ? '0' : '1');
      if (taken != null) {
        done++;
        List<Object> mark = shown(cell, rules.judge(cell, taken));
        if (!mark.get(2).equals(Verdict.State.WITHIN.word()) || !mark.get(6).equals("")) {
          marks.add(mark);
        }
      }
    }
    out.put(
        "rows",
        rows.entrySet().stream().map(r -> List.of(r.getKey(), r.getValue().toString())).toList());
    out.put("marks", marks);
    out.put("done", done);
    out.put("total", all.size());
  }

  /**
   * What one measure says of every cell that is there, photo by photo: [effect, photo, value,
   * verdict]; the value is left out where it was not judged.
   */
  public List<List<Object>> values(long kitId, String measure) {
    List<Cell> all = cells.all(kitId);
    Map<String, Readings> there = measuring.there(all);
    Judging.Rules rules = judging.rules(kitId);
    List<List<Object>> out = new ArrayList<>();
    for (Cell cell : all) {
      Readings taken = there.get(cell.measured());
      if (taken == null || !taken.byMeasure().containsKey(measure)) {
        continue;
      }
      Optional<Verdict> verdict =
          rules.judge(cell, taken).verdicts().stream()
              .filter(v -> v.measure().id().equals(measure))
              .findFirst();
      List<Object> row = new ArrayList<>(List.of(cell.head().id(), cell.photo().id()));
      verdict
          .filter(v -> v.reading().isJudged())
          .ifPresent(v -> row.addAll(List.of(v.reading().value(), v.state().word(), v.share())));
      out.add(row);
    }
    return out;
  }

  private static String subject(long kitId) {
    return "kit:" + kitId;
  }

  Optional<Job> last(long kitId) {
    return jobs.last(ID, subject(kitId));
  }

  private record Asked(long kit) {}

  /** Starts making what is missing; a run that is under way goes on. */
  public synchronized void start(long kitId) {
    String name = kits.kit(kitId).name();
    if (last(kitId).filter(job -> job.state().isOpen()).isEmpty()) {
      jobs.start(ID, subject(kitId), "Proof sheet of “%s”".formatted(name), new Asked(kitId));
    }
  }

  /** Stops after the cells that are being rendered; those that are done stay. */
  public void stop(long kitId) {
    last(kitId).ifPresent(job -> jobs.stop(job.id()));
  }

  /**
   * How far the kit's sheet has come, as its page takes it: at first all that is there, then only
   * what is new.
   *
   * @param since place in the log that the page has come to; −1 at first
   */
  public Map<String, Object> state(long kitId, int since) {
    Optional<Job> job = last(kitId);
    Made log = madeOf(kitId);
    int place = log.size();
    Map<String, Object> out = new LinkedHashMap<>();
    if (since < 0) {
      all(cells.all(kitId), judging.rules(kitId), out);
    } else {
      out.put("made", log.since(since));
    }
    out.put("since", place);
    job.ifPresent(j -> out.put("job", j.shown()));
    return out;
  }

  @Override
  public Nature nature() {
    return new Nature(ID, Turn.PATIENT, Restart.GOES_ON);
  }

  @Override
  public void run(JobRun run) throws IOException {
    long kitId = run.asked(Asked.class).kit();
    Made log = madeOf(kitId);
    List<Cell> all = cells.all(kitId);
    Map<String, Readings> there = measuring.there(all);
    List<Cell> missing = all.stream().filter(c -> !there.containsKey(c.measured())).toList();
    run.total(all.size(), all.size() - missing.size());
    run.each(
        missing,
        true,
        cell -> "%s on %s".formatted(cell.head().name(), cell.photo().name()),
        cell -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        cell -> {
          Readings taken = measuring.make(cell);
          // By the limits of this moment: they may be changed while the sheet is made.
          log.add(shown(cell, judging.rules(kitId).judge(cell, taken)));
        });
  }
}
