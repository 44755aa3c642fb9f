package org.nineveils.veil;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.kernel.ToneTable;
import org.nineveils.testing.Pictures;

class SeenWordsTest {
  /** XML 1.0, section 2.2. A release with such a note packed, and its guide could not be made. */
  @Test
  void wordsOfAnEffectHoldNothingThatNoXmlDocumentMayHold() {
    String pasted = "Ease\u000bit\u0000 on\ud800 white \ud83d\udc36\ufffe\tnow";
    Veil veil = Pictures.veil("light", Map.of("exposure", 1));
    Veil named =
        new Veil(
            "a",
            "So\u000bft\u0007",
            veil.kind(),
            veil.settings(),
            veil.blend(),
            1,
            false,
            veil.mask(),
            "");
    Effect effect = new Effect(List.of(named), pasted, 1);
    assertThat(effect.note()).isEqualTo("Ease\nit on white \ud83d\udc36\tnow");
    assertThat(effect.veils().get(0).name()).isEqualTo("So ft");
  }

  @Test
  void aTableOfTonesTakesWhatLiesBeyondItsRangeForTheNearerEnd() {
    float[] in = {-0.44f, -1e-6f, 0, 0.01f, 0.5f, 1, 1.5f, Float.NaN};
    float[] out = new float[in.length];
    new ToneTable(x -> Math.pow(x, 1 / 3.0)).run(in, out, new float[in.length], in.length);
    assertThat(out[0]).isEqualTo(out[2]).isZero();
    assertThat(out[1]).isZero();
    assertThat(out[6]).isEqualTo(out[5]).isEqualTo(1);
    assertThat(out[3]).isBetween(0.214f, 0.217f);
  }
}
