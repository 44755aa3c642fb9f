package org.nineveils.benchmarks;

import java.util.ArrayList;
import java.util.List;
import org.nineveils.colour.Srgb;
import org.nineveils.picture.Picture;
import org.opencv.core.Core;
import org.opencv.core.CvType;
import org.opencv.core.Mat;
import org.opencv.core.Scalar;

/**
 * Veils that work pixel by pixel, by OpenCV: a pass over the whole picture for each operation,
 * three float planes. All matrices are allocated once and used again. Differences to ours: powers
 * are worked out for each pixel where ours look tones up in a table of 4 097; nothing else.
 */
class OpenCvTones {
  final int width;
  final int height;
  final List<Mat> now = new ArrayList<>();
  final Mat a = new Mat();
  final Mat b = new Mat();
  private final List<Mat> source = new ArrayList<>();
  private final Mat gain;
  private final Mat c = new Mat();
  private final Mat light = new Mat();
  private final Mat mask = new Mat();

  OpenCvTones(Picture photo) {
    width = photo.width();
    height = photo.height();
    for (float[] plane : new float[][] {photo.r(), photo.g(), photo.b()}) {
      Mat m = new Mat(height, width, CvType.CV_32F);
      m.put(0, 0, plane);
      source.add(m);
      now.add(new Mat(height, width, CvType.CV_32F));
    }
    gain = new Mat(height, width, CvType.CV_32F);
  }

  void begin() {
    for (int i = 0; i < 3; i++) {
      source.get(i).copyTo(now.get(i));
    }
  }

  void exposure(double stops) {
    for (Mat m : now) {
      decode(m, m);
      Core.multiply(m, Scalar.all(Math.pow(2, stops)), m);
      encode(m, m);
    }
  }

  void levels() {
    double low = Recipes.OUT_BLACK / 255;
    for (Mat m : now) {
      Core.pow(m, 1 / Recipes.GAMMA, m);
      m.convertTo(m, -1, 1 - low, low);
    }
  }

  void contrast() {
    double p = Srgb.MID_GREY;
    double slope = Math.pow(2, Recipes.CONTRAST / 100);
    for (Mat m : now) {
      m.convertTo(a, -1, 1 / p, 0);
      Core.pow(a, slope, a);
      Core.multiply(a, Scalar.all(p), a);
      m.convertTo(b, -1, -1 / (1 - p), 1 / (1 - p));
      Core.max(b, Scalar.all(0), b);
      Core.pow(b, slope, b);
      b.convertTo(b, -1, p - 1, 1);
      Core.compare(m, Scalar.all(p), mask, Core.CMP_LT);
      b.copyTo(m);
      a.copyTo(m, mask);
    }
  }

  /** BT.709 luma of three planes. */
  static void luma(List<Mat> rgb, Mat out) {
    Core.addWeighted(rgb.get(0), 0.2126, rgb.get(1), 0.7152, 0, out);
    Core.addWeighted(out, 1, rgb.get(2), 0.0722, 0, out);
  }

  void monochrome() {
    luma(now, a);
    double share = Recipes.MONOCHROME / 100;
    for (Mat m : now) {
      Core.addWeighted(m, 1 - share, a, share, 0, m);
    }
  }

  /** Hue and saturation replaced in HSL, the result laid over by soft light. */
  void softTone() {
    Core.max(now.get(0), now.get(1), a);
    Core.max(a, now.get(2), a);
    Core.min(now.get(0), now.get(1), b);
    Core.min(b, now.get(2), b);
    Core.addWeighted(a, 0.5, b, 0.5, 0, light);
    light.convertTo(a, -1, 2, -1);
    Core.absdiff(a, Scalar.all(0), a);
    a.convertTo(c, -1, -1, 1); // 1 − |2L − 1|
    for (int i = 0; i < 3; i++) {
      Core.addWeighted(light, 1, c, offset(i), 0, a);
      softLight(now.get(i), a);
    }
  }

  private static double offset(int channel) {
    double t = (Recipes.TONE_HUE / 60 + (channel == 0 ? 0 : channel == 1 ? 4 : 2)) % 6;
    double pure = Math.min(1, Math.max(0, Math.abs(t - 3) - 1));
    return (pure - 0.5) * Recipes.TONE_SATURATION / 100;
  }

  /** W3C soft light of source s over m, mixed in by the veil's opacity; changes m and s. */
  private void softLight(Mat m, Mat s) {
    s.convertTo(s, -1, 2, -1);
    m.convertTo(gain, -1, 16, -12); // ((16 x − 12) x + 4) x
    Core.multiply(gain, m, gain);
    Core.add(gain, Scalar.all(4), gain);
    Core.multiply(gain, m, gain);
    Core.sqrt(m, b);
    Core.compare(m, Scalar.all(0.25), mask, Core.CMP_LE);
    gain.copyTo(b, mask);
    Core.subtract(b, m, b); // D(x) − x
    m.convertTo(gain, -1, -1, 1);
    Core.multiply(gain, m, gain); // x (1 − x)
    Core.compare(s, Scalar.all(0), mask, Core.CMP_LT);
    gain.copyTo(b, mask);
    Core.multiply(b, s, b);
    Core.scaleAdd(b, Recipes.TONE_OPACITY, m, m);
  }

  void vignette() {
    weights();
    for (Mat m : now) {
      decode(m, m);
      Core.multiply(m, gain, m);
      encode(m, m);
    }
  }

  /** 2^(amount · w) of every pixel into gain. */
  private void weights() {
    float[] xs = new float[width];
    float[] ys = new float[height];
    for (int x = 0; x < width; x++) {
      double d = (x + 0.5 - width / 2.0) / (width / 2.0 * Math.sqrt(2));
      xs[x] = (float) (d * d);
    }
    for (int y = 0; y < height; y++) {
      double d = (y + 0.5 - height / 2.0) / (height / 2.0 * Math.sqrt(2));
      ys[y] = (float) (d * d);
    }
    Mat row = new Mat(1, width, CvType.CV_32F);
    row.put(0, 0, xs);
    Mat column = new Mat(height, 1, CvType.CV_32F);
    column.put(0, 0, ys);
    Core.repeat(row, height, 1, a);
    Core.repeat(column, 1, width, b);
    Core.add(a, b, a);
    Core.sqrt(a, a);
    double soft = Recipes.EDGE_SOFTNESS / 100;
    a.convertTo(a, -1, 1 / soft, -Recipes.EDGE_REACH / 100 / soft);
    Core.max(a, Scalar.all(0), a);
    Core.min(a, Scalar.all(1), a);
    a.convertTo(b, -1, -2, 3);
    Core.multiply(a, a, a);
    Core.multiply(a, b, a);
    Core.multiply(a, Scalar.all(Recipes.EDGE_STOPS * Math.log(2)), a);
    Core.exp(a, gain);
  }

  private void decode(Mat in, Mat out) {
    in.convertTo(a, -1, 1 / 12.92, 0);
    Core.compare(in, Scalar.all(0.04045), mask, Core.CMP_LE);
    in.convertTo(out, -1, 1 / 1.055, 0.055 / 1.055);
    Core.pow(out, 2.4, out);
    a.copyTo(out, mask);
  }

  private void encode(Mat in, Mat out) {
    in.convertTo(a, -1, 12.92, 0);
    Core.compare(in, Scalar.all(0.04045 / 12.92), mask, Core.CMP_LE);
    Core.pow(in, 1 / 2.4, out);
    out.convertTo(out, -1, 1.055, -0.055);
    a.copyTo(out, mask);
    Core.min(out, Scalar.all(1), out);
  }
}
