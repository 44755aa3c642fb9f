package org.nineveils.mask;

import java.util.List;
import java.util.Locale;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * Where a known area of one photo lies. It is no sort that files know: the area belongs to the
 * photo, and the rule is made for one picture at one size.
 *
 * @param cover coverage of every pixel of the whole picture, 0…1; not copied
 * @param width of that picture, pixels
 */
@SuppressWarnings("ArrayRecordComponent") // one plane of coverage, handed over
public record RegionRule(float[] cover, int width) implements RuleKind {
  /** A rule that selects the area. */
  public static Rule of(float[] cover, int width) {
    RegionRule kind = new RegionRule(cover, width);
    return new Rule(kind, SettingValues.start(kind.settings()), Rule.Join.AND, false);
  }

  @Override
  public String id() {
    return "region";
  }

  @Override
  public String label() {
    return "Region";
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(AMOUNT);
  }

  @Override
  public boolean looksAtPhoto() {
    return false;
  }

  /**
   * See {@link RuleKind#prepare}.
   *
   * @throws IllegalArgumentException if the picture has another size than the area was given at
   */
  @Override
  public Weigher prepare(SettingValues values, int wide, int high) {
    if (wide != width || wide * high != cover.length) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "the region was given for %d pixels a row, the picture has %d × %d",
              width,
              wide,
              high));
    }
    return (plain, from, n, x, y, out, at) -> System.arraycopy(cover, y * width + x, out, at, n);
  }
}
