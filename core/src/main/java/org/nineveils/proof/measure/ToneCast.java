package org.nineveils.proof.measure;

import java.util.stream.IntStream;
import org.nineveils.region.Regions;

/**
 * The cast that some tones of the photo have got: distance in a*, b* between their means before and
 * after. Not judged where the whole picture has lost its colours.
 */
final class ToneCast implements Measure {
  /** Share of the picture below which such tones say nothing. */
  private static final double FEWEST = 0.01;

  /** Which tones are meant, told on the plain photo. */
  interface Tones {
    /** By chroma and lightness in CIE Lab. */
    boolean has(double chroma, double lightness);
  }

  private final String id;
  private final String label;
  private final String word;
  private final double limit;
  private final String tones;
  private final boolean skinToo;
  private final Tones which;

  private ToneCast(
      String id,
      String label,
      String word,
      double limit,
      String tones,
      boolean skinToo,
      Tones which) {
    this.id = id;
    this.label = label;
    this.word = word;
    this.limit = limit;
    this.tones = tones;
    this.skinToo = skinToo;
    this.which = which;
  }

  /** Of near-neutral tones: chroma below 5 between L* 20 and 95. */
  static ToneCast neutral() {
    return new ToneCast(
        "cast",
        "Neutral cast",
        "neutral cast",
        12,
        "neutral",
        true,
        (chroma, l) -> chroma < 5 && l >= 20 && l <= 95);
  }

  /** Of pale cloth and walls: chroma 4 to 20 at L* 60 to 95, without skin. */
  static ToneCast pale() {
    return new ToneCast(
        "pale-cast",
        "Cast on pale tones",
        "pale cast",
        11,
        "pale",
        false,
        (chroma, l) -> chroma >= 4 && chroma <= 20 && l >= 60 && l <= 95);
  }

  @Override
  public String id() {
    return id;
  }

  @Override
  public String label() {
    return label;
  }

  @Override
  public String word() {
    return word;
  }

  @Override
  public String unit() {
    return "a*b*";
  }

  @Override
  public double limit() {
    return limit;
  }

  @Override
  public Reading of(Pair pair) {
    Seen plain = pair.seen(Pair.Side.PLAIN);
    int[] places = plain.once(tones + " tones", () -> places(pair, plain.lab()));
    if (places.length < FEWEST * pair.area().pixels()) {
      return Reading.not("hardly anything %s is on this photo".formatted(tones));
    }
    if (Colourless.is(pair)) {
      return Colourless.notJudged();
    }
    float[][] before = plain.lab(tones + " tones", places);
    return Reading.of(
        InRegion.moved(before, pair.lab(Pair.Side.FINISHED, tones + " tones", places)));
  }

  private int[] places(Pair pair, float[][] lab) {
    boolean[] left = new boolean[lab[0].length];
    if (!skinToo) {
      left = pair.members(Regions.SKIN).orElse(left);
    }
    boolean[] skin = left;
    return IntStream.range(0, lab[0].length)
        .filter(i -> !skin[i] && which.has(InRegion.chroma(lab[1][i], lab[2][i]), lab[0][i]))
        .toArray();
  }
}
