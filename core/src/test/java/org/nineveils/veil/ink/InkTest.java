package org.nineveils.veil.ink;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;

class InkTest {
  private static Picture inked(Picture picture, Map<String, ?> settings) {
    return Pictures.through(picture, Pictures.veil("ink", settings));
  }

  /** Worked by hand from the weights in the Javadoc, for a colour of each family. */
  @ParameterizedTest
  @CsvSource({
    "poppy, 0.9, 0.3, 0.2, 0.6", "lemon, 0.9, 0.7, 0.2, 0.5", "clover, 0.2, 0.8, 0.5, 0.3",
    "lagoon, 0.1, 0.6, 0.8, 0.5", "cobalt, 0.3, 0.2, 0.9, 0.6", "orchid, 0.8, 0.1, 0.6, 0.5",
    "lights, 0.9, 0.85, 0.8, 0.6", "middles, 0.6, 0.5, 0.45, 0.85", "darks, 0.2, 0.1, 0.15, 0.6"
  })
  void aShiftAlsoWhereThereIsNoneTakesItsShareOfTheFamilyOffTheChannel(
      String family, double r, double g, double b, double weight) {
    Picture colour = Pictures.flat(1, 1, r, g, b);
    Picture out = inked(colour, Map.of(family + "Magenta", 10, "alsoWhereNone", 100));
    assertThat((double) out.g()[0]).isCloseTo(g - 0.1 * weight, within(1e-6));
    assertThat(out.r()[0]).isEqualTo(colour.r()[0]);
    assertThat(out.b()[0]).isEqualTo(colour.b()[0]);
  }

  @Test
  void aShiftGoesByTheInkThatIsThere() {
    Picture red = Pictures.flat(1, 1, 0.9, 0.3, 0.2);
    Picture out = inked(red, Map.of("poppyYellow", 30));
    assertThat((double) out.b()[0]).isCloseTo(0.2 - 0.3 * 0.6 * (1 - 0.2), within(1e-6));
    Picture noCyan = inked(Pictures.flat(1, 1, 1, 0.3, 0.2), Map.of("poppyCyan", 80));
    assertThat(noCyan.r()[0]).as("there is no cyan to add to").isEqualTo(1);
  }

  @Test
  void blackMovesAllThreeChannelsTogether() {
    Picture grey = Pictures.flat(1, 1, 0.5, 0.5, 0.5);
    Picture out = inked(grey, Map.of("middlesBlack", 20));
    assertThat(out.r()[0]).isEqualTo(out.g()[0]).isEqualTo(out.b()[0]);
    assertThat((double) out.r()[0]).isCloseTo(0.5 - 0.2 * 0.5, within(1e-6));
  }

  @Test
  void familiesThatAreNotTouchedStayBitEqual() {
    Picture picture = Pictures.random(80, 40, 6);
    Picture out = inked(picture, Map.of("cobaltCyan", 70, "cobaltYellow", -60, "cobaltBlack", 30));
    int touched = 0;
    for (int i = 0; i < picture.r().length; i++) {
      boolean blue = picture.b()[i] > Math.max(picture.r()[i], picture.g()[i]);
      if (!blue) {
        assertThat(out.r()[i]).isEqualTo(picture.r()[i]);
        assertThat(out.b()[i]).isEqualTo(picture.b()[i]);
      } else {
        touched++;
      }
    }
    assertThat(touched).isGreaterThan(500);
  }

  /**
   * Common practice, no published source: −1 cyan and −7 yellow in the darks cools them; a little
   * yellow in middles and lights warms them.
   */
  @Test
  void smallShiftsCoolShadowsAndWarmLights() {
    Picture shadow = Pictures.flat(1, 1, 0.12, 0.12, 0.12);
    Picture cool = inked(shadow, Map.of("darksCyan", -1, "darksYellow", -7));
    assertThat(cool.b()[0]).isGreaterThan(cool.r()[0]).isGreaterThan(cool.g()[0]);
    Picture light = Pictures.flat(1, 1, 0.8, 0.8, 0.8);
    Picture warm = inked(light, Map.of("middlesYellow", 4, "lightsYellow", 4));
    assertThat(warm.b()[0]).isLessThan(warm.r()[0]);
  }

  @Test
  void takingInkAwayLightensAndAddingDarkens() {
    Picture skin = Pictures.flat(1, 1, 0.8, 0.6, 0.5);
    assertThat(inked(skin, Map.of("poppyMagenta", -40)).g()[0]).isGreaterThan(skin.g()[0]);
    assertThat(inked(skin, Map.of("poppyMagenta", 40)).g()[0]).isLessThan(skin.g()[0]);
  }
}
