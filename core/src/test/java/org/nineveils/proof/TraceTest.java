package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.colour.Lab;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.proof.Trace.Respect;
import org.nineveils.proof.Trace.Step;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Veil;

class TraceTest {
  private static final Picture PHOTO = Pictures.photo("newborn-red-blotchy-skin");
  private static final Area SPOT = new Area(1150, 600, 9, 9);

  private static Veil veil(String kind, String name, Map<String, ?> settings) {
    Veil v = Pictures.veil(kind, settings);
    return new Veil(
        name, name, v.kind(), v.settings(), v.blend(), v.opacity(), false, v.mask(), "");
  }

  private static final Veil DARK = veil("light", "Even light", Map.of("exposure", -1));
  private static final Veil RED =
      veil("ink", "Blush", Map.of("middlesCyan", -30, "poppyCyan", -30));
  private static final Veil BLUR = veil("soft", "Air", Map.of("blur", 4));

  private static Trace trace(Bundle... bundles) {
    return Trace.of(PHOTO, SPOT, new Stack(List.of(bundles)), Manner.exact());
  }

  /** The last value is the median of the finished picture itself, surroundings included. */
  @Test
  void theStepsAddUpToTheFinishedPicture() {
    Bundle first = new Bundle(List.of(DARK, BLUR), Map.of(), 0.6);
    Bundle second = Bundle.of(List.of(RED));
    Trace trace = trace(first, second);
    Picture done = Renderer.render(PHOTO, SPOT, new Stack(List.of(first, second)), Manner.exact());
    double[] lightness = new double[done.r().length];
    for (int i = 0; i < lightness.length; i++) {
      lightness[i] = Lab.ofSrgb(done.r()[i], done.g()[i], done.b()[i]).l();
    }
    java.util.Arrays.sort(lightness);
    assertThat(trace.result().l()).isCloseTo(lightness[lightness.length / 2], within(1e-9));
    double sum = trace.plain().l();
    for (Step step : trace.steps()) {
      sum += step.added(Respect.LIGHTNESS);
    }
    assertThat(sum).isCloseTo(trace.result().l(), within(1e-9));
    assertThat(trace.steps()).extracting(Step::bundle).containsExactly(0, 0, 1);
  }

  @Test
  void aVeilThatDoesNotCoverTheSpotAddsNothing() {
    Veil hidden = RED.withMask(Mask.BRUSH_ON);
    Trace trace = trace(Bundle.of(List.of(DARK, hidden)));
    assertThat(trace.steps().get(1).added(Respect.RED_GREEN)).isZero();
    Trace painted = trace(new Bundle(List.of(hidden), Map.of("Blush", Paint.filled(true)), 1));
    assertThat(painted.steps().get(0).added(Respect.RED_GREEN)).isGreaterThan(2);
  }

  @Test
  void liftedVeilsAndBundlesWithoutOpacityTakeNoStep() {
    Trace trace =
        trace(Bundle.of(List.of(DARK.withLifted(true))), new Bundle(List.of(RED), Map.of(), 0));
    assertThat(trace.steps()).isEmpty();
    assertThat(trace.result()).isEqualTo(trace.plain());
    assertThat(Culprits.of(trace)).hasSize(1);
    assertThat(Culprits.of(trace).get(0)).startsWith("No veil changes");
  }

  @Test
  void theSentenceNamesTheVeilThatDarkenedOrReddenedTheSpotMost() {
    Veil little = veil("light", "Third less", Map.of("exposure", -0.1));
    List<String> said = Culprits.of(trace(Bundle.of(List.of(little, DARK))));
    assertThat(said.get(0)).startsWith("“Even light” darkened it most, by −");
    assertThat(Culprits.of(trace(Bundle.of(List.of(RED, BLUR)))))
        .anyMatch(s -> s.startsWith("“Blush” reddened it most, by +"));
  }

  /** Chroma is the distance from the grey axis: CIE 15, C*ab = √(a*² + b*²). */
  @Test
  void saturationIsTheDistanceFromGrey() {
    assertThat(Respect.CHROMA.of(new Lab(50, 3, -4))).isEqualTo(5);
  }
}
