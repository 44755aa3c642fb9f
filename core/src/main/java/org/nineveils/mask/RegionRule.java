package org.nineveils.mask;

import java.util.List;
import org.nineveils.filter.Plane;
import org.nineveils.filter.Stretched;
import org.nineveils.picture.Area;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * Where a known area of one photo lies. It is no sort that files know: the area belongs to the
 * photo, and the rule is made from one picture of it.
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

  /** See {@link RuleKind#prepare}; between its own pixels by straight lines at another size. */
  @Override
  public Weigher prepare(SettingValues values, int wide, int high) {
    float[] own = wide == width && wide * high == cover.length ? cover : sized(wide, high);
    return (plain, from, n, x, y, out, at) -> System.arraycopy(own, y * wide + x, out, at, n);
  }

  private float[] sized(int wide, int high) {
    Area all = new Area(0, 0, wide, high);
    Plane plane = new Plane(new Area(0, 0, width, cover.length / width), cover);
    return Stretched.to(Stretched.Place.whole(all), 1, all, plane).values();
  }
}
