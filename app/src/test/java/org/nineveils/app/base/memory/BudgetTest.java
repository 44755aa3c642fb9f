package org.nineveils.app.base.memory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Picture;

class BudgetTest {
  private final Budget budget = new Budget(100);
  private final Shelf<String, String> words = budget.shelf("words", String::length);
  private final Shelf<String, Integer> numbers = budget.shelf("numbers", n -> n);

  @Test
  void whatWasUsedLongestAgoGoesFirstWhicheverShelfItIsOn() {
    words.put("a", "x".repeat(40));
    numbers.put("b", 40);
    assertThat(words.find("a")).isPresent(); // used again
    numbers.put("c", 30);
    assertThat(numbers.find("b")).isEmpty();
    assertThat(words.find("a")).isPresent();
    assertThat(budget.bytes()).isEqualTo(70);
    assertThat(budget.held()).containsEntry("words", 40L).containsEntry("numbers", 30L);
  }

  @Test
  void whatIsLargerThanAllIsGivenOutAndNotKept() {
    words.put("a", "x".repeat(90));
    assertThat(numbers.get("huge", () -> 1000)).isEqualTo(1000);
    assertThat(numbers.find("huge")).isEmpty();
    assertThat(words.find("a")).as("nothing had to go for it").isPresent();
  }

  @Test
  void aValueThatGrewIsWeighedAnew() {
    words.put("a", "x");
    words.put("a", "x".repeat(50));
    assertThat(budget.bytes()).isEqualTo(50);
    words.drop("a");
    assertThat(budget.bytes()).isZero();
  }

  @Test
  void underPressureItGivesWay() {
    words.put("a", "x".repeat(30));
    words.put("b", "x".repeat(30));
    budget.keepAtMost(40);
    assertThat(words.find("a")).isEmpty();
    assertThat(words.find("b")).isPresent();
    budget.giveWay();
    assertThat(budget.bytes()).isZero();
    assertThat(budget.held()).isEmpty();
  }

  /** A large picture is rendered beside what is kept: the sum is what must fit into the heap. */
  @Test
  void whatIsKeptGivesWayToLargeWorkForAsLongAsItLasts() {
    Budget tight = new Budget(100, 120);
    Shelf<String, Integer> shelf = tight.shelf("numbers", n -> n);
    shelf.put("a", 50);
    shelf.put("b", 40);
    long during =
        tight.making(
            70,
            () -> {
              shelf.put("c", 60); // there is no room for it now
              shelf.put("d", 5);
              return tight.bytes();
            });
    assertThat(during).isEqualTo(45);
    assertThat(shelf.find("a")).isEmpty();
    assertThat(shelf.find("b")).isPresent();
    shelf.put("c", 50);
    assertThat(tight.bytes()).isEqualTo(95);
  }

  /** Nobody makes a value twice, and nobody who wants another one waits for it. */
  @Test
  void aValueThatManyAskForIsMadeOnceAndOthersDoNotWait() throws Exception {
    AtomicInteger made = new AtomicInteger();
    CountDownLatch making = new CountDownLatch(1);
    CountDownLatch go = new CountDownLatch(1);
    List<String> got = Collections.synchronizedList(new ArrayList<>());
    List<Thread> threads = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      Thread t =
          new Thread(
              () ->
                  got.add(
                      words.get(
                          "slow",
                          () -> {
                            made.incrementAndGet();
                            making.countDown();
                            await(go);
                            return "done";
                          })));
      threads.add(t);
      t.start();
    }
    making.await();
    assertThat(words.get("other", () -> "at once")).isEqualTo("at once");
    go.countDown();
    for (Thread t : threads) {
      t.join();
    }
    assertThat(made.get()).isEqualTo(1);
    assertThat(got).hasSize(6).containsOnly("done");
  }

  private static void await(CountDownLatch latch) {
    try {
      latch.await();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Test
  void aMakingThatFailsIsTriedAgainTheNextTime() {
    assertThatThrownBy(
            () ->
                words.get(
                    "a",
                    () -> {
                      throw new IllegalStateException("no");
                    }))
        .isInstanceOf(IllegalStateException.class);
    assertThat(words.get("a", () -> "yes")).isEqualTo("yes");
  }

  /** A full heap may end whoever makes a value before it can say so. */
  @Test
  void whoWaitsForAValueFailsWhereItsMakerWasCutOff() throws Exception {
    CountDownLatch making = new CountDownLatch(1);
    CountDownLatch go = new CountDownLatch(1);
    Thread maker =
        new Thread(
            () ->
                words.get(
                    "a",
                    () -> {
                      making.countDown();
                      await(go);
                      throw new OutOfMemoryError("Java heap space");
                    }));
    maker.setUncaughtExceptionHandler((thread, fault) -> {});
    maker.start();
    making.await();
    List<Throwable> met = Collections.synchronizedList(new ArrayList<>());
    Thread waiting = new Thread(() -> words.get("a", () -> "never"));
    waiting.setUncaughtExceptionHandler((thread, fault) -> met.add(fault));
    waiting.start();
    go.countDown();
    waiting.join();
    assertThat(met).hasSizeLessThanOrEqualTo(1); // it may have come after the other had failed
    met.forEach(fault -> assertThat(fault).isInstanceOf(OutOfMemoryError.class));
    assertThat(words.find("a").isPresent()).isEqualTo(met.isEmpty());
  }

  /**
   * The first large photo on a fresh start was refused for want of memory; the second try worked.
   */
  @Test
  void whatRunsOutOfMemoryIsTriedOnceMoreWithNothingKeptAndNothingBesides() {
    Permits permits = new Permits(10, budget);
    words.put("a", "x".repeat(90));
    AtomicInteger tries = new AtomicInteger();
    String got =
        permits.with(
            1,
            () -> {
              if (tries.getAndIncrement() == 0) {
                throw new OutOfMemoryError("Java heap space");
              }
              return "kept %d".formatted(budget.bytes());
            });
    assertThat(got).isEqualTo("kept 0");
    assertThatThrownBy(
            () ->
                permits.with(
                    60_000_000,
                    () -> {
                      throw new OutOfMemoryError("Java heap space");
                    }))
        .isInstanceOf(OutOfMemoryError.class);
    assertThat(permits.<Integer>with(60_000_000, () -> permits.with(5_000_000, () -> 7)))
        .as("work within work does not wait for itself, and nothing is held for ever")
        .isEqualTo(7);
  }

  @Test
  void aCompactPictureIsTheSameBitForBit() {
    Random random = new Random(7);
    Picture picture = Picture.blank(311, 257);
    for (float[] plane : new float[][] {picture.r(), picture.g(), picture.b()}) {
      for (int i = 0; i < plane.length; i++) {
        plane[i] = random.nextFloat();
      }
    }
    CompactPicture compact = new CompactPicture(picture);
    Picture back = compact.picture();
    assertThat(Arrays.equals(back.r(), picture.r())).isTrue();
    assertThat(Arrays.equals(back.g(), picture.g())).isTrue();
    assertThat(Arrays.equals(back.b(), picture.b())).isTrue();
    assertThat(compact.bytes()).isLessThan(311 * 257 * 12 + 1000);
  }
}
