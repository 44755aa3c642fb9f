package org.nineveils.release.raster;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Locale;

/** The list of layers of an OpenRaster file, put together from the bottom up. */
final class Layers {
  /** Keeps what is below where this layer covers: the operator destination-in. */
  static final String KEEPS_WHERE = "dst-in";

  private record Group(String name, double opacity, List<String> lines) {}

  private final Deque<Group> open = new ArrayDeque<>();

  Layers() {
    open.push(new Group("", 1, new ArrayList<>()));
  }

  /**
   * Puts a layer on top.
   *
   * @param operator id of a blend mode, or {@link #KEEPS_WHERE}
   */
  void add(String name, String file, String operator, double opacity, boolean visible) {
    open.peek()
        .lines()
        .add(
            "<layer name=\"%s\" src=\"%s\" x=\"0\" y=\"0\" opacity=\"%s\" visibility=\"%s\" composite-op=\"svg:%s\" />"
                .formatted(
                    escaped(name),
                    file,
                    share(opacity),
                    visible ? "visible" : "hidden",
                    operator.equals("normal") ? "src-over" : operator));
  }

  /** Begins a group that is put together by itself. */
  void open(String name, double opacity) {
    open.push(new Group(name, opacity, new ArrayList<>()));
  }

  void close() {
    Group group = open.pop();
    String head =
        "<stack name=\"%s\" opacity=\"%s\" isolation=\"isolate\" visibility=\"visible\" composite-op=\"svg:src-over\">"
            .formatted(escaped(group.name()), share(group.opacity()));
    open.peek().lines().add(head + "\n" + fromTheTop(group) + "\n</stack>");
  }

  /** The topmost first, as the file has them. */
  private static String fromTheTop(Group group) {
    List<String> lines = new ArrayList<>(group.lines());
    Collections.reverse(lines);
    return String.join("\n", lines);
  }

  String xml(int width, int height) {
    return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
        + String.format(
            Locale.ROOT,
            "<image version=\"0.0.5\" w=\"%d\" h=\"%d\" xres=\"72\" yres=\"72\">\n<stack>\n",
            width,
            height)
        + fromTheTop(open.peek())
        + "\n</stack>\n</image>\n";
  }

  private static String share(double opacity) {
    return String.format(Locale.ROOT, "%.4f", opacity);
  }

  private static String escaped(String text) {
    return text.replaceAll("\\p{Cntrl}", " ")
        .replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace("\"", "&quot;");
  }
}
