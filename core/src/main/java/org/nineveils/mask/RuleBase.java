package org.nineveils.mask;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/** What the rules of a mask select on a photo. */
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
    float[][] planes = {plain.r(), plain.g(), plain.b()};
    List<RuleKind.Weigher> weighers = new ArrayList<>();
    for (Rule rule : rules) {
      weighers.add(rule.kind().prepare(rule.values(), plain.width(), plain.height()));
    }
    float[] mask = new float[area.width() * area.height()];
    IntStream.range(0, area.height())
        .parallel()
        .forEach(
            row -> {
              int y = area.y() + row;
              int from = y * plain.width() + area.x();
              float[] weight = new float[area.width()];
              for (int k = 0; k < rules.size(); k++) {
                weighers.get(k).weigh(planes, from, weight.length, area.x(), y, weight, 0);
                join(rules.get(k), k == 0, weight, mask, row * area.width());
              }
            });
    return mask;
  }

  private static void join(Rule rule, boolean first, float[] weight, float[] mask, int at) {
    float amount = (float) rule.values().share(RuleKind.AMOUNT);
    for (int i = 0; i < weight.length; i++) {
      float w = (rule.inverted() ? 1 - weight[i] : weight[i]) * amount;
      mask[at + i] = first ? w : rule.join().put(mask[at + i], w);
    }
  }
}
