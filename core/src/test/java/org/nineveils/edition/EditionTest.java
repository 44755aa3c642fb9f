package org.nineveils.edition;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.RuleKind;
import org.nineveils.mask.RuleKinds;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;
import org.nineveils.testing.RandomSettings;
import org.nineveils.veil.Editions;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/**
 * What an edition makes of a picture is stored; whoever moves pixels sees it here. While an edition
 * is open its pictures are made anew with -Dnineveils.writeEdition=true and looked at; once it is
 * closed they stay as they are, and other pixels need another edition.
 */
class EditionTest {
  private static final Path STORED = Path.of("src/test/resources/editions");

  /**
   * Codes of 16 bits that other machines may be apart by: their powers and roots differ a little.
   */
  private static final double APART = 3.0 / 65535;

  private static Picture photo() {
    Picture photo = Scaling.toLongSide(Pictures.photo("portrait-medium-skin-warm-studio"), 96);
    Picture ramp = Pictures.random(photo.width(), photo.height(), 40);
    for (int i = 0; i < photo.width() * 8; i++) { // eight rows of any colours
      photo.r()[i] = ramp.r()[i];
      photo.g()[i] = ramp.g()[i];
      photo.b()[i] = ramp.b()[i];
    }
    return photo;
  }

  /**
   * Each kind by its sample and by settings at random, blend modes, rules, paint, a mixed bundle.
   */
  private static Map<String, Bundle> bundles(int edition) {
    Map<String, Bundle> out = new LinkedHashMap<>();
    for (VeilKind kind : Kinds.all()) {
      out.put(
          "kind-" + kind.id(), bundle(List.of(Pictures.veil(kind.id(), kind.sample())), edition));
      List<Veil> veils =
          List.of(Pictures.veil(kind.id(), RandomSettings.of(kind.id(), kind.settings())));
      out.put("kind-" + kind.id() + "-other", bundle(veils, edition));
    }
    Veil light = Pictures.veil("light", Map.of("exposure", 1, "temperature", 20));
    List<Veil> blended = new ArrayList<>();
    for (BlendMode mode : BlendMode.values()) {
      blended.add(
          new Veil(
              mode.name(),
              "b",
              light.kind(),
              light.settings(),
              mode,
              0.3,
              false,
              light.mask(),
              ""));
    }
    out.put("blend-modes", bundle(blended, edition));
    for (RuleKind rule : RuleKinds.all()) {
      // A rule by picked colours takes nothing until one was picked.
      Map<String, Object> values =
          rule.id().equals("picked") ? Map.of("colours", List.of("#b98b74")) : Map.of();
      Mask mask = new Mask(Cover.BY_RULE, List.of(Pictures.rule(rule.id(), values)), 6, 4);
      out.put("rule-" + rule.id(), bundle(List.of(light.withMask(mask)), edition));
    }
    Paint paint =
        new Paint(
            List.of(
                new Stroke(List.of(0.2, 0.3, 0.5, 0.6), 0.2, 0.5, 0.8, 0.5, true),
                new Stroke(List.of(0.4, 0.4), 0.1, 0, 1, 1, false)));
    List<Veil> painted = List.of(light.withMask(Mask.BRUSH_ON));
    out.put(
        "painted",
        new Bundle(painted, Map.of(light.id(), paint), 0.7, Mask.BRUSH_ON, paint, edition));
    return out;
  }

  private static Bundle bundle(List<Veil> veils, int edition) {
    return new Bundle(veils, Map.of(), 1, Mask.EVERYWHERE, Paint.NONE, edition);
  }

  @Test
  void everyEditionMakesWhatItAlwaysMade() throws IOException {
    Picture photo = photo();
    for (int edition = 1; edition <= Editions.current(); edition++) {
      Path folder = STORED.resolve(String.valueOf(edition));
      for (Map.Entry<String, Bundle> one : bundles(edition).entrySet()) {
        Picture made =
            Renderer.render(photo, photo.area(), Stack.of(one.getValue()), Pictures.MANNER);
        Path file = folder.resolve(one.getKey() + ".png");
        if (Boolean.getBoolean("nineveils.writeEdition")) {
          Files.createDirectories(folder);
          Files.write(file, PictureWriter.png16(made));
        }
        assertThat(Pictures.farthest(photo, made))
            .as("%s does something", one.getKey())
            .isGreaterThan(100 * APART);
        assertThat(Pictures.farthest(PictureReader.read(file), made))
            .as("edition %d, %s", edition, one.getKey())
            .isLessThan(APART);
      }
    }
  }
}
