package org.nineveils.release.table;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.name.Names;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.release.Release;

/** Tables of all effects of a release that travel, with a list that says how and how well. */
public final class TableSet {
  /** The list. */
  public static final String LIST = "tables.csv";

  private final TableFormat format;
  private final List<Picture> photos;
  private final Sink sink;
  private final List<Line> lines = new ArrayList<>();
  private final Map<String, String> folders = new HashMap<>();
  private final Set<String> stems = new HashSet<>();

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
  public void add(String kit, Release.EffectPart part, PictureShelf shelf) throws IOException {
    Travel travel = Travel.of(part.effect());
    Optional<byte[]> bytes = format.write(part.effect(), part.name(), shelf);
    String path = "";
    Fit fit = null;
    if (bytes.isPresent()) {
      path = free(kit, part.name());
      sink.put(path, bytes.get());
      fit = Fit.of(part.effect(), format, photos, shelf);
      travel = travel.measured(fit);
    }
    lines.add(new Line(kit, part.name(), travel, path, fit));
  }

  /**
   * A path that no other table has: names of effects may differ in signs alone, or in those of a
   * script of which no letter stays in the name of a file; and so may names of kits.
   */
  private String free(String kit, String name) {
    String folder = folders.computeIfAbsent(kit, k -> unlike(Names.slug(k), folders.values()));
    String stem = unlike(folder + "/" + Names.slug(name), stems);
    stems.add(stem);
    return "%s.%s".formatted(stem, format.ending());
  }

  private static String unlike(String wanted, Collection<String> taken) {
    String free = wanted;
    for (int n = 2; taken.contains(free); n++) {
      free = wanted + "-" + n;
    }
    return free;
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
