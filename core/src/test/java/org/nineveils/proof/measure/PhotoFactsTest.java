package org.nineveils.proof.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.colour.Lab;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.region.Regions;
import org.nineveils.testing.Pictures;

class PhotoFactsTest {
  private static PhotoFacts facts(String photo) throws IOException {
    Picture plain = Scaling.toLongSide(Pictures.photo(photo), Pair.LONG_SIDE);
    Path mask = Path.of("../demo/regions", photo, "skin.png");
    Picture skin = PictureReader.read(Files.readAllBytes(mask), "skin.png");
    float[] cover = Scaling.toLongSide(skin, Pair.LONG_SIDE).r();
    return PhotoFacts.of(new Plain(plain, Map.of(Regions.SKIN, cover)));
  }

  /** What the list that came with the test photos says of each. */
  @ParameterizedTest
  @CsvSource({
    "portrait-pale-skin-high-key, very light",
    "portrait-light-skin-studio, very light",
    "portrait-medium-skin-warm-studio, intermediate",
    "portrait-brown-skin-window, brown",
    "newborn-brown-skin-even, brown",
    "portrait-deep-skin-studio, dark",
    "portrait-deep-skin-back-light, dark",
  })
  void skinIsAsDeepAsThePhotoIsMadeFor(String photo, String word) throws IOException {
    assertThat(facts(photo).depth().orElseThrow().word()).isEqualTo(word);
  }

  @ParameterizedTest
  @CsvSource({"portrait-underexposed-cool-open-shade", "portrait-backlit-green-grass"})
  void underAColourCastSkinIsNotJudged(String photo) throws IOException {
    assertThat(facts(photo).hasCast()).isTrue();
    assertThat(facts(photo).depth()).isEmpty();
  }

  @Test
  void sharesNearBlackAndWhiteLightnessAndCastAreCounted() {
    double[] warm = new Lab(60, 2, 6).toSrgb();
    Picture p = Pictures.flat(100, 10, warm[0], warm[1], warm[2]);
    for (int y = 0; y < 10; y++) {
      for (int x = 0; x < 30; x++) {
        float v = x < 10 ? 0.02f : 0.98f;
        p.r()[y * 100 + x] = v;
        p.g()[y * 100 + x] = v;
        p.b()[y * 100 + x] = v;
      }
    }
    PhotoFacts facts = PhotoFacts.of(new Plain(p, Map.of()));
    assertThat(facts.nearBlack()).isCloseTo(0.1, within(1e-9));
    assertThat(facts.nearWhite()).isCloseTo(0.2, within(1e-9));
    assertThat(facts.lightness()).isCloseTo(60, within(0.1));
    assertThat(facts.neutral().b()).isCloseTo(6 * 0.7, within(0.1));
    assertThat(facts.skin()).isNull();
    assertThat(facts.depth()).isEmpty();
    Picture red = Pictures.flat(20, 20, 0.8, 0.1, 0.1);
    assertThat(PhotoFacts.of(new Plain(red, Map.of())).neutral()).isNull();
  }
}
