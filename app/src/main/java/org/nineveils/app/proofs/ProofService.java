package org.nineveils.app.proofs;

import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.nineveils.app.bench.BenchService;
import org.nineveils.app.kits.EffectService;
import org.nineveils.app.kits.KitService;
import org.nineveils.app.kits.Rows;
import org.nineveils.app.photos.Photo;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.app.photos.Side;
import org.nineveils.app.render.Thumbnails;
import org.nineveils.app.web.NotFound;
import org.nineveils.veil.Effect;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Makes proof sheets: every effect of a kit on every photo of the test wall, in the background.
 * Cells are kept on the disk by what they show, so a sheet made again renders only what changed.
 */
@Service
class ProofService {
  private static final Logger LOG = LoggerFactory.getLogger(ProofService.class);
  private static final int WORKERS = 2;

  private final KitService kits;
  private final EffectService effects;
  private final BenchService bench;
  private final PhotoService photos;
  private final Thumbnails thumbnails;
  private final ExecutorService workers = Executors.newFixedThreadPool(WORKERS);
  private final Map<Long, ProofRun> runs = new ConcurrentHashMap<>();

  ProofService(
      KitService kits,
      EffectService effects,
      BenchService bench,
      PhotoService photos,
      Thumbnails thumbnails) {
    this.kits = kits;
    this.effects = effects;
    this.bench = bench;
    this.photos = photos;
    this.thumbnails = thumbnails;
  }

  /** The cells of a kit's sheet as the kit is now, photo by photo. */
  private List<ProofRun.Cell> cells(long kitId) {
    Map<Long, Effect> columns = new LinkedHashMap<>();
    for (Rows.FilledSection section : kits.filled(kitId)) {
      section.effects().forEach(row -> columns.put(row.id(), effects.effect(row)));
    }
    List<ProofRun.Cell> cells = new ArrayList<>();
    for (Photo photo : photos.all(Side.WALL)) {
      columns.forEach(
          (id, effect) -> {
            String key = thumbnails.key(photo, effect, bench.paint(id, photo.id()));
            cells.add(new ProofRun.Cell(id, photo.id(), key));
          });
    }
    return cells;
  }

  private boolean isMade(ProofRun.Cell cell) {
    return thumbnails.isKept(cell.key());
  }

  /** The picture of a cell. */
  byte[] picture(String key) {
    return thumbnails
        .find(key)
        .orElseThrow(() -> new NotFound("This proof has not been rendered yet."));
  }

  /** Starts making what is missing; a run that is under way goes on. */
  synchronized void start(long kitId) {
    ProofRun old = runs.get(kitId);
    if (old != null && old.isRunning()) {
      return;
    }
    List<ProofRun.Cell> cells = cells(kitId);
    List<ProofRun.Cell> missing = cells.stream().filter(c -> !isMade(c)).toList();
    ProofRun run = new ProofRun(cells, missing);
    runs.put(kitId, run);
    for (int i = 0; i < WORKERS; i++) {
      workers.execute(() -> work(run));
    }
  }

  /** Stops after the cells that are being rendered; those that are done stay. */
  void stop(long kitId) {
    ProofRun run = runs.get(kitId);
    if (run != null) {
      run.stop();
    }
  }

  /**
   * How far a sheet has come.
   *
   * @param progress of the run that is under way, or by what is on the disk
   * @param made cells whose pictures are there
   */
  record State(ProofRun.Progress progress, List<ProofRun.Cell> made) {}

  /** How far the kit's sheet has come; a run that is under way is not worked out anew. */
  State state(long kitId) {
    ProofRun run = runs.get(kitId);
    boolean running = run != null && run.isRunning();
    List<ProofRun.Cell> sheet = running ? run.sheet() : cells(kitId);
    List<ProofRun.Cell> made = sheet.stream().filter(this::isMade).toList();
    ProofRun.Progress progress =
        running ? run.progress() : new ProofRun.Progress(made.size(), sheet.size(), false, 0);
    return new State(progress, made);
  }

  /** Whether the maker stopped the last run of this kit. */
  boolean wasStopped(long kitId) {
    ProofRun run = runs.get(kitId);
    return run != null && run.wasStopped();
  }

  private void work(ProofRun run) {
    for (ProofRun.Cell cell = run.take(); cell != null; cell = run.take()) {
      try {
        make(cell);
      } catch (RuntimeException e) {
        // One cell that fails, such as of an effect removed meanwhile, must not lose the sheet.
        LOG.warn("proof of effect {} on photo {} failed", cell.effect(), cell.photo(), e);
      } finally {
        run.finished();
      }
    }
  }

  private void make(ProofRun.Cell cell) {
    Photo photo = photos.get(cell.photo());
    Effect effect = effects.effect(effects.get(cell.effect()));
    thumbnails.through(photo, effect, bench.paint(cell.effect(), cell.photo()));
  }

  @PreDestroy
  void close() {
    runs.values().forEach(ProofRun::stop);
    workers.shutdown();
  }
}
