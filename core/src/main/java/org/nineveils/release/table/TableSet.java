package org.nineveils.release.table;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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
  private final Sink sink;
  private final List<Line> lines = new ArrayList<>();

  /**
   * An empty set.
   *
   * @param photos that tables are measured on, at the size at which they are compared
   * @param sink is given each file as soon as it is made: a large table takes some megabytes, and
   *     there may be a thousand
   */
  public TableSet(TableFormat format, List<Picture> photos, Sink sink) {
    this.format = format;
    this.photos = List.copyOf(photos);
    this.sink = sink;
  }

  /** Where files go. */
  @FunctionalInterface
  public interface Sink {
    /** Takes a file; its path has forward slashes. */
    void put(String path, byte[] file) throws IOException;
  }

  /**
   * What became of an effect.
   *
   * @param file its table; empty where nothing of it travels
   * @param fit null where nothing of it travels
   */
  public record Line(String kit, String name, Travel travel, String file, Fit fit) {}

  /** Takes in an effect. */
  public void add(String kit, Release.EffectPart part, Shelf shelf) throws IOException {
    Travel travel = Travel.of(part.effect());
    Optional<byte[]> bytes = format.write(part.effect(), part.name(), shelf);
    String path = "";
    Fit fit = null;
    if (bytes.isPresent()) {
      path = "%s/%s.%s".formatted(Names.slug(kit), free(kit, part.name()), format.ending());
      sink.put(path, bytes.get());
      fit = Fit.of(part.effect(), format, photos, shelf);
    }
    lines.add(new Line(kit, part.name(), travel, path, fit));
  }

  /** A file name that no other effect of the kit has: names may differ in signs alone. */
  private String free(String kit, String name) {
    String slug = Names.slug(name);
    long same =
        lines.stream()
            .filter(l -> l.kit().equals(kit) && Names.slug(l.name()).equals(slug))
            .count();
    return same == 0 ? slug : slug + "-" + (same + 1);
  }

  public List<Line> lines() {
    return List.copyOf(lines);
  }

  /** Puts the list behind the tables. */
  public void finish() throws IOException {
    sink.put(LIST, list().getBytes(StandardCharsets.UTF_8));
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
