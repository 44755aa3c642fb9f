package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.proof.measure.Finished;
import org.nineveils.proof.measure.Pair;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;

class SuitingTest {
  private static final Path PHOTOS = Path.of("../demo/photos");

  private static Picture photo(String name) {
    return Scaling.toLongSide(PictureReader.read(PHOTOS.resolve(name + ".jpg")), Pair.LONG_SIDE);
  }

  private static Effect light(String settings, String mask, String more) {
    String doc =
        """
        {"veils":[{"id":"v1","name":"Light","kind":"light","settings":{%s},"blend":"normal",
          "opacity":1,"lifted":false,"mask":{"cover":"%s"},"meantFor":"eyes"}],
         "note":"","edition":1,"dials":[]%s}"""
            .formatted(settings, mask, more);
    return EffectJson.parse(Json.read(doc, "The effect"));
  }

  private static Suiting on(String photo, Effect effect, Limits limits) {
    Suiting.Photo ready = Suiting.Photo.of(photo(photo), photo(photo));
    Finished finished =
        Trial.on(ready.plain(), Stack.of(Bundle.of(effect, Map.of())), Manner.exact());
    return Suiting.of(ready, effect, finished, limits);
  }

  private static Suiting on(String photo, Effect effect) {
    return on(photo, effect, new Limits(Map.of(), Set.of("skin-changed", "skin-lightness")));
  }

  @Test
  void moreLightHelpsADarkPhotoAndDoesNotHelpALightOne() {
    Effect stop = light("\"exposure\":1", "everywhere", "");
    Suiting dark = on("portrait-underexposed-cool-open-shade", stop);
    assertThat(dark.sort()).isEqualTo(Suiting.Sort.HELPS);
    assertThat(dark.reason()).matches("lifts a dark photo, lightness \\d\\d to \\d\\d");
    assertThat(on("portrait-pale-skin-high-key", stop).sort()).isEqualTo(Suiting.Sort.OVER);
  }

  @Test
  void whatTakesACastOutHelpsAndWhatAddsOneDoesNot() {
    String shade = "portrait-underexposed-cool-open-shade";
    Suiting out = on(shade, light("\"temperature\":35", "everywhere", ""));
    Suiting in = on(shade, light("\"temperature\":-35", "everywhere", ""));
    assertThat(out.reason()).startsWith("takes a blue cast out, ");
    assertThat(in.sort()).isNotEqualTo(Suiting.Sort.HELPS);
    assertThat(Stream.of(in, out).sorted(Suiting.BEST_FIRST)).first().isEqualTo(out);
  }

  @Test
  void whatIsBrushedOnIsLeftToTheHandAndWhatHardlyShowsIsSaidToo() {
    Suiting eyes = on("pet-ginger-cat", light("\"exposure\":1", "brush-on", ""));
    assertThat(eyes.sort()).isEqualTo(Suiting.Sort.BY_HAND);
    assertThat(eyes.reason()).isEqualTo("brushed on: eyes");
    assertThat(on("pet-ginger-cat", light("\"exposure\":0.02", "everywhere", "")).sort())
        .isEqualTo(Suiting.Sort.FAINT);
  }

  @Test
  void limitsOfItsOwnCountAndOverComesLast() {
    Effect third = light("\"exposure\":0.5", "everywhere", "");
    Limits strict = new Limits(Map.of("strength", 1.0), Set.of());
    Suiting over = on("portrait-light-skin-studio", third, strict);
    assertThat(over.sort()).isEqualTo(Suiting.Sort.OVER);
    assertThat(over.reason()).startsWith("over: strength ").contains("limit 1");
    Suiting within = on("portrait-light-skin-studio", light("\"contrast\":15", "everywhere", ""));
    assertThat(within.sort()).isEqualTo(Suiting.Sort.WITHIN);
    assertThat(List.of(over, within).stream().sorted(Suiting.BEST_FIRST)).last().isEqualTo(over);
  }

  @Test
  void whatIsMadeForDarkPhotosIsNotForOthersAndSortsOfPhotoSpeakAgainstNothing() {
    Effect dark = light("\"contrast\":15", "everywhere", ",\"madeFor\":[\"too dark\"]");
    assertThat(on("portrait-light-skin-studio", dark).sort()).isEqualTo(Suiting.Sort.ELSEWHERE);
    assertThat(on("portrait-light-skin-studio", dark).reason()).contains("too dark");
    Effect born = light("\"contrast\":15", "everywhere", ",\"madeFor\":[\"newborn\"]");
    assertThat(on("portrait-light-skin-studio", born).sort()).isEqualTo(Suiting.Sort.WITHIN);
  }
}
