package org.nineveils.benchmarks;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureWriter;
import org.nineveils.file.data.PhotoData;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Picture;
import org.nineveils.stack.CoverageCache;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;

/** Twenty-four megapixels: finished results. The previews before have warmed the loops up. */
final class FullFrames {
  private static final int WARM_UP = 0;
  private static final int ROUNDS = 3;
  private static final int QUALITY = 95;

  private FullFrames() {}

  static void run(Picture photo, Table table) {
    OpenCvRecipes other = new OpenCvRecipes(photo);
    Stack twelve = Recipes.twelve(Recipes.LESS_STOPS);
    CoverageCache masks = masks(photo, twelve);
    double[] t =
        Timing.medians(
            WARM_UP,
            ROUNDS,
            () -> Renderer.render(photo, Recipes.thirty()),
            other::thirty,
            () -> jpeg(photo, twelve, masks),
            () -> {
              other.twelve();
              other.jpeg(QUALITY);
            },
            () -> Renderer.render(photo, Recipes.blur(2)),
            () -> other.blurOnly(2),
            () -> other.ownGaussianOnly(2));
    table.row("30 pointwise veils, exact, 24 MP", t[0], t[1], 0.2);
    table.row("12 veils to a finished JPEG in strips, 24 MP", t[2], t[3], 0.28);
    table.row("blur of 0.2 %, OpenCV's own Gaussian, 24 MP", t[4], t[6], 1);
    table.row("blur of 0.2 %, OpenCV on a coarse grid too, 24 MP", t[4], t[5], 1.1);
  }

  /** The two masks of the twelve veils, made beforehand as on the other side. */
  private static CoverageCache masks(Picture photo, Stack stack) {
    CoverageCache masks = new CoverageCache(2L * photo.area().pixels());
    for (Paint paint : stack.bundles().get(0).paint().values()) {
      masks.coverage(Mask.BRUSH_ON, paint, photo, photo.area());
    }
    return masks;
  }

  private static void jpeg(Picture photo, Stack stack, CoverageCache masks) {
    try {
      Path file = Files.createTempFile("nine-veils", ".jpg");
      PictureWriter.write(
          Renderer.strips(photo, stack, Manner.exact().masksFrom(masks)),
          PictureFormat.JPEG,
          QUALITY,
          PhotoData.NONE,
          file);
      Files.delete(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
