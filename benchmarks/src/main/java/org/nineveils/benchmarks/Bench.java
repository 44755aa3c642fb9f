package org.nineveils.benchmarks;

import java.io.PrintStream;
import java.util.Locale;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.opencv.core.Core;

/**
 * A preview of one megapixel through six veils: our renderer beside OpenCV's Java binding, both on
 * floats and two threads, turn about in the same run. Before anything is timed, the two results are
 * compared, so that like is measured against like.
 */
public final class Bench {
  private static final int WIDTH = 1224;
  private static final int HEIGHT = 817;
  private static final int WARM_UP = 25;
  private static final int ROUNDS = 41;

  /** Largest difference allowed between the two results: half an 8-bit step. */
  private static final double ALIKE = 0.5 / 255;

  private Bench() {}

  public static void main(String[] args) {
    nu.pattern.OpenCV.loadLocally();
    Core.setNumThreads(2);
    PrintStream out = System.out;
    Picture photo = TestPicture.of(WIDTH, HEIGHT);
    Stack stack = SixVeils.stack();
    OpenCvSixVeils reference = new OpenCvSixVeils(photo);

    double apart = reference.farthestFrom(Renderer.render(photo, stack));
    out.printf(Locale.ROOT, "Largest difference between the two results: %.5f (of 1)%n", apart);
    if (!(apart <= ALIKE)) {
      throw new IllegalStateException("the two sides do not do the same work");
    }

    Timing ours = new Timing(() -> Renderer.render(photo, stack));
    Timing theirs = new Timing(reference::run);
    for (int i = 0; i < WARM_UP; i++) {
      ours.discard();
      theirs.discard();
    }
    for (int i = 0; i < ROUNDS; i++) {
      ours.take();
      theirs.take();
    }
    out.printf(
        Locale.ROOT,
        "%d × %d pixels, %d veils, %d rounds, %d processors, Java %s, OpenCV %s%n",
        WIDTH,
        HEIGHT,
        stack.bundles().get(0).veils().size(),
        ROUNDS,
        Runtime.getRuntime().availableProcessors(),
        System.getProperty("java.version"),
        Core.VERSION);
    out.printf("%-28s %10s %10s%n", "", "median", "fastest");
    print(out, "Nine Veils", ours);
    print(out, "OpenCV, pass by pass", theirs);
    out.printf(
        Locale.ROOT,
        "Nine Veils ÷ OpenCV: %.2f of the time (goal: 0.50 or less)%n",
        ours.median() / theirs.median());
  }

  private static void print(PrintStream out, String name, Timing t) {
    out.printf(Locale.ROOT, "%-28s %7.1f ms %7.1f ms%n", name, t.median(), t.fastest());
  }
}
