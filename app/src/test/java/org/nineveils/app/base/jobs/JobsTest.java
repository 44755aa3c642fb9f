package org.nineveils.app.base.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Permits;
import org.nineveils.app.testing.Database;
import org.nineveils.file.PictureException;

class JobsTest {
  @TempDir Path folder;
  private final Budget budget = new Budget(1000);
  private Database database;
  private Jobs jobs;
  private JobRunner runner;

  @BeforeEach
  void open() {
    database = new Database(folder);
  }

  @AfterEach
  void close() {
    if (runner != null) {
      runner.close();
    }
    database.close();
  }

  /** What a kind does when it is its turn. */
  @FunctionalInterface
  private interface Work {
    void on(JobRun run) throws Exception;
  }

  private static JobKind kind(String id, boolean goesOn, Work work) {
    return new JobKind() {
      @Override
      public Nature nature() {
        return new Nature(id, Turn.PATIENT, goesOn ? Restart.GOES_ON : Restart.CUT_OFF);
      }

      @Override
      public void run(JobRun run) throws IOException {
        try {
          work.on(run);
        } catch (IOException | RuntimeException | Error e) {
          throw e;
        } catch (Exception e) {
          throw new IllegalStateException(e);
        }
      }
    };
  }

  private Jobs with(JobKind... kinds) {
    JobStore store = new JobStore(database.client());
    JobLedger ledger = new JobLedger(store, Clock.systemUTC());
    JobFolders folders = new JobFolders(folder.resolve("jobs"));
    UnderWay underWay = new UnderWay();
    runner =
        new JobRunner(
            store, ledger, folders, new Permits(10, budget), budget, underWay, List.of(kinds));
    jobs = new Jobs(store, ledger, folders, underWay);
    return jobs;
  }

  private Job ended(Job job) {
    Job now = jobs.get(job.id());
    while (now.state().isOpen()) {
      LockSupport.parkNanos(2_000_000);
      now = jobs.get(job.id());
    }
    return now;
  }

  private static void each(JobRun run, List<String> items, JobRun.Work<String> work) {
    run.total(items.size(), 0);
    run.each(items, true, item -> item, item -> 1_000_000, work);
  }

  @Test
  void anItemThatFailsNamesItselfAndTheOthersGoOn() {
    List<String> done = Collections.synchronizedList(new ArrayList<>());
    with(
        kind(
            "k",
            true,
            run ->
                each(
                    run,
                    List.of("a", "bad", "gone", "broken", "e"),
                    item -> {
                      switch (item) {
                        case "bad" -> throw new PictureException("“bad” is damaged.");
                        case "gone" -> throw new NotFound("“gone” is no longer here.");
                        case "broken" -> throw new NoClassDefFoundError("secret");
                        default -> done.add(item);
                      }
                    })));
    Job job = ended(jobs.start("k", "s", "Five", "{}"));
    assertThat(done).containsExactlyInAnyOrder("a", "e");
    assertThat(job.state()).isEqualTo(Job.State.DONE);
    assertThat(job.done()).isEqualTo(5);
    assertThat(job.faults())
        .containsExactlyInAnyOrder(
            "“bad” is damaged.",
            "“gone” is no longer here.",
            "“broken” was not done: something went wrong.");
  }

  /** Its photo was taken off the wall since the batch was asked for. */
  @Test
  void anItemWhoseSizeCannotBeToldFailsAloneToo() {
    List<String> done = Collections.synchronizedList(new ArrayList<>());
    with(
        kind(
            "k",
            true,
            run -> {
              run.total(3, 0);
              run.each(
                  List.of("a", "gone", "c"),
                  false,
                  item -> item,
                  item -> {
                    if (item.equals("gone")) {
                      throw new NotFound("This photo is no longer here.");
                    }
                    return 1;
                  },
                  done::add);
            }));
    Job job = ended(jobs.start("k", "s", "Three", "{}"));
    assertThat(done).containsExactly("a", "c");
    assertThat(job.state()).isEqualTo(Job.State.DONE);
    assertThat(job.faults()).containsExactly("This photo is no longer here.");
  }

  /** A job of one item, x. */
  private static JobKind oneItem(JobRun.Step step) {
    return kind(
        "k",
        true,
        run -> {
          run.total(1, 0);
          run.item("x", 0, step);
        });
  }

  @Test
  void aDiskThatIsFullIsSaidAlsoWhereAPictureCouldNotBeWritten() {
    with(
        oneItem(
            () -> {
              IOException full = new IOException("No space left on device");
              throw new PictureException("“x” could not be written.", full);
            }));
    assertThat(ended(jobs.start("k", "s", "One", "{}")).said()).startsWith("The disk is full");
  }

  /** Before, a batch that ran out of memory never ended. */
  @Test
  void runningOutOfMemoryLetsCachesGoTriesOnceMoreAndEndsOneItemWithASentence() {
    AtomicInteger tries = new AtomicInteger();
    with(
        kind(
            "k",
            true,
            run ->
                each(
                    run,
                    List.of("large", "small", "helped"),
                    item -> {
                      if (item.equals("large")
                          || (item.equals("helped") && tries.getAndIncrement() == 0)) {
                        throw new OutOfMemoryError("Java heap space");
                      }
                    })));
    budget.shelf("x", v -> 10).put("key", "value");
    Job job = ended(jobs.start("k", "s", "Three", "{}"));
    assertThat(job.state()).isEqualTo(Job.State.DONE);
    assertThat(job.faults())
        .containsExactly("“large” needs more memory than there is; nothing was made of it.");
    assertThat(tries.get()).isEqualTo(2);
  }

  @Test
  void aJobWithOneItemThatFailsHasFailedAndSaysWhy() {
    with(
        oneItem(
            () -> {
              throw new PictureException("“x” is damaged.");
            }));
    Job job = ended(jobs.start("k", "s", "One", "{}"));
    assertThat(job.state()).isEqualTo(Job.State.FAILED);
    assertThat(job.said()).isEqualTo("“x” is damaged.");
  }

  @Test
  void aFaultOfOursEndsTheJobWithASentenceThatShowsNothingOfIt() {
    with(
        kind(
            "k",
            true,
            run -> {
              throw new IllegalStateException("jdbc:sqlite:secret");
            }));
    Job job = ended(jobs.start("k", "s", "One", "{}"));
    assertThat(job.state()).isEqualTo(Job.State.FAILED);
    assertThat(job.said()).isEqualTo("Something went wrong in the application.");
  }

  @Test
  void aStoppedJobBeginsNoFurtherItemAndKeepsWhatIsDone() throws Exception {
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch stopped = new CountDownLatch(1);
    with(
        kind(
            "k",
            true,
            run -> {
              run.total(3, 0);
              run.each(
                  List.of("a", "b", "c"),
                  false,
                  i -> i,
                  i -> 0,
                  i -> {
                    begun.countDown();
                    stopped.await();
                  });
            }));
    Job job = jobs.start("k", "s", "Three", "{}");
    begun.await();
    jobs.stop(job.id());
    stopped.countDown();
    Job then = ended(job);
    assertThat(then.state()).isEqualTo(Job.State.STOPPED);
    assertThat(then.done()).isEqualTo(1);
  }

  /**
   * What was under way when the process was killed: nothing was told to the database at the end.
   */
  @Test
  void afterARestartAJobGoesOnOrSaysThatItWasCutOff() {
    database
        .client()
        .sql(
            """
            insert into job (kind, subject, title, request, state, made_at) values
              ('on', 's', 'A', '{"n":7}', 'running', '2026-01-01T00:00:00Z'),
              ('on', 's', 'B', '{"n":8}', 'waiting', '2026-01-01T00:00:00Z'),
              ('off', 's', 'C', '{}', 'running', '2026-01-01T00:00:00Z')""")
        .update();
    List<Integer> seen = Collections.synchronizedList(new ArrayList<>());
    with(
        kind("on", true, run -> seen.add(run.request().whole("n"))),
        kind("off", false, run -> seen.add(-1)));
    runner.takeUp();
    assertThat(ended(jobs.get(1)).state()).isEqualTo(Job.State.DONE);
    assertThat(ended(jobs.get(2)).state()).isEqualTo(Job.State.DONE);
    assertThat(seen).containsExactly(7, 8);
    assertThat(jobs.get(3).state()).isEqualTo(Job.State.CUT_OFF);
    assertThat(jobs.get(3).said()).contains("Start it again");
  }

  /** An orderly end is no stop: nothing is made of half of the items. */
  @Test
  void whenTheApplicationEndsAJobBeginsNothingFurtherAndGoesOnAfterARestart() throws Exception {
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch ending = new CountDownLatch(1);
    List<String> made = Collections.synchronizedList(new ArrayList<>());
    JobKind kind =
        kind(
            "on",
            true,
            run -> {
              List<String> missing = new ArrayList<>(List.of("a", "b", "c"));
              missing.removeAll(made);
              run.total(3, made.size());
              run.each(
                  missing,
                  false,
                  i -> i,
                  i -> 0,
                  i -> {
                    begun.countDown();
                    ending.await();
                    made.add(i);
                  });
              made.add("packed");
            });
    with(kind);
    long id = jobs.start("on", "s", "Three", "{}").id();
    begun.await();
    runner.close();
    ending.countDown();
    while (made.isEmpty()) {
      LockSupport.parkNanos(2_000_000);
    }
    with(kind);
    runner.takeUp();
    assertThat(ended(jobs.get(id)).state()).isEqualTo(Job.State.DONE);
    assertThat(made).containsExactly("a", "b", "c", "packed");
  }

  @Test
  void aStoppedJobIsNotTakenUpAfterARestart() throws Exception {
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch ending = new CountDownLatch(1);
    AtomicInteger runs = new AtomicInteger();
    JobKind kind =
        kind(
            "on",
            true,
            run -> {
              run.total(2, 0);
              run.each(
                  List.of("a", "b"),
                  false,
                  i -> i,
                  i -> 0,
                  i -> {
                    runs.incrementAndGet();
                    begun.countDown();
                    ending.await();
                  });
            });
    with(kind);
    long first = jobs.start("on", "s", "Two", "{}").id();
    long second = jobs.start("on", "s", "Two more", "{}").id();
    begun.await();
    jobs.stop(first);
    jobs.stop(second);
    runner.close(); // as kill -9 would leave it: nothing was told to the database at the end
    ending.countDown();
    with(kind);
    runner.takeUp();
    assertThat(ended(jobs.get(first)).state()).isEqualTo(Job.State.STOPPED);
    assertThat(ended(jobs.get(second)).state()).isEqualTo(Job.State.STOPPED);
    assertThat(runs.get()).isEqualTo(1);
  }

  /** A disk that is full for a while: the work goes on, and its end is written when it can be. */
  @Test
  void whatCannotBeWrittenOfAJobEndsNeitherTheJobNorItsOtherHand() throws Exception {
    List<String> done = Collections.synchronizedList(new ArrayList<>());
    with(
        kind(
            "k",
            true,
            run -> {
              database
                  .client()
                  .sql(
                      "create trigger full before update on job begin select raise(abort, 'full'); end")
                  .update();
              run.total(6, 0);
              run.each(
                  List.of("a", "b", "c", "d", "e", "f"),
                  true,
                  i -> i,
                  i -> 0,
                  i -> {
                    LockSupport.parkNanos(400_000_000); // long enough that progress is written
                    done.add(i);
                  });
            }));
    Job job = ended(jobs.start("k", "s", "Six", "{}"));
    assertThat(job.state()).isEqualTo(Job.State.DONE);
    assertThat(done).hasSize(6);
    database.client().sql("drop trigger full").update();
    jobs.get(job.id());
    runner.close();
    with();
    assertThat(jobs.get(job.id()).state()).isEqualTo(Job.State.DONE);
  }

  @Test
  void resultsLieInTheJobsFolderAndOutliveARestart() throws Exception {
    JobKind kind =
        kind(
            "k",
            true,
            run -> {
              Files.writeString(run.folder().resolve("out.txt"), "made");
              run.result("out.txt", "result.txt");
            });
    with(kind);
    Job job = ended(jobs.start("k", "s", "One", "{}"));
    runner.close();
    with(kind);
    assertThat(Files.readString(jobs.result(jobs.get(job.id())))).isEqualTo("made");
    Files.delete(jobs.result(jobs.get(job.id())));
    assertThatThrownBy(() -> jobs.result(jobs.get(job.id())))
        .isInstanceOf(NotFound.class)
        .hasMessageContaining("make it again");
  }

  /** Three clicks do not make three large renders at once; small ones go on side by side. */
  @Test
  void megapixelsAreSharedAndAPictureLargerThanAllRunsAlone() throws Exception {
    Permits permits = new Permits(10, budget);
    AtomicInteger now = new AtomicInteger();
    AtomicInteger most = new AtomicInteger();
    List<Thread> threads = new ArrayList<>();
    for (long pixels : new long[] {6_000_000, 6_000_000, 60_000_000, 6_000_000}) {
      int weight = (int) Math.min(10, pixels / 1_000_000);
      Thread t =
          new Thread(
              () ->
                  permits.with(
                      pixels,
                      () -> {
                        most.accumulateAndGet(now.addAndGet(weight), Math::max);
                        LockSupport.parkNanos(5_000_000);
                        return now.addAndGet(-weight);
                      }));
      threads.add(t);
      t.start();
    }
    for (Thread t : threads) {
      t.join();
    }
    assertThat(most.get()).isLessThanOrEqualTo(10);
  }
}
