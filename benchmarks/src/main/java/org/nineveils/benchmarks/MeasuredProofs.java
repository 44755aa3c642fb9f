package org.nineveils.benchmarks;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.proof.Likeness;
import org.nineveils.proof.OnRegions;
import org.nineveils.proof.Readings;
import org.nineveils.proof.Trial;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Plain;
import org.nineveils.proof.measure.Samples;
import org.nineveils.region.Regions;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.CoverageCache;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;

/** What measures cost beside the pictures that they are taken of, and look-alikes by a sheet. */
final class MeasuredProofs {
  private static final int EFFECTS = 65;
  private static final int PHOTOS = 14;
  private static final float QUALITY = 0.9f;
  private static final int MASKS = 1_000_000;

  /** Proofs of one timing. */
  private static final int ROUND = 60;

  private static final java.util.concurrent.ExecutorService HANDS =
      java.util.concurrent.Executors.newFixedThreadPool(
          2,
          work -> {
            Thread thread = new Thread(work);
            thread.setDaemon(true);
            return thread;
          });

  private MeasuredProofs() {}

  static void run(Table table) {
    Picture whole = TestPicture.of(1800, 1200);
    Picture photo = Scaling.toLongSide(whole, Pair.LONG_SIDE);
    Bundle all = Recipes.twelve(Recipes.LESS_STOPS).bundles().get(0);
    Stack nine = Stack.of(new Bundle(all.veils().subList(0, 9), all.paint(), 1));
    Manner manner = Manner.exact().masksFrom(new CoverageCache(MASKS)).quick(true);
    Plain plain = Plain.of(whole, photo, regions(photo));
    Runnable alone = () -> picture(photo, nine, manner);
    Runnable measured =
        () -> {
          Picture finished = picture(photo, nine, manner);
          Readings.of(new Pair(plain, Trial.on(plain, finished, nine, manner)));
          Samples.of(plain, finished);
        };
    double[] ms = Timing.medians(2, 7, () -> sideBySide(alone), () -> sideBySide(measured));
    table.row("60 proofs with all measures ÷ their pictures alone", ms[1], ms[0], 1.6);
    List<List<Likeness.Look>> looks = looks(plain, photo);
    double alike = Timing.medians(2, 3, () -> Likeness.of(looks).map(EFFECTS))[0];
    double sheet = EFFECTS * PHOTOS * ms[1] / ROUND;
    table.row("look-alikes of 65 effects ÷ their sheet of 14 photos", alike, sheet, 0.10);
  }

  /** As a sheet is made: one proof after the other by each of two workers. */
  private static void sideBySide(Runnable proof) {
    java.util.stream.IntStream.range(0, 2)
        .mapToObj(
            w ->
                java.util.concurrent.CompletableFuture.runAsync(
                    () -> {
                      for (int i = 0; i < ROUND / 2; i++) {
                        proof.run();
                      }
                    },
                    HANDS))
        .toList()
        .forEach(java.util.concurrent.CompletableFuture::join);
  }

  private static Picture picture(Picture photo, Stack stack, Manner manner) {
    Picture small = Renderer.render(photo, photo.area(), stack, manner);
    PictureWriter.jpeg(small, QUALITY);
    return small;
  }

  /** Skin, fur and lashes, so that no measure is left out. */
  private static Map<String, float[]> regions(Picture photo) {
    Map<String, float[]> out = new LinkedHashMap<>();
    int part = photo.area().pixels() / 4;
    int at = 0;
    for (String name : List.of(Regions.SKIN, Regions.FUR, Regions.LASHES)) {
      float[] cover = new float[photo.area().pixels()];
      Arrays.fill(cover, at, at + part, 1);
      out.put(name, cover);
      at += part;
    }
    return out;
  }

  private static List<List<Likeness.Look>> looks(Plain plain, Picture photo) {
    OnRegions everywhere = new OnRegions(Map.of(), Set.of(), true);
    List<List<Likeness.Look>> out = new ArrayList<>();
    for (int e = 0; e < EFFECTS; e++) {
      float[] red = photo.r().clone();
      for (int i = 0; i < red.length; i++) {
        red[i] *= 1 - 0.005f * e;
      }
      Picture made = new Picture(photo.width(), photo.height(), red, photo.g(), photo.b());
      Likeness.Look look = new Likeness.Look(Samples.of(plain, made), everywhere);
      out.add(java.util.Collections.nCopies(PHOTOS, look));
    }
    return out;
  }
}
