package org.nineveils.release.table;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.nineveils.kit.Names;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Shelf;
import org.nineveils.release.Release;

/** Tables of all effects of a release that travel, with a list that says how and how well. */
public final class TableSet {
  /** The list. */
  public static final String LIST = "tables.csv";

  private final TableFormat format;
  private final List<Picture> photos;
  private final Map<String, byte[]> files = new LinkedHashMap<>();
  private final List<Line> lines = new ArrayList<>();

  /**
   * An empty set.
   *
   * @param photos that tables are measured on, at the size at which they are compared
   */
  public TableSet(TableFormat format, List<Picture> photos) {
    this.format = format;
    this.photos = List.copyOf(photos);
  }

  /**
   * What became of an effect.
   *
   * @param file its table; empty where nothing of it travels
   * @param fit null where nothing of it travels
   */
  public record Line(String kit, String name, Travel travel, String file, Fit fit) {}

  /** Takes in an effect. */
  public void add(String kit, Release.EffectPart part, Shelf shelf) {
    Travel travel = Travel.of(part.effect());
    Optional<byte[]> bytes = format.write(part.effect(), part.name(), shelf);
    String path = "%s/%s.%s".formatted(Names.slug(kit), Names.slug(part.name()), format.ending());
    bytes.ifPresent(b -> files.put(path, b));
    Fit fit = bytes.isEmpty() ? null : Fit.of(part.effect(), format, photos, shelf);
    lines.add(new Line(kit, part.name(), travel, bytes.isEmpty() ? "" : path, fit));
  }

  public List<Line> lines() {
    return List.copyOf(lines);
  }

  /** All files by path, the list last. */
  public Map<String, byte[]> files() {
    Map<String, byte[]> all = new LinkedHashMap<>(files);
    all.put(LIST, list().getBytes(StandardCharsets.UTF_8));
    return all;
  }

  /** As CSV (RFC 4180). */
  private String list() {
    StringBuilder out = new StringBuilder();
    out.append("kit,effect,travels,file,mean dE00,99th percentile dE00,stays behind\r\n");
    for (Line line : lines) {
      String fit =
          line.fit() == null
              ? ","
              : String.format(Locale.ROOT, "%.2f,%.2f", line.fit().mean(), line.fit().high());
      out.append(
          "%s,%s,%s,%s,%s,%s\r\n"
              .formatted(
                  quoted(line.kit()),
                  quoted(line.name()),
                  line.travel().how().words(),
                  quoted(line.file()),
                  fit,
                  quoted(left(line.travel()))));
    }
    return out.toString();
  }

  /** What stays behind, in words. */
  public static String left(Travel travel) {
    return String.join(
        "; ", travel.left().stream().map(l -> l.name() + ": " + l.why().words()).toList());
  }

  private static String quoted(String text) {
    return "\"" + text.replace("\"", "\"\"") + "\"";
  }
}
