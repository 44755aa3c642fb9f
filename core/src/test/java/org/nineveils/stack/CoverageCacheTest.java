package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Coverage;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;

class CoverageCacheTest {
  private final List<Object> keys = new ArrayList<>();
  private final Map<Object, Coverage> kept = new HashMap<>();
  private final CoverageCache cache =
      new CoverageCache(
          new Keep<Object, Coverage>() {
            @Override
            public Coverage find(Object key) {
              return kept.get(key);
            }

            @Override
            public void put(Object key, Coverage value, long bytes) {
              keys.add(key);
              kept.put(key, value);
            }
          });

  private static Paint paint(double x) {
    return new Paint(List.of(new Stroke(List.of(x, 0.3), 0.2, 0.5, 1, 1, true)));
  }

  @Test
  void samePaintOnAPhotoOfTheSameSizeIsWorkedOutOnce() {
    Picture one = Pictures.random(40, 30, 1);
    Picture two = Pictures.random(40, 30, 2);
    Coverage first = cache.coverage(Mask.BRUSH_ON, paint(0.4), one, one.area());
    assertThat(cache.coverage(Mask.BRUSH_ON, paint(0.4), two, two.area())).isSameAs(first);
    assertThat(cache.coverage(Mask.BRUSH_ON, paint(0.4000001), one, one.area())).isNotSameAs(first);
  }

  @Test
  void rulesAreWorkedOutForEachPhotoAndAKeyKeepsNeitherPhotoNorStrokes() {
    Mask rule =
        new Mask(Cover.BY_RULE, List.of(Pictures.rule("brightness", Map.of("from", 0, "to", 40))));
    Picture one = Pictures.random(40, 30, 1);
    Picture two = Pictures.random(40, 30, 2);
    Coverage first = cache.coverage(rule, Paint.NONE, one, one.area());
    assertThat(cache.coverage(rule, Paint.NONE, two, two.area())).isNotSameAs(first);
    assertThat(cache.coverage(rule, Paint.NONE, one, one.area())).isSameAs(first);
    assertThat(keys.toString()).doesNotContain("Stroke", "Picture");
  }
}
