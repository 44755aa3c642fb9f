package org.nineveils.benchmarks;

import java.nio.file.Path;
import org.nineveils.picture.Picture;
import org.nineveils.proof.MadeSet;
import org.opencv.core.Core;

/**
 * Speed beside the same work by OpenCV's Java binding, both on floats and two threads, turn about
 * in one run. Before anything is timed, the two results are compared, so that like is measured
 * against like. The whole run takes some minutes; {@code small} leaves out what needs 24
 * megapixels, {@code proofs} takes what concerns measures alone.
 */
public final class Bench {
  private Bench() {}

  public static void main(String[] args) throws InterruptedException {
    nu.pattern.OpenCV.loadLocally();
    Core.setNumThreads(2);
    Table table = new Table(System.out);
    if (args.length > 0 && args[0].equals("proofs")) {
      MeasuredProofs.run(table);
      MadeSet.table(MadeSet.judge(Path.of("demo"), 1)).forEach(System.out::println);
      return;
    }
    Picture preview = TestPicture.of(1224, 816);
    Previews.run(preview, table);
    Proofs.run(table);
    MeasuredProofs.run(table);
    Requests.run(preview, table);
    if (args.length == 0 || !args[0].equals("small")) {
      FullFrames.run(TestPicture.of(6000, 4000), table);
    }
    table.note(
        "%d processors, at most %d MB of heap, Java %s, OpenCV %s",
        Runtime.getRuntime().availableProcessors(),
        Runtime.getRuntime().maxMemory() >> 20,
        System.getProperty("java.version"),
        Core.VERSION);
  }
}
