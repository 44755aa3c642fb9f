package org.nineveils.mask;

import java.util.List;
import org.nineveils.setting.Handle;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * By shape: a round spot, or one side of a straight line. The place is a share of width and height,
 * sizes are shares of the long side. Round: 1 within the size, falling to 0 over the feather. The
 * straightness turns the spot into the side of a line that the angle points away from.
 */
final class ShapeRule implements RuleKind {
  static final NumberSetting X = place("x", "From left");
  static final NumberSetting Y = place("y", "From top");
  static final NumberSetting SIZE = new NumberSetting("size", "Size", "", "%", 0, 100, 1, 20.0);
  static final NumberSetting FEATHER =
      new NumberSetting("feather", "Feather", "", "%", 0, 100, 1, 20.0);
  static final NumberSetting STRAIGHT =
      new NumberSetting("straight", "Straight", "", "%", 0, 100, 1, 0.0);
  static final NumberSetting ANGLE =
      new NumberSetting("angle", "Angle", "", "°", -180, 180, 1, 90.0);

  private static NumberSetting place(String key, String label) {
    return new NumberSetting(key, label, "", "%", 0, 100, 0.5, 50.0);
  }

  @Override
  public String id() {
    return "shape";
  }

  @Override
  public String label() {
    return "By shape";
  }

  @Override
  public List<Handle> handles() {
    return List.of(
        Handle.point("Shape", null, X, Y).turned(ANGLE).reaching(SIZE, Handle.Ruler.LONG_SIDE));
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(X, Y, SIZE, FEATHER, STRAIGHT, ANGLE, AMOUNT);
  }

  @Override
  public boolean looksAtPhoto() {
    return false;
  }

  @Override
  public Weigher prepare(SettingValues v, int width, int height) {
    float longSide = Math.max(width, height);
    float cx = (float) (width * v.share(X));
    float cy = (float) (height * v.share(Y));
    float size = (float) v.share(SIZE);
    float feather = Math.max(1 / longSide, (float) v.share(FEATHER));
    float straight = (float) v.share(STRAIGHT);
    float cos = (float) Math.cos(Math.toRadians(v.number(ANGLE)));
    float sin = (float) Math.sin(Math.toRadians(v.number(ANGLE)));
    return (plain, first, n, x, y, out, at) -> {
      float dy = (y + 0.5f - cy) / longSide;
      for (int i = 0; i < n; i++) {
        float dx = (x + i + 0.5f - cx) / longSide;
        float round = (float) Math.sqrt(dx * dx + dy * dy);
        float along = dx * cos + dy * sin;
        float far = round + (along - round) * straight;
        out[at + i] = RuleKind.smooth((size - far) / feather + 1);
      }
    };
  }
}
