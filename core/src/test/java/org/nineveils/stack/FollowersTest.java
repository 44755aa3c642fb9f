package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** One painting serves several veils. */
class FollowersTest {
  private static final Picture PHOTO = Pictures.random(80, 60, 4);
  private static final Veil EYES =
      Pictures.veil("light", Map.of("exposure", 1.0)).withMask(Mask.BRUSH_ON);
  private static final Veil MORE =
      Pictures.veil("crisp", Map.of("sharp", 90)).withMask(Mask.as(EYES.id()));
  private static final Paint STROKE =
      new Paint(List.of(new Stroke(List.of(0.4, 0.3, 0.6, 0.4), 0.2, 0.5, 1, 1, true)));

  private static Picture rendered(List<Veil> veils, Map<String, Paint> paint) {
    return Renderer.render(PHOTO, Stack.of(new Bundle(veils, paint, 1)));
  }

  @Test
  void whatIsPaintedForOneIsPaintedForItsFollower() {
    Picture twice =
        rendered(
            List.of(EYES, MORE.withMask(Mask.BRUSH_ON)),
            Map.of(EYES.id(), STROKE, MORE.id(), STROKE));
    Picture once = rendered(List.of(EYES, MORE), Map.of(EYES.id(), STROKE));
    assertThat(Pictures.same(once, twice)).isTrue();
    Picture before = rendered(List.of(MORE, EYES), Map.of(EYES.id(), STROKE));
    assertThat(Pictures.same(before, PHOTO)).as("the order does not matter").isFalse();
  }

  /** A spare veil that is let down later covers at once what its sister was painted on. */
  @Test
  void aLiftedVeilIsFollowedAsWell() {
    Picture spare = rendered(List.of(EYES.withLifted(true), MORE), Map.of(EYES.id(), STROKE));
    Picture alone = rendered(List.of(MORE.withMask(Mask.BRUSH_ON)), Map.of(MORE.id(), STROKE));
    assertThat(Pictures.same(spare, alone)).isTrue();
  }

  @Test
  void aFollowerThatIsLeftBehindKeepsTheMask() {
    Effect effect = new Effect(List.of(EYES, MORE), "", 1);
    assertThat(effect.withVeils(List.of(MORE)).veils().get(0).mask()).isEqualTo(Mask.BRUSH_ON);
  }

  @Test
  void followingComesBackFromADocument() {
    Effect effect = new Effect(List.of(EYES, MORE), "", 1);
    String json = Json.write(EffectJson.format(effect));
    assertThat(EffectJson.parse(Json.read(json, "The effect"))).isEqualTo(effect);
  }

  @Test
  void noVeilFollowsItselfOneThatFollowsOrOneThatIsNotThere() {
    assertRefused(List.of(MORE), "a veil that is not there");
    assertRefused(List.of(EYES.withMask(Mask.as(EYES.id()))), "as itself");
    Veil third = Pictures.veil("tint", Map.of()).withMask(Mask.as(MORE.id()));
    assertRefused(List.of(EYES, MORE, third), "which follows a veil itself");
  }

  private static void assertRefused(List<Veil> veils, String why) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Effect(veils, "", 1))
        .withMessageContaining(why);
  }
}
