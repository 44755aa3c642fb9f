package org.nineveils.proof.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.nineveils.colour.Lab;
import org.nineveils.colour.Srgb;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.region.Regions;
import org.nineveils.testing.CheckValues;
import org.nineveils.testing.Looks;
import org.nineveils.testing.Pictures;
import org.opencv.core.Core;
import org.opencv.core.CvType;
import org.opencv.core.Mat;
import org.opencv.core.Size;
import org.opencv.imgproc.Imgproc;

/** Pictures made so that the answer is known, published values, and OpenCV 4.9 as another way. */
class MeasuresTest {
  private static final int W = 200;
  private static final int H = 100;
  private static Picture photo;

  @BeforeAll
  static void prepare() {
    nu.pattern.OpenCV.loadLocally();
    photo = Scaling.toLongSide(Pictures.photo("pet-ginger-cat"), Pair.LONG_SIDE);
  }

  /** Everything belongs to every region. */
  private static Map<String, float[]> everywhere(Picture of) {
    float[] all = new float[of.area().pixels()];
    Arrays.fill(all, 1);
    Map<String, float[]> out = new HashMap<>();
    Regions.all().forEach(name -> out.put(name, all));
    return out;
  }

  private static Reading read(String id, Picture plain, Picture finished) {
    return Measures.ofId(id).orElseThrow().of(new Pair(plain, finished, everywhere(plain)));
  }

  private static Picture flat(Lab lab) {
    double[] rgb = lab.toSrgb();
    return Pictures.flat(W, H, rgb[0], rgb[1], rgb[2]);
  }

  private static Picture copy(Picture p) {
    return new Picture(p.width(), p.height(), p.r().clone(), p.g().clone(), p.b().clone());
  }

  private interface Tone {
    float of(float v);
  }

  private static Picture toned(Picture p, Tone tone) {
    Picture out = copy(p);
    for (float[] plane : List.of(out.r(), out.g(), out.b())) {
      for (int i = 0; i < plane.length; i++) {
        plane[i] = tone.of(plane[i]);
      }
    }
    return out;
  }

  /** Sets some of the first pixels of every row. */
  private static Picture columns(Picture p, int from, int to, float r, float g, float b) {
    Picture out = copy(p);
    for (int y = 0; y < p.height(); y++) {
      for (int x = from; x < to; x++) {
        int i = y * p.width() + x;
        out.r()[i] = r;
        out.g()[i] = g;
        out.b()[i] = b;
      }
    }
    return out;
  }

  private static final Picture GREY = Pictures.flat(W, H, 0.5, 0.5, 0.5);

  @Test
  void aPictureThatIsLeftAsItIsIsUntouchedByEveryMeasure() {
    for (Measure measure : Measures.all()) {
      Map<String, float[]> regions = everywhere(photo);
      if (measure.id().equals("pale-cast")) {
        regions.remove(Regions.SKIN); // which it leaves out
      }
      Reading reading = measure.of(new Pair(photo, photo, regions));
      assertThat(reading.isJudged()).as(measure.id()).isTrue();
      double untouched = measure.bad() == Measure.Bad.MORE ? 0 : 100;
      assertThat(reading.value()).as(measure.id()).isCloseTo(untouched, within(1e-6));
    }
  }

  @Test
  void whatWasBlownOrBlockedBeforeDoesNotCount() {
    Picture before = columns(GREY, 0, 30, 1, 1, 1);
    Picture now = columns(GREY, 0, 50, 1, 0.9999f, 1);
    assertThat(read("blown", before, now).value()).isCloseTo(10, within(1e-9));
    assertThat(read("blown", before, columns(GREY, 0, 50, 1, 0.97f, 1)).value()).isZero();
    Picture black = columns(GREY, 0, 2, 0, 0.004f, 0);
    assertThat(read("blocked", GREY, black).value()).isCloseTo(1, within(1e-9));
    assertThat(read("channels", GREY, columns(GREY, 0, 20, 1, 0.4f, 0.3f)).value())
        .isCloseTo(10, within(1e-9));
  }

  /** CIEDE2000 of Sharma et al. 2005, for those of their pairs that sRGB can show. */
  @Test
  void skinChangesByThePublishedDifferences() {
    int checked = 0;
    for (var row : CheckValues.table("ciede2000_sharma.csv")) {
      Lab one = new Lab(row.number("L1"), row.number("a1"), row.number("b1"));
      Lab two = new Lab(row.number("L2"), row.number("a2"), row.number("b2"));
      if (isShown(one) && isShown(two)) {
        double said = read("skin-changed", flat(one), flat(two)).value();
        assertThat(said).isCloseTo(row.number("dE00"), within(0.15)); // medians to a sixteenth
        checked++;
      }
    }
    assertThat(checked).isGreaterThan(10);
  }

  private static boolean isShown(Lab lab) {
    return Arrays.stream(lab.toSrgb()).allMatch(v -> v >= 0 && v <= 1);
  }

  @Test
  void skinThatIsTurnedBySomeDegreesReadsAsTurnedByThem() {
    for (double turn : new double[] {-40, -12, 7, 25}) {
      double hue = Math.toRadians(50 + turn);
      Lab turned = new Lab(65, 24 * Math.cos(hue), 24 * Math.sin(hue));
      Lab plain = new Lab(62, 24 * Math.cos(Math.toRadians(50)), 24 * Math.sin(Math.toRadians(50)));
      assertThat(read("skin-turned", flat(plain), flat(turned)).value())
          .isCloseTo(Math.abs(turn), within(0.25));
      assertThat(read("skin-lightness", flat(plain), flat(turned)).value())
          .isCloseTo(3, within(0.13));
    }
  }

  @Test
  void aHueThatMeansNothingIsNotJudged() {
    Picture skin = flat(new Lab(65, 14, 18));
    Picture grey = flat(new Lab(65, 1, 1));
    assertThat(read("skin-turned", skin, grey).why()).contains("hardly any colour is left");
    assertThat(read("skin-turned", grey, skin).why()).contains("on the plain photo");
    Pair unmarked = new Pair(skin, skin, Map.of());
    for (String id : List.of("skin-turned", "detail-fur", "detail-lashes")) {
      assertThat(Measures.ofId(id).orElseThrow().of(unmarked).why())
          .contains("marked on this photo");
    }
  }

  /** Chroma is worked out only where channels lie wide apart; elsewhere none can be neon. */
  @Test
  void whereChannelsLieCloseTogetherNothingIsNeon() {
    int steps = 64;
    double most = 0;
    for (int r = 0; r <= steps; r++) {
      for (int g = 0; g <= steps; g++) {
        for (int b = 0; b <= steps; b++) {
          int wide = Math.max(r, Math.max(g, b)) - Math.min(r, Math.min(g, b));
          if (wide <= Seen.WIDE * steps) {
            most = Math.max(most, chroma(r / (float) steps, g / (float) steps, b / (float) steps));
          }
        }
      }
    }
    assertThat(most).isLessThan(NewNeon.NEON - 0.01);
  }

  /** Björn Ottosson's Oklab (2020), written out; matrices from CSS Color Module Level 4. */
  private static double chroma(double r, double g, double b) {
    double[] c = {Srgb.decode(r), Srgb.decode(g), Srgb.decode(b)};
    double l = Math.cbrt(0.4122214708 * c[0] + 0.5363325363 * c[1] + 0.0514459929 * c[2]);
    double m = Math.cbrt(0.2119034982 * c[0] + 0.6806995451 * c[1] + 0.1073969566 * c[2]);
    double s = Math.cbrt(0.0883024619 * c[0] + 0.2817188376 * c[1] + 0.6299787005 * c[2]);
    double a = 1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s;
    return Math.hypot(a, 0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s);
  }

  /** Chroma by an independent library: check-values/srgb_to_oklab_lch_hsl.csv. */
  @Test
  void neonIsChromaBeyondTheStatedBound() {
    int neon = 0;
    for (var row : CheckValues.table("srgb_to_oklab_lch_hsl.csv")) {
      Picture colour =
          Pictures.flat(W, H, row.number("r") / 255, row.number("g") / 255, row.number("b") / 255);
      double chroma = Math.hypot(row.number("oka_cjs"), row.number("okb_cjs"));
      if (Math.abs(chroma - NewNeon.NEON) > 0.002) {
        double share = read("neon", GREY, colour).value();
        assertThat(share).isEqualTo(chroma > NewNeon.NEON ? 100 : 0);
        assertThat(read("neon", colour, colour).value()).isZero();
        neon += chroma > NewNeon.NEON ? 1 : 0;
      }
    }
    assertThat(neon).isGreaterThan(3);
  }

  @Test
  void theCastIsThatOfTheNeutralTonesAlone() {
    Lab yellowed = new Lab(53, 3, 9);
    double[] rgb = yellowed.toSrgb();
    Picture before = columns(Pictures.flat(W, H, 0.7, 0.2, 0.2), 0, 60, 0.5f, 0.5f, 0.5f);
    Picture now = columns(before, 0, 60, (float) rgb[0], (float) rgb[1], (float) rgb[2]);
    assertThat(read("cast", before, now).value()).isCloseTo(Math.hypot(3, 9), within(0.05));
    Picture red = Pictures.flat(W, H, 0.7, 0.2, 0.2);
    assertThat(read("cast", red, red).isJudged()).isFalse();
  }

  private static Mat mat(float[] plane, Picture of) {
    Mat m = new Mat(of.height(), of.width(), CvType.CV_32F);
    m.put(0, 0, plane);
    return m;
  }

  private static float[] luma(Picture p) {
    float[] out = new float[p.area().pixels()];
    for (int i = 0; i < out.length; i++) {
      out[i] = 0.2126f * p.r()[i] + 0.7152f * p.g()[i] + 0.0722f * p.b()[i]; // ITU-R BT.709
    }
    return out;
  }

  /** Geometric mean of three bands' ratios, with OpenCV's Gaussian. */
  private static double detailByOpenCv(Picture before, Picture now) {
    double product = 1;
    double[] sigmas = {0, 0.7, 1.4, 2.8};
    for (int k = 0; k < 3; k++) {
      product *= band(now, sigmas[k], sigmas[k + 1]) / band(before, sigmas[k], sigmas[k + 1]);
    }
    return 100 * Math.cbrt(product);
  }

  private static double band(Picture p, double fine, double coarse) {
    Mat luma = mat(luma(p), p);
    Mat difference = new Mat();
    Core.subtract(blurred(luma, fine), blurred(luma, coarse), difference);
    return Core.norm(difference, Core.NORM_L2);
  }

  private static Mat blurred(Mat in, double sigma) {
    Mat out = new Mat();
    if (sigma == 0) {
      return in;
    }
    Imgproc.GaussianBlur(in, out, new Size(0, 0), sigma, sigma, Core.BORDER_REPLICATE);
    return out;
  }

  private static Picture grey(Mat luma, Picture like) {
    float[] plane = new float[like.area().pixels()];
    luma.get(0, 0, plane);
    return new Picture(like.width(), like.height(), plane, plane, plane);
  }

  @Test
  void detailIsWhatAnotherLibraryFindsAndHalfTheVariationIsHalf() {
    for (double sigma : new double[] {0.5, 1, 2}) {
      Picture soft = grey(blurred(mat(luma(photo), photo), sigma), photo);
      double said = read("detail-fur", photo, soft).value();
      assertThat(said)
          .as("blurred by %s", sigma)
          .isCloseTo(detailByOpenCv(photo, soft), within(2.0));
      assertThat(said).isLessThan(95);
    }
    Picture half = toned(photo, v -> 0.25f + v / 2);
    assertThat(read("detail-fur", photo, half).value()).isCloseTo(50, within(0.01));
    assertThat(read("detail-fur", GREY, GREY).why()).contains("hardly any detail");
  }

  @Test
  void seamsBesideEdgesAreFoundAndTonesAloneAreNone() {
    Mat luma = mat(luma(photo), photo);
    Mat sharp = new Mat();
    Core.addWeighted(luma, 3, blurred(luma, 2), -2, 0, sharp);
    Picture plain = grey(luma, photo);
    double halo = read("halo", plain, grey(sharp, photo)).value();
    assertThat(halo).isGreaterThan(Measures.ofId("halo").orElseThrow().limit());
    assertThat(read("halo", plain, grey(blurred(luma, 1.5), photo)).value()).isZero();
    Picture lifted = toned(plain, v -> (float) Math.pow(v, 0.6));
    assertThat(read("halo", plain, lifted).value()).isLessThan(halo / 10);
    Core.addWeighted(luma, 1.4, blurred(luma, 1), -0.4, 0, sharp);
    assertThat(read("halo", plain, grey(sharp, photo)).value()).isBetween(0.05, halo / 3);
  }

  @Test
  void noiseIsToldInCodesAsAnotherLibraryFindsIt() {
    Random random = new Random(7);
    Picture before = Pictures.flat(400, 300, 0.5, 0.5, 0.5);
    float[] grain = new float[400 * 300];
    for (int i = 0; i < grain.length; i++) {
      grain[i] = (float) (random.nextGaussian() * 4 / 255);
    }
    float[] noisy = grain.clone();
    for (int i = 0; i < noisy.length; i++) {
      noisy[i] += 0.5f;
    }
    Picture now = new Picture(400, 300, noisy, noisy, noisy);
    Mat fine = new Mat();
    Mat raw = mat(grain, before);
    Core.subtract(raw, blurred(raw, 1.2), fine);
    double expected = 255 * Core.norm(fine, Core.NORM_L2) / Math.sqrt(grain.length);
    assertThat(read("noise", before, now).value()).isCloseTo(expected, within(0.05));
    assertThat(expected).isBetween(2.0, 4.0);
    assertThat(read("noise", now, before).value()).as("taken away").isZero();
  }

  private static Picture posterised(Picture p, int codes) {
    return toned(p, v -> (float) (Math.floor(v * 255.5 / codes) * codes / 255));
  }

  /** Across and down, with the square of the height that a step has gained, in threes of a code. */
  @Test
  void stepsOfAPosterisedRampAreCountedBothWaysByTheirHeight() {
    Picture ramp = Pictures.ramp(256); // one code a pixel
    double gained = 16 - 4; // means of four pixels to either side lay 4 apart before
    double expected = 100.0 * 15 * gained * gained / 9 / (256 - 7);
    assertThat(read("banding", ramp, posterised(ramp, 16)).value())
        .isCloseTo(expected, within(0.5));
    assertThat(read("banding", turned(ramp), turned(posterised(ramp, 16))).value())
        .isCloseTo(expected, within(0.5));
    assertThat(read("banding", ramp, toned(ramp, v -> v * 0.9f)).value()).isZero();
  }

  @Test
  void theCoarserThePosterisingTheMoreItIsAndGrainDoesNotHideIt() {
    Picture sky = Pictures.flat(300, 200, 0, 0, 0);
    Random random = new Random(5);
    for (int i = 0; i < sky.r().length; i++) {
      float v = (float) ((60 + 120 * (i / 300) / 200.0 + random.nextGaussian() * 1.2) / 255);
      sky.r()[i] = sky.g()[i] = sky.b()[i] = v;
    }
    double last = 1000;
    for (int levels : new int[] {4, 8, 16, 32}) {
      double said = read("banding", sky, posterised(sky, 256 / levels)).value();
      assertThat(said).as("%d levels", levels).isBetween(3.0, last);
      last = said;
    }
  }

  private static Picture turned(Picture p) {
    int across = p.height();
    int down = p.width();
    Picture out = Picture.blank(across, down);
    for (int i = 0; i < p.r().length; i++) {
      int to = i % down * across + i / down;
      out.r()[to] = p.r()[i];
      out.g()[to] = p.g()[i];
      out.b()[to] = p.b()[i];
    }
    return out;
  }

  @Test
  void contrastIsTheShareOfTheSpreadThatIsLeft() {
    Picture faded = toned(photo, v -> 0.3f + 0.4f * v);
    assertThat(read("contrast", photo, faded).value()).isCloseTo(40, within(1.0));
    assertThat(read("contrast", GREY, GREY).isJudged()).isFalse();
  }

  @Test
  void strengthIsTheMeanColourDifference() {
    Picture warm = copy(photo);
    for (int i = 0; i < warm.b().length; i++) {
      warm.b()[i] *= 0.8f;
    }
    assertThat(read("strength", photo, warm).value())
        .isCloseTo(Looks.apart(photo, warm).mean(), within(0.03));
  }

  @Test
  void aMeasureIsOneFileAndOneLineInTheList() throws IOException {
    Path folder = Path.of("src/main/java/org/nineveils/proof/measure");
    try (Stream<Path> files = Files.list(folder)) {
      long written =
          files
              .map(MeasuresTest::text)
              .filter(t -> t.contains("implements Measure") || t.contains("extends OfSkin"))
              .filter(t -> !t.contains("abstract class"))
              .count();
      long listed = Measures.all().stream().map(Measure::getClass).distinct().count();
      assertThat(listed).isEqualTo(written);
    }
    assertThat(Measures.all().stream().map(Measure::id)).doesNotHaveDuplicates();
  }

  private static String text(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @Test
  void picturesAndRegionsOfOneProofHaveOneSize() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Pair(GREY, Pictures.flat(W, H + 1, 0, 0, 0), Map.of()));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Pair(GREY, GREY, Map.of("skin", new float[5])));
  }

  /** A frame is no longer the photo: what it covers is neither blown nor blocked nor banded. */
  @Test
  void whatAFrameCoversIsNotJudged() {
    Picture framed = copy(photo);
    int wide = 16;
    for (int i = 0; i < framed.r().length; i++) {
      int x = i % framed.width();
      int y = i / framed.width();
      if (Math.min(Math.min(x, framed.width() - 1 - x), Math.min(y, framed.height() - 1 - y))
          < wide) {
        framed.r()[i] = framed.g()[i] = framed.b()[i] = 1;
      }
    }
    Plain plain = new Plain(photo, everywhere(photo));
    Finished made = new Finished(framed, List.of(framed), wide / (double) photo.longSide());
    for (String id : List.of("blown", "channels", "banding", "halo", "torn", "neon", "washed")) {
      Reading reading = Measures.ofId(id).orElseThrow().of(new Pair(plain, made));
      assertThat(reading.value()).as(id).isZero();
    }
    assertThat(read("blown", photo, framed).value()).as("without a word of it").isGreaterThan(5);
  }

  @Test
  void aPartThatGoesGreyIsJudgedAndAWholePictureThatDoesIsNot() {
    Picture grey = copy(photo);
    float[] luma = luma(photo);
    for (float[] plane : List.of(grey.r(), grey.g(), grey.b())) {
      System.arraycopy(luma, 0, plane, 0, luma.length);
    }
    assertThat(read("colour-kept", photo, grey).isJudged()).isFalse();
    float[] left = new float[luma.length];
    Picture half = copy(photo);
    for (int i = 0; i < left.length; i++) {
      if (i % photo.width() < photo.width() / 2) {
        left[i] = 1;
        half.r()[i] = half.g()[i] = half.b()[i] = luma[i];
      }
    }
    Pair pair = new Pair(photo, half, Map.of(Regions.FUR, left));
    assertThat(Measures.ofId("colour-kept").orElseThrow().of(pair).value()).isLessThan(5);
    assertThat(Measures.ofId("fur-colour").orElseThrow().of(pair).value()).isGreaterThan(9);
  }

  /** What is as strong as neon by a hair less is no news once it is that by a hair more. */
  @Test
  void neonAsksForARise() {
    Picture before = strong(0.195);
    assertThat(read("neon", before, strong(0.205)).value()).isZero();
    assertThat(read("neon", before, strong(0.22)).value()).isEqualTo(100);
    assertThat(read("neon", strong(0.205), strong(0.22)).value()).isZero();
    assertThat(read("neon", strong(0.205), strong(0.28)).value()).isEqualTo(100);
  }

  /** Greens of about that chroma in Oklab. */
  private static Picture strong(double chroma) {
    double by = 0.15;
    Picture out = Pictures.flat(W, H, 0.5, 0.5, 0.5);
    for (; by < 0.5 && new Seen(out).chroma(0) < chroma; by += 0.0005) {
      out = Pictures.flat(W, H, 0.5 - by, 0.5 + by, 0.5 - by);
    }
    assertThat(new Seen(out).chroma(0)).isCloseTo((float) chroma, within(0.001f));
    return out;
  }
}
