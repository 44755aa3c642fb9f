package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.nineveils.file.PictureReader;
import org.nineveils.mask.Guard;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Plain;
import org.nineveils.region.Regions;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;

class PlainWordsTest {
  private static final Pattern FIGURES = Pattern.compile("[0-9%°*]|L\\*|ΔE");

  private static Pair through(String kind, Map<String, Object> settings) {
    Picture photo =
        Scaling.toLongSide(
            PictureReader.read(
                java.nio.file.Path.of("../demo/photos/portrait-light-skin-studio.jpg")),
            Pair.LONG_SIDE);
    Plain plain = Plain.of(photo, photo, Map.of(Regions.SKIN, Guard.skinOf(photo)));
    Stack stack = Stack.of(Bundle.of(List.of(Pictures.veil(kind, settings))));
    return new Pair(plain, Trial.on(plain, stack, Manner.exact()));
  }

  private static Map<String, String> words(Pair pair) {
    List<LiveWords.Line> lines = PlainWords.of(pair, Readings.of(pair));
    assertThat(lines).noneMatch(l -> FIGURES.matcher(l.words()).find());
    Map<String, String> out = new java.util.HashMap<>();
    lines.forEach(l -> out.put(l.name(), l.words()));
    return out;
  }

  @Test
  void itIsSaidWithoutFiguresHowFarAPhotoMoved() {
    assertThat(words(through("light", Map.of("exposure", 0.0))))
        .containsEntry("Skin", "as it was")
        .containsEntry("Contrast", "as it was")
        .containsEntry("Whites", "as they were");
    assertThat(words(through("light", Map.of("exposure", 0.15))).get("Skin")).contains("lighter");
    assertThat(words(through("light", Map.of("exposure", 1.5))))
        .hasEntrySatisfying("Skin", s -> assertThat(s).contains("much lighter"))
        .hasEntrySatisfying("Whites", w -> assertThat(w).endsWith("white lost"));
    assertThat(words(through("light", Map.of("exposure", -0.5))).get("Skin")).contains("darker");
    assertThat(words(through("light", Map.of("contrast", -60))).get("Contrast")).endsWith("less");
  }

  @Test
  void greySkinIsNoWarningInABlackAndWhiteAndIsOneInColour() {
    Pair grey = through("tint", Map.of("monochrome", 100));
    assertThat(words(grey)).containsEntry("Skin", "in black and white");
    Limits strict = new Limits(Map.of("skin-changed", 1.0, "strength", 1.0), java.util.Set.of());
    List<Verdict> verdicts = Readings.of(grey).verdicts(strict, id -> "");
    assertThat(verdicts)
        .filteredOn(v -> v.measure().id().equals("strength"))
        .allMatch(v -> PlainWords.isChosen(grey, v));
    Pair lighter = through("light", Map.of("exposure", 1.0));
    assertThat(Readings.of(lighter).verdicts(strict, id -> ""))
        .noneMatch(v -> PlainWords.isChosen(lighter, v));
  }

  @Test
  void everyMeasureHasPlainWords() {
    Pair pair = through("light", Map.of("exposure", 0.5));
    assertThat(Readings.of(pair).verdicts(Limits.START, id -> ""))
        .allSatisfy(v -> assertThat(FIGURES.matcher(PlainWords.of(v)).find()).isFalse());
    assertThat(Measures.all()).isNotEmpty();
  }
}
