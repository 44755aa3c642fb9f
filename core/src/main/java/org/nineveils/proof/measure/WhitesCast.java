package org.nineveils.proof.measure;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.nineveils.region.Regions;

/**
 * The cast that the whites of eyes and teeth have got: distance in a*, b* between the means before
 * and after of the lighter half of the eyes, and of all teeth, as far as they are near to grey.
 */
final class WhitesCast implements Measure {
  private static final String TEETH = "teeth";

  /** Chroma up to which a tone is a white. */
  private static final double WHITE = 22;

  private static final int FEWEST = 8;

  @Override
  public String id() {
    return "whites";
  }

  @Override
  public String label() {
    return "Whites of eyes, teeth";
  }

  @Override
  public String word() {
    return "whites";
  }

  @Override
  public String unit() {
    return "a*b*";
  }

  @Override
  public double limit() {
    return 9;
  }

  @Override
  public Reading of(Pair pair) {
    double most = -1;
    for (String region : List.of(Regions.EYES, TEETH)) {
      if (pair.has(region)) {
        float[][] before = InRegion.colours(pair, Pair.Side.PLAIN, region).orElseThrow();
        float[][] now = InRegion.colours(pair, Pair.Side.FINISHED, region).orElseThrow();
        int[] whites = whites(before, region.equals(TEETH));
        if (whites.length >= FEWEST) {
          most = Math.max(most, InRegion.moved(some(before, whites), some(now, whites)));
        }
      }
    }
    if (most < 0) {
      return Reading.not("no whites of eyes or teeth are marked on this photo");
    }
    return Colourless.is(pair) ? Colourless.notJudged() : Reading.of(most);
  }

  private static int[] whites(float[][] lab, boolean all) {
    float[] sorted = lab[0].clone();
    Arrays.sort(sorted);
    float from = all ? 0 : sorted[sorted.length / 2];
    return IntStream.range(0, sorted.length)
        .filter(i -> lab[0][i] >= from && InRegion.chroma(lab[1][i], lab[2][i]) <= WHITE)
        .toArray();
  }

  private static float[][] some(float[][] lab, int[] places) {
    float[][] out = new float[3][places.length];
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < places.length; i++) {
        out[c][i] = lab[c][places[i]];
      }
    }
    return out;
  }
}
