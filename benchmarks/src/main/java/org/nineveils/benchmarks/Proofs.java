package org.nineveils.benchmarks;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.CoverageCache;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;

/** A proof sheet: nine hundred small pictures through nine veils, to JPEG, by two workers. */
final class Proofs {
  private static final int COUNT = 900;
  private static final int WORKERS = 2;
  private static final int QUALITY = 90;

  /** Pixels of masks kept: they are made beforehand on both sides. */
  private static final int MASKS = 1_000_000;

  private Proofs() {}

  static void run(Table table) throws InterruptedException {
    Picture photo = TestPicture.of(400, 267);
    Bundle all = Recipes.twelve(Recipes.LESS_STOPS).bundles().get(0);
    Stack nine = Stack.of(new Bundle(all.veils().subList(0, 9), all.paint(), 1));
    Manner manner = Manner.exact().masksFrom(new CoverageCache(MASKS)).quick(true);
    ExecutorService workers = Executors.newFixedThreadPool(WORKERS);
    AtomicInteger done = new AtomicInteger();
    long start = System.nanoTime();
    for (int i = 0; i < COUNT; i++) {
      workers.execute(
          () -> {
            Picture small = Renderer.render(photo, photo.area(), nine, manner);
            PictureWriter.jpeg(small, QUALITY / 100f);
            int n = done.incrementAndGet();
            if (n % 300 == 0) {
              table.note("  %d of %d proofs after %.1f s", n, COUNT, seconds(start));
            }
          });
    }
    workers.shutdown();
    workers.awaitTermination(5, TimeUnit.MINUTES);
    double ours = seconds(start) * 1000;
    table.row("900 proofs of 400 × 267, nine veils, to JPEG", ours, others(photo), 1 / 3.0);
  }

  /** The same by OpenCV, each with its two threads, milliseconds. */
  private static double others(Picture photo) {
    OpenCvRecipes other = new OpenCvRecipes(photo);
    long start = System.nanoTime();
    for (int i = 0; i < COUNT; i++) {
      other.nine();
      other.jpeg(QUALITY);
    }
    return seconds(start) * 1000;
  }

  private static double seconds(long start) {
    return (System.nanoTime() - start) / 1e9;
  }
}
