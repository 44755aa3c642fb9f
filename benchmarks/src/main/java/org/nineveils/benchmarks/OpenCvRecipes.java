package org.nineveils.benchmarks;

import java.util.ArrayList;
import java.util.List;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.opencv.core.Core;
import org.opencv.core.CvType;
import org.opencv.core.Mat;
import org.opencv.core.MatOfByte;
import org.opencv.core.MatOfInt;
import org.opencv.core.Scalar;
import org.opencv.core.Size;
import org.opencv.imgcodecs.Imgcodecs;
import org.opencv.imgproc.Imgproc;

/**
 * The timed stacks by OpenCV. Guided filters are those of He and Sun (2015) as in ours: means by
 * {@code resize} with INTER_AREA, Gaussian windows on the coarse grid, read by INTER_LINEAR; a wide
 * blur likewise, so that both sides do the same work. Paint is turned into masks beforehand, for
 * both sides.
 */
final class OpenCvRecipes extends OpenCvTones {
  private final int longSide;
  private final Mat skin;
  private final Mat surroundings;
  private final List<Mat> below = List.of(new Mat(), new Mat(), new Mat());

  OpenCvRecipes(Picture photo) {
    super(photo);
    longSide = photo.longSide();
    skin = mask(photo, Recipes.SKIN);
    surroundings = mask(photo, Recipes.SURROUNDINGS);
  }

  private static Mat mask(Picture photo, Stroke stroke) {
    Paint paint = new Paint(List.of(stroke));
    Mat m = new Mat(photo.height(), photo.width(), CvType.CV_32F);
    m.put(0, 0, Painter.cover(Mask.BRUSH_ON, paint, photo, photo.area()).values());
    return m;
  }

  void thirty() {
    begin();
    for (int i = 0; i < 6; i++) {
      exposure(i % 2 == 0 ? Recipes.STOPS : -Recipes.STOPS);
      levels();
      contrast();
      monochrome();
      softTone();
    }
  }

  void twelve() {
    nine();
    localContrast();
    contrast();
    vignette();
  }

  /** The first nine of the twelve. */
  void nine() {
    begin();
    exposure(Recipes.STOPS);
    levels();
    masked(skin, this::smoothing);
    contrast();
    monochrome();
    masked(surroundings, () -> blur(Recipes.BLUR));
    softTone();
    exposure(Recipes.LESS_STOPS);
    levels();
  }

  void blurOnly(double perMille) {
    begin();
    blur(perMille);
  }

  /** OpenCV's own Gaussian at full size. */
  void ownGaussianOnly(double perMille) {
    begin();
    ownGaussian(perMille / 1000 * longSide);
  }

  /** The finished picture as a JPEG file of the given quality, 0…100. */
  long jpeg(int quality) {
    Mat all = new Mat();
    List<Mat> bgr = new ArrayList<>();
    for (int i = 2; i >= 0; i--) {
      Mat bytes = new Mat();
      now.get(i).convertTo(bytes, CvType.CV_8U, 255);
      bgr.add(bytes);
    }
    Core.merge(bgr, all);
    MatOfByte out = new MatOfByte();
    Imgcodecs.imencode(".jpg", all, out, new MatOfInt(Imgcodecs.IMWRITE_JPEG_QUALITY, quality));
    return out.total();
  }

  /**
   * Differences of all values to our picture.
   *
   * @return mean and largest
   */
  double[] apart(Picture ours) {
    double most = 0;
    double sum = 0;
    float[][] planes = {ours.r(), ours.g(), ours.b()};
    float[] theirs = new float[width * height];
    for (int i = 0; i < 3; i++) {
      now.get(i).get(0, 0, theirs);
      for (int k = 0; k < theirs.length; k++) {
        double d = Math.abs(theirs[k] - planes[i][k]);
        most = Math.max(most, d);
        sum += d;
      }
    }
    return new double[] {sum / theirs.length / 3, most};
  }

  private void masked(Mat mask, Runnable veil) {
    for (int i = 0; i < 3; i++) {
      now.get(i).copyTo(below.get(i));
    }
    veil.run();
    for (int i = 0; i < 3; i++) {
      Mat m = now.get(i);
      Core.subtract(m, below.get(i), m);
      Core.multiply(m, mask, m);
      Core.add(m, below.get(i), m);
    }
  }

  /** As ours: where it is wide, on a grid on which the Gaussian spans two to four cells. */
  private void blur(double perMille) {
    double sigma = perMille / 1000 * longSide;
    int factor = 1;
    while (sigma / (factor * 2) >= 2) {
      factor *= 2;
    }
    if (factor == 1) {
      ownGaussian(sigma);
      return;
    }
    double f2 = (double) factor * factor;
    double own = Math.sqrt(sigma * sigma - (f2 - 1) / 12 - (f2 - 1) / 6) / factor;
    Size coarse = new Size(Math.ceil((double) width / factor), Math.ceil((double) height / factor));
    Mat small = new Mat();
    for (Mat m : now) {
      Imgproc.resize(m, small, coarse, 0, 0, Imgproc.INTER_AREA);
      Imgproc.GaussianBlur(small, small, new Size(0, 0), own, own, Core.BORDER_REPLICATE);
      Imgproc.resize(small, m, new Size(width, height), 0, 0, Imgproc.INTER_LINEAR);
    }
  }

  private void ownGaussian(double sigma) {
    for (Mat m : now) {
      Imgproc.GaussianBlur(m, m, new Size(0, 0), sigma, sigma, Core.BORDER_REPLICATE);
    }
  }

  private void smoothing() {
    double sigma = Recipes.SMOOTH_SIZE / 1000 * longSide;
    double fine = sigma / 4;
    Guided guided = new Guided(sigma, Recipes.SMOOTH_EDGE / 100);
    List<Mat> coarse = now.stream().map(guided::reduced).toList();
    Mat guide = new Mat();
    luma(coarse, guide);
    Mat luma = new Mat();
    luma(now, luma);
    List<Mat> smooth = coarse.stream().map(p -> guided.filtered(guide, p, luma)).toList();
    Mat taken = new Mat();
    luma(smooth, taken);
    Core.subtract(luma, taken, taken);
    Mat kept = new Mat();
    Imgproc.GaussianBlur(taken, kept, new Size(0, 0), fine, fine, Core.BORDER_REPLICATE);
    Core.subtract(taken, kept, kept);
    double amount = Recipes.SMOOTH / 100;
    for (int i = 0; i < 3; i++) {
      Core.scaleAdd(kept, Recipes.SMOOTH_TEXTURE / 100, smooth.get(i), a);
      Core.addWeighted(now.get(i), 1 - amount, a, amount, 0, now.get(i));
    }
    limit();
  }

  /** The medium scale: what lies between windows of 3 and 10 thousandths. */
  private void localContrast() {
    Mat luma = new Mat();
    luma(now, luma);
    Mat small = smoothLuma(luma, 0.003);
    Mat medium = smoothLuma(luma, 0.010);
    Core.subtract(small, medium, small);
    luma.convertTo(a, -1, 2, -1);
    Core.multiply(a, a, a);
    Core.multiply(a, a, a);
    a.convertTo(a, -1, -1, 1);
    Core.multiply(small, a, small, Recipes.MEDIUM / 100 * 1.5);
    for (Mat m : now) {
      Core.add(m, small, m);
    }
    limit();
  }

  private Mat smoothLuma(Mat luma, double share) {
    Guided guided = new Guided(share * longSide, 0.22);
    Mat coarse = guided.reduced(luma);
    return guided.filtered(coarse, coarse, luma);
  }

  private void limit() {
    for (Mat m : now) {
      Core.min(m, Scalar.all(1), m);
      Core.max(m, Scalar.all(0), m);
    }
  }

  /** The guided filter on a coarse grid. */
  private final class Guided {
    private final Size coarse;
    private final double sigma;
    private final double epsilon;

    Guided(double pixels, double edge) {
      int factor = 1;
      while (pixels / (factor * 2) >= 0.9) {
        factor *= 2;
      }
      coarse = new Size(Math.ceil((double) width / factor), Math.ceil((double) height / factor));
      sigma = pixels / factor;
      epsilon = edge * edge / 4;
    }

    Mat reduced(Mat full) {
      Mat out = new Mat();
      Imgproc.resize(full, out, coarse, 0, 0, Imgproc.INTER_AREA);
      return out;
    }

    Mat filtered(Mat guide, Mat p, Mat full) {
      Mat mean = window(guide);
      Mat meanP = window(p);
      Mat square = new Mat();
      Core.multiply(guide, guide, square);
      Mat both = new Mat();
      Core.multiply(guide, p, both);
      square = window(square);
      both = window(both);
      Mat t = new Mat();
      Core.multiply(mean, mean, t);
      Core.subtract(square, t, square);
      Core.add(square, Scalar.all(epsilon), square);
      Core.multiply(mean, meanP, t);
      Core.subtract(both, t, both);
      Core.divide(both, square, both); // slope
      Core.multiply(both, mean, t);
      Core.subtract(meanP, t, meanP); // offset
      Mat out = new Mat();
      Mat offset = new Mat();
      Size whole = new Size(width, height);
      Imgproc.resize(window(both), out, whole, 0, 0, Imgproc.INTER_LINEAR);
      Imgproc.resize(window(meanP), offset, whole, 0, 0, Imgproc.INTER_LINEAR);
      Core.multiply(out, full, out);
      Core.add(out, offset, out);
      return out;
    }

    private Mat window(Mat in) {
      Mat out = new Mat();
      Imgproc.GaussianBlur(in, out, new Size(0, 0), sigma, sigma, Core.BORDER_REPLICATE);
      return out;
    }
  }
}
