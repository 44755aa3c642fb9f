package org.nineveils.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.testing.CheckValues;
import org.nineveils.testing.Pictures;
import org.opencv.core.Core;
import org.opencv.core.CvType;
import org.opencv.core.Mat;
import org.opencv.core.Size;
import org.opencv.imgproc.Imgproc;

/** Against published outputs of reference libraries (check-values/filters) and OpenCV 4.9. */
class FiltersTest {
  private static final int SIDE = 24;
  private static final Area SMALL = new Area(0, 0, SIDE, SIDE);

  @BeforeAll
  static void loadLibrary() {
    nu.pattern.OpenCV.loadLocally();
  }

  private static float[] read(Field field, Area area) {
    float[] out = new float[area.pixels()];
    float[] row = new float[area.width()];
    for (int y = 0; y < area.height(); y++) {
      field.row(area.x(), area.y() + y, area.width(), row, new float[area.width() + Field.SLACK]);
      System.arraycopy(row, 0, out, y * area.width(), row.length);
    }
    return out;
  }

  private static float[] blurred(float[] values, Area area, double sigma) {
    Gaussian g = new Gaussian(sigma, area);
    return read(g.blur(g.reduce(new Plane(area, values), area), area), area);
  }

  /** Sampled Gaussian with replicated border by scipy, checked there against OpenCV. */
  @ParameterizedTest
  @CsvSource({
    "0.8, gauss_s0.8_replicate_r3",
    "2.0, gauss_s2.0_replicate_r8",
    "3.5, gauss_s3.5_replicate_r14"
  })
  void aNarrowBlurIsTheSampledGaussian(double sigma, String file) {
    float[] expected = CheckValues.plane("filters/" + file + ".csv");
    float[] ours = blurred(CheckValues.plane("filters/input.csv"), SMALL, sigma);
    for (int i = 0; i < ours.length; i++) {
      assertThat(ours[i]).isCloseTo(expected[i], within(0.0025f)); // ours is cut at 3.2 σ
    }
  }

  /** A step from black to white is where a coarse grid would show most. */
  @ParameterizedTest
  @ValueSource(doubles = {4.5, 7.9, 8.1, 20, 47})
  void aWideBlurOfAnEdgeIsTheGaussianIntegral(double sigma) {
    Area area = new Area(0, 0, 600, 20);
    float[] edge = new float[area.pixels()];
    for (int i = 0; i < edge.length; i++) {
      edge[i] = i % 600 < 300 ? 0 : 1;
    }
    float[] ours = blurred(edge, area, sigma);
    for (int x = 0; x < 600; x++) {
      double expected = normal((x - 299.5) / sigma);
      assertThat((double) ours[10 * 600 + x]).as("x = %d", x).isCloseTo(expected, within(0.01));
    }
  }

  /**
   * Beyond the border the outermost pixels go on, as in OpenCV's BORDER_REPLICATE, not whole cells
   * of the coarse grid: a narrow dark rim would be washed out there.
   */
  @ParameterizedTest
  @ValueSource(doubles = {9, 20, 40})
  void beyondTheBorderTheOutermostPixelsGoOn(double sigma) {
    Area area = new Area(0, 0, 300, 260);
    float[] framed = new float[area.pixels()];
    for (int i = 0; i < framed.length; i++) {
      int x = i % 300;
      int y = i / 300;
      framed[i] = x < 6 || y < 6 || x > 295 ? 0 : 0.2f + 0.6f * y / 260;
    }
    float[] ours = blurred(framed, area, sigma);
    Mat mat = new Mat(260, 300, CvType.CV_32F);
    mat.put(0, 0, framed);
    Imgproc.GaussianBlur(mat, mat, new Size(0, 0), sigma, sigma, Core.BORDER_REPLICATE);
    float[] theirs = new float[framed.length];
    mat.get(0, 0, theirs);
    for (int i = 0; i < ours.length; i++) {
      assertThat(ours[i]).as("%d, %d", i % 300, i / 300).isCloseTo(theirs[i], within(0.025f));
    }
  }

  /** Φ by Abramowitz and Stegun 26.2.17, error below 7.5e-8. */
  private static double normal(double z) {
    double t = 1 / (1 + 0.2316419 * Math.abs(z));
    double tail =
        Math.exp(-z * z / 2)
            / Math.sqrt(2 * Math.PI)
            * t
            * (0.319381530
                + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
    return z > 0 ? 1 - tail : tail;
  }

  @ParameterizedTest
  @ValueSource(doubles = {1.2, 5, 18})
  void aPhotoIsBlurredAsByOpenCv(double sigma) {
    Picture photo = Scaling.toLongSide(Pictures.photo("portrait-deep-skin-studio"), 500);
    Mat mat = new Mat(photo.height(), photo.width(), CvType.CV_32F);
    mat.put(0, 0, photo.g());
    Imgproc.GaussianBlur(mat, mat, new Size(0, 0), sigma, sigma, Core.BORDER_REPLICATE);
    float[] expected = new float[photo.g().length];
    mat.get(0, 0, expected);
    float[] ours = blurred(photo.g(), photo.area(), sigma);
    double sum = 0;
    for (int i = 0; i < ours.length; i++) {
      assertThat(ours[i]).isCloseTo(expected[i], within(0.04f));
      sum += Math.abs(ours[i] - expected[i]);
    }
    assertThat(sum / ours.length).isLessThan(0.0015);
  }

  /** He, Sun and Tang (2013), own formula with OpenCV's box filter: away from the border. */
  @Test
  void theGuidedFilterIsThePublishedOne() {
    float[] expected = CheckValues.plane("filters/guided_r3_eps0.01_truncated.csv");
    float[] guide = CheckValues.plane("filters/input.csv");
    Plane g = new Plane(SMALL, guide);
    Plane p = new Plane(SMALL, CheckValues.plane("filters/guided_p.csv"));
    Guided guided = new Guided(new Level(1, SMALL), Window.box(3), 0.01);
    Guided.Line line =
        guided.lines(guided.moments(new Plane[] {g}, new Plane[] {p}, SMALL), SMALL)[0];
    float[] slope = read(line.slope(), SMALL);
    float[] offset = read(line.offset(), SMALL);
    for (int y = 6; y < SIDE - 6; y++) {
      for (int x = 6; x < SIDE - 6; x++) {
        int i = y * SIDE + x;
        assertThat(slope[i] * guide[i] + offset[i]).isCloseTo(expected[i], within(1e-5f));
      }
    }
  }

  @Test
  void theGuidedFilterOnACoarseGridStaysNearTheFineOne() {
    Picture photo = Scaling.toLongSide(Pictures.photo("pet-ginger-cat"), 600);
    Area area = photo.area();
    Plane luma = Plane.luma(Plane.of(Part.whole(photo)));
    Guided coarse = new Guided(9, 0.12, area);
    Guided fine = new Guided(new Level(1, area), Window.gaussian(9), 0.12 * 0.12 / 4);
    assertThat(coarse.grid()).isGreaterThan(4);
    double sum = 0;
    float[][] q = new float[2][];
    Guided[] both = {coarse, fine};
    for (int k = 0; k < 2; k++) {
      Guided.Moments own = both[k].moments(new Plane[] {luma}, new Plane[0], area).andItself();
      Guided.Line line = both[k].lines(own, area)[0];
      q[k] = read(line.slope(), area);
      float[] offset = read(line.offset(), area);
      for (int i = 0; i < q[k].length; i++) {
        q[k][i] = q[k][i] * luma.values()[i] + offset[i];
      }
    }
    for (int i = 0; i < q[0].length; i++) {
      sum += Math.abs(q[0][i] - q[1][i]);
    }
    assertThat(sum / q[0].length).isLessThan(0.005);
  }

  @Test
  void theLowestValueOfASquareIsOpenCvsErosion() {
    Area area = new Area(0, 0, 40, 30);
    Random random = new Random(3);
    float[] values = new float[area.pixels()];
    for (int i = 0; i < values.length; i++) {
      values[i] = random.nextFloat();
    }
    Mat mat = new Mat(30, 40, CvType.CV_32F);
    mat.put(0, 0, values);
    Imgproc.erode(mat, mat, Mat.ones(7, 7, CvType.CV_8U));
    float[] expected = new float[values.length];
    mat.get(0, 0, expected);
    assertThat(Lowest.of(new Plane(area, values), 3).values()).isEqualTo(expected);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.7, 3, 6, 25})
  void aPartIsBlurredToTheSameBitsAsTheWhole(double sigma) {
    Area area = new Area(0, 0, 333, 127);
    float[] values = Pictures.random(333, 127, 5).r();
    float[] whole = blurred(values, area, sigma);
    Gaussian g = new Gaussian(sigma, area);
    for (Area wanted : new Area[] {new Area(0, 0, 5, 5), new Area(101, 50, 77, 31)}) {
      Area needed = wanted.around(g.reach(), g.grid(), area);
      float[] cut = new float[needed.pixels()];
      for (int y = 0; y < needed.height(); y++) {
        int from = (needed.y() + y) * 333 + needed.x();
        System.arraycopy(values, from, cut, y * needed.width(), needed.width());
      }
      float[] part = read(g.blur(g.reduce(new Plane(needed, cut), wanted), wanted), wanted);
      for (int y = 0; y < wanted.height(); y++) {
        for (int x = 0; x < wanted.width(); x++) {
          assertThat(part[y * wanted.width() + x])
              .isEqualTo(whole[(wanted.y() + y) * 333 + wanted.x() + x]);
        }
      }
    }
  }
}
