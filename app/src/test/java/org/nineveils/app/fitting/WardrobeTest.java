package org.nineveils.app.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.nineveils.app.photos.Side;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;
import org.nineveils.kit.StackingRule;
import org.nineveils.veil.Effect;

class WardrobeTest {
  /** A kit of 65 effects: only what the photo wears is read, and that once. */
  @Test
  void onlyWhatIsWornIsReadAndOnce() {
    List<Wardrobe.Piece> pieces =
        IntStream.range(0, 65)
            .mapToObj(
                i ->
                    new Wardrobe.Piece(
                        new Offer("" + i, "E" + i, 1, "S", StackingRule.STACK_FREELY, i),
                        "",
                        false))
            .toList();
    List<String> read = new ArrayList<>();
    Wardrobe wardrobe =
        new Wardrobe(
            "Kit",
            "/",
            Side.WALL,
            pieces,
            List::of,
            key -> {
              read.add(key);
              return Effect.empty();
            });
    var effects = wardrobe.effects();
    Fitting fitting = Fitting.plain();
    for (String key : List.of("7", "3")) {
      Offer offer = wardrobe.offers().get(key);
      fitting = fitting.wear(offer, wardrobe.offers(), effects, Fitting.Answer.NONE).fitting();
    }
    assertThat(read).as("putting on reads nothing where nothing asks").isEmpty();
    fitting.stack(effects);
    fitting.stack(effects);
    assertThat(read).containsExactly("3", "7");
    assertThat(effects.apply("no such effect")).isNull();
  }
}
