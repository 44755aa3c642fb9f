package org.nineveils.app.proofs;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.nineveils.app.bench.BenchService;
import org.nineveils.app.jobs.Job;
import org.nineveils.app.jobs.JobKind;
import org.nineveils.app.jobs.JobRun;
import org.nineveils.app.jobs.Jobs;
import org.nineveils.app.kits.EffectService;
import org.nineveils.app.kits.KitService;
import org.nineveils.app.kits.Rows;
import org.nineveils.app.memory.Budget;
import org.nineveils.app.memory.Shelf;
import org.nineveils.app.photos.Photo;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.app.photos.Side;
import org.nineveils.app.regions.RegionService;
import org.nineveils.app.render.Thumbnails;
import org.nineveils.document.Json;
import org.nineveils.picture.Picture;
import org.nineveils.proof.Limits;
import org.nineveils.proof.Readings;
import org.nineveils.proof.Verdict;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Plain;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;

/**
 * Makes proof sheets: every effect of a kit on every photo of the test wall, as a job. Cells are
 * kept on the disk by what they show, so a sheet made again renders only what changed.
 */
@Service
class ProofService implements JobKind {
  private static final String ID = "proofs";

  /** Beyond this many times its limit nothing is told apart. */
  private static final double FARTHEST = 1000;

  private final KitService kits;
  private final EffectService effects;
  private final BenchService bench;
  private final PhotoService photos;
  private final Thumbnails thumbnails;
  private final RegionService regions;
  private final ReadingStore readings;
  private final ObjectProvider<Jobs> jobs;
  private final Shelf<String, Plain> plains;

  /** What was made since the application began, by kit: pages ask for what is new to them. */
  private final Map<Long, Made> made = new ConcurrentHashMap<>();

  ProofService(
      KitService kits,
      EffectService effects,
      BenchService bench,
      PhotoService photos,
      Thumbnails thumbnails,
      RegionService regions,
      ReadingStore readings,
      ObjectProvider<Jobs> jobs,
      Budget budget) {
    this.kits = kits;
    this.effects = effects;
    this.bench = bench;
    this.photos = photos;
    this.thumbnails = thumbnails;
    this.regions = regions;
    this.readings = readings;
    this.jobs = jobs;
    this.plains = budget.shelf("photos that are measured against", Plain::bytes);
  }

  /**
   * An effect on a photo.
   *
   * @param key of its picture
   * @param held stands for the photo with its regions
   */
  record Cell(Rows.Head effect, Photo photo, String key, String held) {
    /** Name of what was measured on it. */
    String measured() {
      return key + " " + held + " " + Measures.BUILD;
    }
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

  /** The cells of a kit's sheet as the kit is now, photo by photo. */
  private List<Cell> cells(long kitId) {
    Map<Long, String> keys = new HashMap<>();
    effects.docs(kitId).forEach((id, doc) -> keys.put(id, Thumbnails.effectKey(doc)));
    Map<Rows.Head, String> columns = new LinkedHashMap<>();
    for (Rows.FilledSection section : kits.filled(kitId)) {
      for (Rows.Head head : section.effects()) {
        columns.put(head, keys.getOrDefault(head.id(), ""));
      }
    }
    Map<Long, Map<Long, String>> paint = bench.paintKeys(kitId);
    List<Cell> cells = new ArrayList<>();
    for (Photo photo : photos.all(Side.WALL)) {
      String held = Thumbnails.effectKey(photo.sha() + regions.key(photo.id()));
      columns.forEach(
          (head, effectKey) -> {
            String paintKey = paint.getOrDefault(head.id(), Map.of()).getOrDefault(photo.id(), "");
            String key = thumbnails.key(photo, effectKey, paintKey);
            cells.add(new Cell(head, photo, key, held));
          });
    }
    return cells;
  }

  /**
   * What was measured of some cells, by their names; those of which the picture is kept as well.
   */
  private Map<String, Readings> measured(List<Cell> cells) {
    Map<String, Readings> out = readings.find(cells.stream().map(Cell::measured).toList());
    cells.stream().filter(c -> !thumbnails.isKept(c.key())).forEach(c -> out.remove(c.measured()));
    return out;
  }

  /**
   * A cell as pages take it: effect, photo, verdict, and the measure that it is for with its value.
   */
  private static List<Object> shown(Cell cell, Readings readings) {
    Verdict worst = readings.worst(Limits.START).orElseThrow();
    return List.of(
        cell.effect().id(),
        cell.photo().id(),
        worst.state().word(),
        worst.measure().id(),
        worst.reading().value(),
        Math.min(FARTHEST, worst.share()));
  }

  /**
   * All cells: a row a photo, a letter an effect, 1 where it is there; and those of which something
   * is said.
   */
  private void all(List<Cell> cells, Map<String, Object> out) {
    Map<String, Readings> there = measured(cells);
    Map<Long, StringBuilder> rows = new LinkedHashMap<>();
    List<List<Object>> marks = new ArrayList<>();
    for (Cell cell : cells) {
      Readings taken = there.get(cell.measured());
      rows.computeIfAbsent(cell.photo().id(), p -> new StringBuilder())
          .append(taken == null ? '0' : '1');
      if (taken != null) {
        List<Object> mark = shown(cell, taken);
        if (!mark.get(2).equals(Verdict.State.WITHIN.word())) {
          marks.add(mark);
        }
      }
    }
    out.put(
        "rows",
        rows.entrySet().stream().map(r -> List.of(r.getKey(), r.getValue().toString())).toList());
    out.put("marks", marks);
    out.put("done", there.size());
    out.put("total", cells.size());
  }

  private static String subject(long kitId) {
    return "kit:" + kitId;
  }

  Optional<Job> last(long kitId) {
    return jobs.getObject().last(ID, subject(kitId));
  }

  /** Starts making what is missing; a run that is under way goes on. */
  synchronized void start(long kitId) {
    String name = kits.kit(kitId).name();
    if (last(kitId).filter(job -> job.state().isOpen()).isEmpty()) {
      String request = Json.write(Json.object("kit", kitId));
      jobs.getObject().start(ID, subject(kitId), "Proof sheet of “%s”".formatted(name), request);
    }
  }

  /** Stops after the cells that are being rendered; those that are done stay. */
  void stop(long kitId) {
    last(kitId).ifPresent(job -> jobs.getObject().stop(job.id()));
  }

  /**
   * How far the kit's sheet has come, as its page takes it: at first all that is there, then only
   * what is new.
   *
   * @param since place in the log that the page has come to; −1 at first
   */
  Map<String, Object> state(long kitId, int since) {
    Optional<Job> job = last(kitId);
    Made log = madeOf(kitId);
    int place = log.size();
    Map<String, Object> out = new LinkedHashMap<>();
    if (since < 0) {
      all(cells(kitId), out);
    } else {
      out.put("made", log.since(since));
    }
    out.put("since", place);
    job.ifPresent(j -> out.put("job", j.shown()));
    return out;
  }

  @Override
  public Nature nature() {
    return new Nature(ID, false, true);
  }

  @Override
  public void run(JobRun run) throws IOException {
    long kitId = run.request().whole("kit");
    Made log = madeOf(kitId);
    List<Cell> cells = cells(kitId);
    Map<String, Readings> there = measured(cells);
    List<Cell> missing = cells.stream().filter(c -> !there.containsKey(c.measured())).toList();
    run.total(cells.size(), cells.size() - missing.size());
    run.each(
        missing,
        true,
        cell -> "%s on %s".formatted(cell.effect().name(), cell.photo().name()),
        cell -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        cell -> {
          log.add(shown(cell, make(cell)));
        });
  }

  /** Renders a cell and measures it against the plain photo. */
  private Readings make(Cell cell) {
    Picture finished = bench.proof(cell.effect().id(), cell.photo().id());
    Plain plain =
        plains.get(
            cell.held(),
            () ->
                new Plain(
                    photos.once(cell.photo(), Pair.LONG_SIDE), regions.named(cell.photo().id())));
    Readings taken = Readings.of(new Pair(plain, finished));
    readings.put(cell.measured(), taken);
    return taken;
  }
}
