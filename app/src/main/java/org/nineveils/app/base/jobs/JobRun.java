package org.nineveils.app.base.jobs;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import java.util.function.ToLongFunction;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Permits;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** One doing of a job: what it is asked to do, how far it is, and what came of it. */
public final class JobRun {
  private final Path folder;
  private final Permits permits;
  private final Budget budget;
  private final Executor hands;
  private final int width;
  private final Consumer<Job> changed;
  private final List<String> faults = new ArrayList<>();
  private Job job;
  private long started;
  private int startedAt;
  private volatile boolean stopped;
  private volatile boolean cutOff;
  private boolean over;

  JobRun(
      Job job,
      Path folder,
      Permits permits,
      Budget budget,
      Executor hands,
      int width,
      Consumer<Job> changed) {
    this.job = job;
    this.folder = folder;
    this.permits = permits;
    this.budget = budget;
    this.hands = hands;
    this.width = width;
    this.changed = changed;
  }

  /** What is to be done. */
  public Fields request() {
    return Json.read(job().request(), "The job");
  }

  /** The same in named fields. */
  public <T extends Record> T asked(Class<T> as) {
    return Asked.read(job().request(), as);
  }

  public long id() {
    return job().id();
  }

  /** A folder of the job's own, kept for as long as its result is. */
  public Path folder() {
    return folder;
  }

  /** Whether the user stopped it; then no further item is begun. */
  public boolean isStopped() {
    return stopped;
  }

  void stop() {
    stopped = true;
  }

  /**
   * The application ends: no further item is begun, and nothing is made of those that are there.
   */
  void cutOff() {
    cutOff = true;
  }

  /** The application ended in the middle of it. */
  static final class CutOff extends RuntimeException {
    private static final long serialVersionUID = 1L;
  }

  synchronized Job job() {
    return job;
  }

  /** How many items there are, and how many are there from before. */
  public synchronized void total(int total, int before) {
    started = System.nanoTime();
    startedAt = before;
    set(before, total);
  }

  /**
   * Does one item after the other, or several side by side, each when there is room for its
   * picture. An item that fails is told of and the others go on. Where the application ends
   * meanwhile, this does not return: a job that goes on later finds what it left.
   *
   * @param name of an item, for the sentence that says that it failed
   * @param pixels that an item takes to render
   */
  public <T> void each(
      List<T> items,
      boolean sideBySide,
      java.util.function.Function<T, String> name,
      ToLongFunction<T> pixels,
      Work<T> work) {
    AtomicInteger next = new AtomicInteger();
    Runnable hand =
        () -> {
          try {
            for (int i = next.getAndIncrement(); i < items.size(); i = next.getAndIncrement()) {
              if (stopped || cutOff) {
                return;
              }
              T item = items.get(i);
              sized(name.apply(item), () -> pixels.applyAsLong(item), () -> work.on(item));
            }
          } catch (RuntimeException | Error e) {
            next.set(items.size()); // whichever hand fails ends the job: none begins anything more
            throw e;
          }
        };
    List<CompletableFuture<Void>> others = new ArrayList<>();
    for (int i = 1; sideBySide && i < width; i++) {
      others.add(CompletableFuture.runAsync(hand, hands));
    }
    try {
      hand.run();
    } finally {
      others.forEach(CompletableFuture::join);
    }
    if (cutOff) {
      throw new CutOff();
    }
  }

  /** An item whose size cannot be told, as where its photo is gone, fails like any other. */
  private void sized(String name, LongSupplier pixels, Step step) {
    long size;
    try {
      size = pixels.getAsLong();
    } catch (RuntimeException | Error e) {
      item(
          name,
          0,
          () -> {
            throw e;
          });
      return;
    }
    item(name, size, step);
  }

  /** One item more is done. */
  public synchronized void done() {
    set(job.done() + 1, job.total());
  }

  /** Work on one item. */
  @FunctionalInterface
  public interface Work<T> {
    void on(T item) throws Exception;
  }

  /** Work without an item. */
  @FunctionalInterface
  public interface Step {
    void run() throws Exception;
  }

  /**
   * Does one item. Where memory runs out, everything that is only kept goes and it is tried once
   * more.
   *
   * @return whether it was done
   */
  public boolean item(String name, long pixels, Step step) {
    String fault;
    try {
      fault =
          permits.with(
              pixels, () -> budget.making(pixels * BYTES_A_PIXEL, () -> tried(name, step)));
    } catch (OutOfMemoryError e) {
      fault = "“%s” needs more memory than there is; nothing was made of it.".formatted(name);
    }
    synchronized (this) {
      if (!fault.isEmpty()) {
        faults.add(fault);
      }
      set(job.done() + 1, job.total());
    }
    return fault.isEmpty();
  }

  /**
   * What rendering takes besides the photo itself: the result, and its file while it is written.
   */
  private static final int BYTES_A_PIXEL = 20;

  /** Empty where it went well, otherwise a sentence. Whoever gives memory out tries once more. */
  private static String tried(String name, Step step) {
    try {
      step.run();
      return "";
    } catch (OutOfMemoryError e) {
      throw e;
    } catch (Exception | Error e) {
      return ItemFaults.sentence(name, e);
    }
  }

  private void set(int done, int total) {
    double seconds = (System.nanoTime() - started) / 1e9;
    int own = done - startedAt;
    long left = own <= 0 ? 0 : (long) Math.ceil(seconds / own * (total - done));
    job = with(job, job.state(), done, total, job.said(), job.file(), job.fileName(), left);
    if (!over) {
      changed.accept(job);
    }
  }

  /** Says what came of it. */
  public synchronized void said(String sentence) {
    job = with(job, job.state(), job.done(), job.total(), sentence, job.file(), job.fileName(), 0);
  }

  /**
   * Gives a result to fetch.
   *
   * @param file name in the folder
   * @param fileName under which it is fetched
   */
  public synchronized void result(String file, String fileName) {
    job = with(job, job.state(), job.done(), job.total(), job.said(), file, fileName, 0);
  }

  /** How it ended; pages see it as under way until that is kept. */
  synchronized Job ended(Job.State state, String said) {
    over = true; // nothing that is still under way writes over it
    Job last = with(job, state, job.done(), job.total(), said, job.file(), job.fileName(), 0);
    return last.withoutRequest();
  }

  synchronized Job begun() {
    job = with(job, Job.State.RUNNING, 0, job.total(), "", "", "", 0);
    return job;
  }

  private Job with(
      Job j,
      Job.State state,
      int done,
      int total,
      String said,
      String file,
      String fileName,
      long left) {
    return new Job(
        j.id(),
        j.kind(),
        j.subject(),
        j.title(),
        j.request(),
        state,
        done,
        total,
        List.copyOf(faults),
        said,
        file,
        fileName,
        j.madeAt(),
        left);
  }
}
