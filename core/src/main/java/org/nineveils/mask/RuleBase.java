package org.nineveils.mask;

import java.util.List;
import java.util.stream.IntStream;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/**
 * What the rules of a mask select on a photo. Rules that look at the photo are decided on the small
 * one and brought onto the photo along its edges; rules of place alone are worked out as they are.
 */
final class RuleBase {
  private RuleBase() {}

  /**
   * Weights of an area.
   *
   * @param rules 1 or more
   * @param plain the whole plain photo, at the size that is rendered
   * @return width · height of the area, 0…1
   */
  static float[] of(List<Rule> rules, Picture plain, Area area) {
    Picture small = SmallPhoto.of(plain);
    boolean looks = rules.stream().anyMatch(rule -> rule.kind().looksAtPhoto());
    boolean larger = small.width() != plain.width();
    Refined refined = looks && larger ? new Refined(plain, small, area) : null;
    float[] mask = new float[area.pixels()];
    for (int k = 0; k < rules.size(); k++) {
      Rule rule = rules.get(k);
      float[] weights;
      if (rule.kind().looksAtPhoto() && larger) {
        weights = refined.weights(weights(rule, small, small.area()), small);
      } else {
        weights = weights(rule, plain, area);
      }
      join(rule, k == 0, weights, mask);
    }
    return mask;
  }

  private static float[] weights(Rule rule, Picture photo, Area area) {
    float[][] planes = {photo.r(), photo.g(), photo.b()};
    RuleKind.Weigher weigher = rule.kind().prepare(rule.values(), photo);
    float[] out = new float[area.pixels()];
    IntStream.range(0, area.height())
        .parallel()
        .forEach(
            row -> {
              int y = area.y() + row;
              int from = y * photo.width() + area.x();
              weigher.weigh(planes, from, area.width(), area.x(), y, out, row * area.width());
            });
    return out;
  }

  private static void join(Rule rule, boolean first, float[] weights, float[] mask) {
    float amount = (float) rule.values().share(RuleKind.AMOUNT);
    boolean ofAll = rule.join() == Rule.Join.MINUS; // taken from everything where it is the first
    for (int i = 0; i < weights.length; i++) {
      float w = (rule.inverted() ? 1 - weights[i] : weights[i]) * amount;
      mask[i] = !first ? rule.join().put(mask[i], w) : ofAll ? 1 - w : w;
    }
  }
}
