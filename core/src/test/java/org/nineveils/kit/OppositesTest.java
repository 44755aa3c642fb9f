package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.kit.Fitting.Answer;
import org.nineveils.mask.Mask;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Leaning;
import org.nineveils.veil.Veil;

/** Common practice, no published source: crisp and soft are opposites, one vignette at a time. */
class OppositesTest {
  private static final Map<String, Offer> OFFERS = new HashMap<>();
  private static final Map<String, Effect> EFFECTS = new HashMap<>();

  private static final Veil FADE = Pictures.veil("curve", Map.of("outBlack", 20));
  private static final Veil VIGNETTE = Pictures.veil("edge", Map.of("amount", -0.5));
  private static final Veil TONE = Pictures.veil("tint", Map.of("colourise", 30));

  private static void offer(String key, int position, Veil... veils) {
    OFFERS.put(key, new Offer(key, key, 5, "Finish", StackingRule.OPPOSITES_ASK, position));
    EFFECTS.put(key, new Effect(List.of(veils), "", 1));
  }

  static {
    offer("screen", 1, Pictures.veil("crisp", Map.of("sharp", 80)));
    offer("dream", 2, Pictures.veil("soft", Map.of("glow", 40)));
    offer("corners", 3, Pictures.veil("edge", Map.of("amount", -1)));
    offer("border", 4, Pictures.veil("edge", Map.of("frame", 4)));
    offer("fade", 5, Pictures.veil("curve", Map.of()));
    offer("look", 6, FADE);
  }

  private static Fitting.Change wear(Fitting on, String key, Answer answer) {
    return on.wear(OFFERS.get(key), OFFERS, EFFECTS::get, answer);
  }

  private static List<String> keys(Fitting fitting) {
    return fitting.worn().stream().map(Worn::effect).toList();
  }

  @Test
  void crispOverSoftAsksAndChangesNothingUntilAnswered() {
    Fitting dream = wear(Fitting.plain(), "dream", Answer.NONE).fitting();
    Fitting.Change asked = wear(dream, "screen", Answer.NONE);
    assertThat(asked.fitting()).isEqualTo(dream);
    assertThat(asked.asks()).containsExactly("dream");
    assertThat(asked.said()).contains("“screen” makes the picture crisp").contains("“dream”");
    assertThat(keys(wear(dream, "screen", Answer.BOTH).fitting()))
        .containsExactly("screen", "dream");
    Fitting.Change instead = wear(dream, "screen", Answer.INSTEAD);
    assertThat(keys(instead.fitting())).containsExactly("screen");
    assertThat(instead.said()).contains("instead of “dream”");
  }

  @Test
  void aSecondVignetteOrFrameAsksButOtherFinishesDoNot() {
    Fitting corners = wear(Fitting.plain(), "corners", Answer.NONE).fitting();
    assertThat(wear(corners, "border", Answer.NONE).asks()).containsExactly("corners");
    assertThat(wear(corners, "dream", Answer.NONE).asks()).isEmpty();
    assertThat(keys(wear(corners, "fade", Answer.NONE).fitting()))
        .containsExactly("corners", "fade");
  }

  @Test
  void whatIsBrushedOnLiftedOrSmoothsSkinLeansNowhere() {
    Veil crisp = Pictures.veil("crisp", Map.of("sharp", 80));
    assertThat(Opposites.leaning(new Effect(List.of(crisp), "", 1))).isEqualTo(Leaning.CRISP);
    Veil skin = Pictures.veil("soft", Map.of("smooth", 70, "noiseColour", 40));
    assertThat(Opposites.leaning(new Effect(List.of(skin), "", 1))).isEqualTo(Leaning.NONE);
    for (Veil veil : List.of(crisp.withLifted(true), crisp.withMask(Mask.BRUSH_ON))) {
      assertThat(Opposites.leaning(new Effect(List.of(veil), "", 1))).isEqualTo(Leaning.NONE);
    }
  }

  /** A look of many veils stays on, and only its vignette makes way. */
  @Test
  void aVignetteInsideALookIsLiftedAloneWhereAnotherIsWornInstead() {
    Effect look = new Effect(List.of(FADE, TONE, VIGNETTE), "", 1);
    EFFECTS.put("look", look);
    Fitting on = new Fitting(List.of(Worn.fresh("look")));
    Fitting.Change asked = wear(on, "corners", Answer.NONE);
    assertThat(asked.said()).contains("“corners” and “Edge” in “look”", "edge of the picture");
    Fitting.Change instead = wear(on, "corners", Answer.INSTEAD);
    assertThat(keys(instead.fitting())).containsExactly("corners", "look");
    assertThat(instead.said()).contains("instead of “Edge” in “look”, which keeps its other veils");
    List<Veil> worn = instead.fitting().worn().get(1).bundle(look).veils();
    assertThat(worn).extracting(Veil::lifted).containsExactly(false, false, true);
    assertThat(wear(instead.fitting().without("corners"), "corners", Answer.NONE).asks())
        .as("it is lifted by now")
        .isEmpty();
  }
}
