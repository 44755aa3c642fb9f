package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class PromisesTest {
  private static final Veil SUN = Pictures.veil("overlay", Map.of("shaft", 40));
  private static final Dial PLACE = new Dial(SUN.id(), "shaftX", "Sun: across", 0, 100);

  private static List<String> broken(String note, Dial... dials) {
    return Promises.broken(new Effect(List.of(SUN), note, 1, List.of(dials)));
  }

  @Test
  void aNoteThatLetsThePhotographerMoveSomethingNeedsADialForAPlace() {
    assertThat(broken("Move the light to where the window is."))
        .singleElement()
        .asString()
        .contains("Shaft of light", "no dial for its place");
    assertThat(broken("Move the light to where the window is.", PLACE)).isEmpty();
    assertThat(broken("Brush it off the face.")).isEmpty();
  }

  @Test
  void aNoteThatSpeaksOfADialNeedsOne() {
    assertThat(broken("The dial sets the warmth.")).hasSize(1);
    assertThat(broken("The dial sets the warmth.", PLACE)).isEmpty();
  }

  @Test
  void aPlaceOfARuleOfTheMaskKeepsThePromiseToo() {
    Veil spot = Pictures.veil("light", Map.of("exposure", 1)).withMask(round());
    String note = "Drag the spot onto the head.";
    assertThat(Promises.broken(new Effect(List.of(spot), note, 1)))
        .singleElement()
        .asString()
        .contains("“Shape” of “Light”");
    Dial place = new Dial(spot.id(), "rule1.y", "Spot: down", 0, 100);
    assertThat(Promises.broken(new Effect(List.of(spot), note, 1, List.of(place)))).isEmpty();
  }

  private static Mask round() {
    return new Mask(Cover.BY_RULE, List.of(Pictures.rule("shape", Map.of("size", 40))));
  }
}
