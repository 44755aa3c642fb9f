package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;
import org.nineveils.kit.StackingRule;
import org.nineveils.kit.Worn;
import org.nineveils.veil.Effect;

class LookNameTest {
  private static final Wardrobe WARDROBE =
      new Wardrobe(
          "First Weeks 1.0",
          "/",
          Side.DESK,
          Stream.of("Milk", "Slate", "Rim", "Dove", "Oat")
              .map(
                  name ->
                      new Wardrobe.Piece(
                          new Offer(name, name, 1, "S", StackingRule.STACK_FREELY, 1),
                          "",
                          false,
                          ""))
              .toList(),
          List::of,
          key -> Effect.empty());

  private static String named(Worn... worn) {
    return LookName.of(new Fitting(Arrays.asList(worn)), WARDROBE);
  }

  /** Colour and black-and-white of one photo came out under one name. */
  @Test
  void aLookIsCalledAfterWhatIsSeenOfIt() {
    Worn lifted = Worn.fresh("Rim").hung(true, false);
    assertThat(named(Worn.fresh("Milk"), lifted)).isEqualTo("Milk");
    assertThat(named(Worn.fresh("Milk"), Worn.fresh("Slate"))).isEqualTo("Milk, Slate");
    assertThat(named(Worn.fresh("gone"), Worn.fresh("Slate"))).isEqualTo("Slate");
    assertThat(
            named(
                Stream.of("Milk", "Slate", "Rim", "Dove", "Oat")
                    .map(Worn::fresh)
                    .toArray(Worn[]::new)))
        .isEqualTo("Milk, Slate, Rim, Dove and more");
  }

  @Test
  void whereNothingIsSeenItIsCalledAfterTheCollection() {
    assertThat(named()).isEqualTo("First Weeks 1.0");
    assertThat(named(Worn.fresh("Rim").hung(true, false))).isEqualTo("First Weeks 1.0");
  }
}
