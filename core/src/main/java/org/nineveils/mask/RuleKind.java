package org.nineveils.mask;

import java.util.List;
import org.nineveils.picture.Picture;
import org.nineveils.setting.Handle;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * A sort of rule by which a mask is worked out afresh on every photo. A sort is one class and one
 * line in {@link RuleKinds}.
 */
public interface RuleKind {
  /** How much the rule counts: at 0 it selects nothing. Every sort has it. */
  NumberSetting AMOUNT = new NumberSetting("amount", "Amount", "", "%", 0, 100, 1, 100.0);

  /** Name in files; never changed once released. */
  String id();

  /** Name on screens. */
  String label();

  /** What it takes besides what it is for, in one sentence; empty for most sorts. */
  default String caution() {
    return "";
  }

  /** Descriptors of its settings, {@link #AMOUNT} last. */
  List<Setting<?>> settings();

  /** Settings that are set on the picture itself; none for most sorts. */
  default List<Handle> handles() {
    return List.of();
  }

  /**
   * Whether it goes by what the photo shows, and not by place alone. Then it is decided on the
   * small photo; see {@link SmallPhoto}.
   */
  default boolean looksAtPhoto() {
    return true;
  }

  /**
   * Prepares the rule.
   *
   * @param values valid values of {@link #settings}
   * @param width of the whole picture, pixels
   * @param height of the whole picture, pixels
   */
  Weigher prepare(SettingValues values, int width, int height);

  /**
   * The same for a sort that must see all of the photo before it can say anything of a pixel.
   *
   * @param photo on which it decides
   */
  default Weigher prepare(SettingValues values, Picture photo) {
    return prepare(values, photo.width(), photo.height());
  }

  /** Says how much each pixel of a run is selected. */
  interface Weigher {
    /**
     * Weighs a run of pixels of one row.
     *
     * @param plain the plain photo's planes: red, green, blue, encoded 0…1
     * @param from index of the first pixel in the planes
     * @param x its column in the whole picture
     * @param y its row
     * @param out receives n weights, 0…1, from {@code at} on
     */
    void weigh(float[][] plain, int from, int n, int x, int y, float[] out, int at);
  }

  /** Rises by 3t² − 2t³ from 0 to 1 while t goes from 0 to 1. */
  static float smooth(float t) {
    float v = Math.min(1f, Math.max(0f, t));
    return v * v * (3 - 2 * v);
  }
}
