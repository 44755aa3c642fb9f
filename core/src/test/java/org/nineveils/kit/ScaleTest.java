package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.mask.Mask;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class ScaleTest {
  private static final Map<String, Effect> EFFECTS = new LinkedHashMap<>();

  private static void light(String key, Map<String, ?> settings) {
    EFFECTS.put(key, new Effect(List.of(Pictures.veil("light", settings)), "", 1));
  }

  static {
    light("stop", Map.of("exposure", 1));
    light("down", Map.of("exposure", -2.0 / 3));
    light("up", Map.of("exposure", 1.0 / 3, "shoulder", 20));
    light("odd", Map.of("exposure", 1.5));
    light("shade", Map.of("temperature", 44, "greenToPink", -2));
    light("lamp", Map.of("temperature", -130));
    light("both", Map.of("exposure", 1, "temperature", 20));
    light("contrast", Map.of("exposure", 1, "contrast", 20));
    Veil veil = Pictures.veil("light", Map.of("exposure", 0.5));
    EFFECTS.put("brush", new Effect(List.of(veil.withMask(Mask.BRUSH_ON)), "", 1));
    EFFECTS.put("two", new Effect(List.of(veil, veil.withId("again")), "", 1));
  }

  private static List<Scale> among(String... keys) {
    return Scale.among(List.of(keys), EFFECTS::get);
  }

  @Test
  void exposuresAreAScaleInThirdsOfAStopFromTheLeastToTheMost() {
    Scale scale = among("stop", "down", "shade", "up", "odd").get(0);
    assertThat(scale.of()).isEqualTo(Scale.Of.EXPOSURE);
    assertThat(scale.steps())
        .extracting(Scale.Step::key)
        .containsExactly("down", "up", "stop", "odd");
    assertThat(scale.steps())
        .extracting(Scale.Step::words)
        .containsExactly("−⅔", "+⅓", "+1", "+1.50");
  }

  @Test
  void whatDoesAnythingBesidesIsNoStepAndTwoStepsAreNoScale() {
    assertThat(among("stop", "down", "both", "contrast", "brush", "two", "gone")).isEmpty();
    assertThat(among("shade", "lamp")).isEmpty();
  }
}
