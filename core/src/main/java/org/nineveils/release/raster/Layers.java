package org.nineveils.release.raster;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.nineveils.refusal.XmlText;

/** The list of layers of an OpenRaster file, put together from the bottom up. */
final class Layers {
  /** Keeps what is below where this layer covers: the operator destination-in. */
  static final String KEEPS_WHERE = "dst-in";

  private record Group(String name, double opacity, List<XmlText.Writing> parts) {
    /** The topmost first, as the file has them. */
    void write(XMLStreamWriter out) throws XMLStreamException {
      for (int i = parts.size() - 1; i >= 0; i--) {
        parts.get(i).to(out);
        out.writeCharacters("\n");
      }
    }
  }

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
    String[] attributes = {
      "name",
      name,
      "src",
      file,
      "x",
      "0",
      "y",
      "0",
      "opacity",
      share(opacity),
      "visibility",
      visible ? "visible" : "hidden",
      "composite-op",
      "svg:" + (operator.equals("normal") ? "src-over" : operator)
    };
    open.peek().parts().add(out -> XmlText.empty(out, "layer", attributes));
  }

  /** Begins a group that is put together by itself. */
  void open(String name, double opacity) {
    open.push(new Group(name, opacity, new ArrayList<>()));
  }

  void close() {
    Group group = open.pop();
    String[] attributes = {
      "name", group.name(),
      "opacity", share(group.opacity()),
      "isolation", "isolate",
      "visibility", "visible",
      "composite-op", "svg:src-over"
    };
    open.peek().parts().add(out -> stack(out, group, attributes));
  }

  private static void stack(XMLStreamWriter out, Group group, String... attributes)
      throws XMLStreamException {
    XmlText.open(out, "stack", attributes);
    out.writeCharacters("\n");
    group.write(out);
    out.writeEndElement();
  }

  String xml(int width, int height) {
    String[] attributes = {
      "version", "0.0.5",
      "w", String.valueOf(width),
      "h", String.valueOf(height),
      "xres", "72",
      "yres", "72"
    };
    return XmlText.of(
        out -> {
          XmlText.open(out, "image", attributes);
          out.writeCharacters("\n");
          stack(out, open.peek());
          out.writeCharacters("\n");
          out.writeEndElement();
        });
  }

  private static String share(double opacity) {
    return String.format(Locale.ROOT, "%.4f", opacity);
  }
}
