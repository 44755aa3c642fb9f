package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.nineveils.app.photo.photos.Side;
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
                        false,
                        ""))
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
    assertThat(read).as("putting on reads what goes on, to know how far").containsExactly("7", "3");
    fitting.stack(effects);
    fitting.stack(effects);
    assertThat(read).containsExactly("7", "3");
    assertThat(effects.apply("no such effect")).isNull();
  }

  private static Wardrobe kit(String title, String key, List<String> read) {
    Offer offer = new Offer(key, "Of " + title, 2, "Looks", StackingRule.ONE_AT_A_TIME, 1);
    List<Wardrobe.Piece> pieces = List.of(new Wardrobe.Piece(offer, "", false, ""));
    return new Wardrobe(
        title,
        "/",
        Side.WALL,
        pieces,
        List::of,
        k -> {
          read.add(title + " " + k);
          return Effect.empty();
        });
  }

  /** Two kits may have effects of the same key; each is read from its own, over the kit before. */
  @Test
  void effectsOfAnotherKitGoOverAllOfTheFirstAndAreReadFromTheirOwn() {
    List<String> read = new ArrayList<>();
    Wardrobe both = kit("A", "7", read).with(java.util.Map.of("kit:9", kit("B", "7", read)));
    assertThat(both.offers().keySet()).containsExactly("7", "kit:9#7");
    Offer other = both.offers().get("kit:9#7");
    assertThat(other.section()).isGreaterThan(both.offers().get("7").section());
    assertThat(other.section() % 100).isEqualTo(2);
    assertThat(other.sectionName()).isEqualTo("B, Looks");
    Fitting worn = Fitting.plain();
    for (String key : List.of("kit:9#7", "7")) {
      worn =
          worn.wear(both.offers().get(key), both.offers(), both.effects(), Fitting.Answer.NONE)
              .fitting();
    }
    assertThat(worn.worn()).extracting(w -> w.effect()).containsExactly("7", "kit:9#7");
    read.clear();
    worn.stack(both.effects());
    assertThat(read).containsExactly("A 7", "B 7");
    assertThat(both.effects().apply("kit:8#7")).isNull();
  }
}
