package org.nineveils.setting;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** A setting that is a tone curve: 2 to 16 points, each further right than the one before. */
public record CurveSetting(String key, String label, String group)
    implements Setting<List<CurvePoint>> {
  /** Fewest points of a curve. */
  public static final int MIN_POINTS = 2;

  /** Most points of a curve. */
  public static final int MAX_POINTS = 16;

  /** Smallest distance between two points, in input tone; half a step of 8 bits. */
  public static final double MIN_GAP = 1.0 / 512;

  @Override
  public <R> R accept(SettingVisitor<R> visitor) {
    return visitor.curve(this);
  }

  @Override
  public String type() {
    return "curve";
  }

  @Override
  public Map<String, Object> facts() {
    return Map.of("minPoints", MIN_POINTS, "maxPoints", MAX_POINTS, "minGap", MIN_GAP);
  }

  @Override
  public List<CurvePoint> start() {
    return List.of(new CurvePoint(0, 0), new CurvePoint(1, 1));
  }

  @Override
  public List<CurvePoint> parse(Object raw) {
    if (!(raw instanceof List<?> list)) {
      throw new InvalidSetting("%s must be a list of points.".formatted(label));
    }
    if (list.size() < MIN_POINTS || list.size() > MAX_POINTS) {
      throw new InvalidSetting(
          String.format(
              Locale.ROOT,
              "%s must have %d to %d points, but has %d.",
              label,
              MIN_POINTS,
              MAX_POINTS,
              list.size()));
    }
    List<CurvePoint> points = new ArrayList<>();
    for (Object item : list) {
      CurvePoint point = point(item);
      if (!points.isEmpty() && point.in() - points.get(points.size() - 1).in() < MIN_GAP) {
        throw new InvalidSetting(
            String.format(
                Locale.ROOT,
                "%s: point %d must lie to the right of the point before it.",
                label,
                points.size() + 1));
      }
      points.add(point);
    }
    return List.copyOf(points);
  }

  private CurvePoint point(Object item) {
    if (item instanceof List<?> pair
        && pair.size() == 2
        && pair.get(0) instanceof Number in
        && pair.get(1) instanceof Number out) {
      return new CurvePoint(in.doubleValue(), out.doubleValue());
    }
    throw new InvalidSetting("%s: a point must be two numbers, in and out.".formatted(label));
  }

  @Override
  public Object format(List<CurvePoint> value) {
    return value.stream().map(p -> List.of(p.in(), p.out())).toList();
  }
}
