package org.nineveils.region;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.nineveils.document.Json;
import org.nineveils.document.RegionsJson;
import org.nineveils.file.PictureReader;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.testing.Pictures;

class RegionsTest {
  static List<Path> masks() throws IOException {
    try (Stream<Path> all = Files.list(Path.of("src/test/resources/regions"))) {
      return all.sorted().toList();
    }
  }

  private static PhotoRegion painted(String name) {
    return new PhotoRegion(name, name, Mask.BRUSH_ON, false);
  }

  private static final String SHA = "ab".repeat(32);

  /** The masks that came with the test photos; kept once, they hold at any size. */
  @ParameterizedTest
  @MethodSource("masks")
  void aRegionReadFromAPictureHoldsAtEverySize(Path file) throws IOException {
    Picture grey = PictureReader.read(Files.readAllBytes(file), file.toString());
    PhotoRegions one = new PhotoRegions(List.of(painted("one").read(SHA)));
    for (int longSide : new int[] {400, 777, grey.longSide()}) {
      Picture wanted = Scaling.toLongSide(grey, longSide);
      float[] got = one.covers(Map.of(), wanted, sha -> grey).get("one");
      assertThat(got).hasSize(wanted.area().pixels());
      for (int i = 0; i < got.length; i += 13) {
        assertThat(got[i]).isEqualTo(wanted.r()[i], within(1e-5f));
      }
    }
    Picture twice = Pictures.flat(grey.width() * 2, grey.height() * 2, 0, 0, 0);
    float[] large = one.covers(Map.of(), twice, sha -> grey).get("one");
    double share = PhotoRegions.share(grey.r());
    assertThat(PhotoRegions.share(large)).isCloseTo(share, within(0.002));
  }

  @Test
  void whatIsPaintedOverAPictureMendsItAndAPictureThatIsGoneIsNothing() {
    Picture photo = Pictures.flat(40, 20, 0.5, 0.5, 0.5);
    Picture grey = Pictures.flat(40, 20, 0.6, 0.6, 0.6);
    PhotoRegions one = new PhotoRegions(List.of(painted("one").read(SHA)));
    Stroke off = new Stroke(List.of(0.25, -0.5, 0.25, 1.5), 0.5, 0, 0.5, 1, false);
    Stroke on = new Stroke(List.of(0.75, -0.5, 0.75, 1.5), 0.5, 0, 0.5, 1, true);
    Map<String, Paint> paint = Map.of("one", new Paint(List.of(off, on)));
    float[] mended = one.covers(paint, photo, sha -> grey).get("one");
    assertThat(mended[10 * 40 + 5]).isEqualTo(0.3f, within(1e-5f));
    assertThat(mended[10 * 40 + 33]).isEqualTo(0.8f, within(1e-5f));
    assertThat(one.covers(Map.of(), photo, sha -> null).get("one")).containsOnly(0);
  }

  @Test
  void whatIsLeftIsWhatNoOtherRegionTakes() {
    Picture photo = Pictures.flat(40, 20, 0.5, 0.5, 0.5);
    PhotoRegions regions =
        new PhotoRegions(
            List.of(
                painted("skin"),
                new PhotoRegion("rest", "background", Mask.BRUSH_ON, true),
                painted("hair")));
    Stroke left = new Stroke(List.of(0.25, -0.5, 0.25, 1.5), 0.5, 0, 1, 1, true);
    Stroke half = new Stroke(List.of(0.75, -0.5, 0.75, 1.5), 0.5, 0, 0.5, 1, true);
    Map<String, float[]> covers =
        regions.covers(
            Map.of("skin", new Paint(List.of(left)), "hair", new Paint(List.of(half))),
            photo,
            sha -> null);
    assertThat(covers.get("rest")[10 * 40 + 5]).isZero();
    assertThat(covers.get("rest")[10 * 40 + 32]).isEqualTo(0.5f, within(1e-5f));
    assertThat(PhotoRegions.share(covers.get("skin"))).isCloseTo(0.5, within(0.02));
    assertThat(PhotoRegions.share(covers.get("rest"))).isCloseTo(0.25, within(0.02));
  }

  @Test
  void regionsComeBackAsTheyWereAndWhatMeansNothingIsRefused() {
    Mask skin = new Mask(Cover.BY_RULE, List.of(Pictures.rule("skin", Map.of())));
    PhotoRegions regions =
        new PhotoRegions(
            List.of(
                new PhotoRegion("a", Regions.SKIN, skin, false),
                new PhotoRegion("b", "Grandmother’s shawl", Mask.BRUSH_ON, SHA, false),
                new PhotoRegion("c", Regions.BACKGROUND, Mask.BRUSH_ON, true)));
    String json = Json.write(RegionsJson.format(regions));
    assertThat(RegionsJson.parse(Json.read(json, "The regions"))).isEqualTo(regions);
    assertThatThrownBy(() -> new PhotoRegion("x", "skin", skin, SHA, false))
        .hasMessageContaining("by rule has no picture");
    assertThatThrownBy(
            () ->
                new PhotoRegions(
                    List.of(painted("eyes"), new PhotoRegion("x", " EYES", Mask.BRUSH_ON, false))))
        .hasMessageContaining("region “EYES” already");
    assertThatThrownBy(() -> new PhotoRegion("x", "all", Mask.EVERYWHERE, false))
        .hasMessageContaining("painted or found by rules");
    assertThatThrownBy(
            () ->
                new PhotoRegions(
                    List.of(
                        new PhotoRegion("x", "one", Mask.BRUSH_ON, true),
                        new PhotoRegion("y", "two", Mask.BRUSH_ON, true))))
        .hasMessageContaining("Only one region");
  }
}
