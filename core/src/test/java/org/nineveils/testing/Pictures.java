package org.nineveils.testing;

import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.file.PictureReader;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Rule;
import org.nineveils.mask.RuleKind;
import org.nineveils.mask.RuleKinds;
import org.nineveils.picture.Picture;
import org.nineveils.setting.SettingValues;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/** Pictures and veils that tests work on. */
public final class Pictures {
  /** Name of a picture that veils may lay over others. */
  public static final String TEXTURE = "cd".repeat(32);

  /** Name of a colour table. */
  public static final String TABLE = "ef".repeat(32);

  private static final Picture TABLE_ON_THE_SHELF = random(9, 3, 78);
  private static final Picture ON_THE_SHELF = random(80, 50, 77);

  /** Exact, with {@link #TEXTURE} and {@link #TABLE} on the shelf. */
  public static final Manner MANNER =
      Manner.exact()
          .picturesFrom(
              sha ->
                  Optional.ofNullable(
                      Map.of(TEXTURE, ON_THE_SHELF, TABLE, TABLE_ON_THE_SHELF).get(sha)));

  private Pictures() {}

  /** Evenly random colours, the same for the same seed. */
  public static Picture random(int width, int height, long seed) {
    Random random = new Random(seed);
    Picture p = Picture.blank(width, height);
    for (float[] plane : new float[][] {p.r(), p.g(), p.b()}) {
      for (int i = 0; i < plane.length; i++) {
        plane[i] = random.nextFloat();
      }
    }
    return p;
  }

  /** One colour all over. */
  public static Picture flat(int width, int height, double r, double g, double b) {
    Picture p = Picture.blank(width, height);
    java.util.Arrays.fill(p.r(), (float) r);
    java.util.Arrays.fill(p.g(), (float) g);
    java.util.Arrays.fill(p.b(), (float) b);
    return p;
  }

  /** Grey steps from black to white in one row. */
  public static Picture ramp(int width) {
    Picture p = Picture.blank(width, 1);
    for (int i = 0; i < width; i++) {
      float v = i / (float) (width - 1);
      p.r()[i] = v;
      p.g()[i] = v;
      p.b()[i] = v;
    }
    return p;
  }

  /** One of the computer-made photos of the demo. */
  public static Picture photo(String name) {
    return PictureReader.read(Path.of("../demo/photos/" + name + ".jpg"));
  }

  /** A veil of a kind at full opacity, everywhere, blend mode normal. */
  public static Veil veil(String kindId, Map<String, ?> settings) {
    VeilKind kind = Kinds.ofId(kindId);
    return new Veil(
        "v-" + kindId,
        kind.label(),
        kind,
        SettingValues.parse(kind.settings(), settings),
        BlendMode.NORMAL,
        1,
        false,
        Mask.EVERYWHERE,
        "");
  }

  /** A picture through veils. */
  public static Picture through(Picture picture, Veil... veils) {
    Stack stack = Stack.of(Bundle.of(java.util.List.of(veils)));
    return Renderer.render(picture, picture.area(), stack, MANNER);
  }

  /** The largest difference of any value, 0…1. */
  public static double farthest(Picture a, Picture b) {
    double most = 0;
    float[][] planesA = {a.r(), a.g(), a.b()};
    float[][] planesB = {b.r(), b.g(), b.b()};
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < planesA[c].length; i++) {
        most = Math.max(most, Math.abs(planesA[c][i] - planesB[c][i]));
      }
    }
    return most;
  }

  /** Whether two pictures agree in every bit. */
  public static boolean same(Picture a, Picture b) {
    return a.width() == b.width()
        && a.height() == b.height()
        && java.util.Arrays.equals(a.r(), b.r())
        && java.util.Arrays.equals(a.g(), b.g())
        && java.util.Arrays.equals(a.b(), b.b());
  }

  /** A rule of a mask, with the settings named and all others at their start. */
  public static Rule rule(String kindId, Map<String, ?> settings) {
    RuleKind kind = RuleKinds.ofId(kindId);
    return new Rule(kind, SettingValues.parse(kind.settings(), settings), Rule.Join.AND, false);
  }
}
