package org.nineveils.veil;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.testing.Pictures;
import org.opencv.core.Core;
import org.opencv.core.CvType;
import org.opencv.core.Mat;
import org.opencv.core.Scalar;
import org.opencv.core.Size;
import org.opencv.imgproc.Imgproc;

/** Exposure, levels, curve and scaling against OpenCV 4.9 (Java binding, floats). */
class OpenCvReferenceTest {
  private static Picture photo;

  @BeforeAll
  static void loadLibrary() {
    nu.pattern.OpenCV.loadLocally();
    photo = Scaling.toLongSide(Pictures.photo("portrait-deep-skin-studio"), 500);
  }

  private static Mat mat(float[] plane) {
    Mat m = new Mat(photo.height(), photo.width(), CvType.CV_32F);
    m.put(0, 0, plane);
    return m;
  }

  private static float[] floats(Mat m) {
    float[] out = new float[m.rows() * m.cols()];
    m.get(0, 0, out);
    return out;
  }

  /** The sRGB curve by OpenCV's pow, with the two branches joined by a mask. */
  private static Mat decode(Mat v) {
    Mat line = new Mat();
    Core.multiply(v, Scalar.all(1 / 12.92), line);
    Mat power = new Mat();
    Core.add(v, Scalar.all(0.055), power);
    Core.multiply(power, Scalar.all(1 / 1.055), power);
    Core.pow(power, 2.4, power);
    Mat low = new Mat();
    Core.compare(v, Scalar.all(0.04045), low, Core.CMP_LE);
    line.copyTo(power, low);
    return power;
  }

  private static Mat encode(Mat x) {
    Mat line = new Mat();
    Core.multiply(x, Scalar.all(12.92), line);
    Mat power = new Mat();
    Core.pow(x, 1 / 2.4, power);
    Core.multiply(power, Scalar.all(1.055), power);
    Core.subtract(power, Scalar.all(0.055), power);
    Mat low = new Mat();
    Core.compare(x, Scalar.all(0.04045 / 12.92), low, Core.CMP_LE);
    line.copyTo(power, low);
    Core.min(power, Scalar.all(1), power);
    return power;
  }

  private static double farthest(float[] a, float[] b) {
    double most = 0;
    for (int i = 0; i < a.length; i++) {
      most = Math.max(most, Math.abs(a[i] - b[i]));
    }
    return most;
  }

  @Test
  void exposureAgrees() {
    for (double stops : new double[] {-2, 1 / 3.0, 1.5}) {
      Picture ours = Pictures.through(photo, Pictures.veil("light", Map.of("exposure", stops)));
      Mat lit = decode(mat(photo.g()));
      Core.multiply(lit, Scalar.all(Math.pow(2, stops)), lit);
      assertThat(farthest(ours.g(), floats(encode(lit)))).isLessThan(1e-5);
    }
  }

  @Test
  void levelsAgree() {
    Map<String, Object> levels =
        Map.of("inBlack", 20, "inWhite", 230, "gamma", 1.4, "outBlack", 16, "outWhite", 245);
    Picture ours = Pictures.through(photo, Pictures.veil("curve", levels));
    Mat m = mat(photo.r());
    Core.subtract(m, Scalar.all(20 / 255.0), m);
    Core.multiply(m, Scalar.all(255 / 210.0), m);
    Core.max(m, Scalar.all(0), m);
    Core.min(m, Scalar.all(1), m);
    Core.pow(m, 1 / 1.4, m);
    Core.multiply(m, Scalar.all(229 / 255.0), m);
    Core.add(m, Scalar.all(16 / 255.0), m);
    // Near black the root is steep: the table of 4 097 tones is within half an 8-bit step there.
    assertThat(farthest(ours.r(), floats(m))).isLessThan(0.5 / 255);
  }

  /** Tones of a curve looked up by OpenCV's LUT on the 256 tones of an 8-bit file. */
  @Test
  void aCurveLooksUpTonesAsAnEightBitTableDoes() {
    List<List<Double>> points =
        List.of(List.of(0.0, 0.05), List.of(0.3, 0.22), List.of(0.7, 0.78), List.of(1.0, 0.97));
    Picture tones = Pictures.ramp(256);
    Picture ours = Pictures.through(tones, Pictures.veil("curve", Map.of("all", points)));
    Mat table = new Mat(1, 256, CvType.CV_32F);
    table.put(0, 0, ours.r());
    Mat codes = new Mat(photo.height(), photo.width(), CvType.CV_8U);
    mat(photo.b()).convertTo(codes, CvType.CV_8U, 255);
    Mat looked = new Mat();
    Core.LUT(codes, table, looked);
    Mat back = new Mat();
    codes.convertTo(back, CvType.CV_32F, 1 / 255.0);
    Picture eight =
        new Picture(photo.width(), photo.height(), floats(back), floats(back), floats(back));
    Picture direct = Pictures.through(eight, Pictures.veil("curve", Map.of("all", points)));
    assertThat(farthest(direct.r(), floats(looked))).isLessThan(1e-5);
  }

  /** INTER_AREA: each result pixel is the mean of the area it covers. */
  @Test
  void scalingDownAgreesWithAreaAveraging() {
    Picture small = Scaling.toLongSide(photo, 200);
    Mat out = new Mat();
    Imgproc.resize(
        mat(photo.r()), out, new Size(small.width(), small.height()), 0, 0, Imgproc.INTER_AREA);
    assertThat(farthest(small.r(), floats(out))).isLessThan(2e-3);
  }
}
