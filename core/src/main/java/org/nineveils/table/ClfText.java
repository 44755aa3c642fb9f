package org.nineveils.table;

import java.util.Locale;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.XmlText;

/**
 * Tables as Common LUT Format: a curve that spreads the blacks, then a table of three axes over it,
 * so that what lifts or closes blacks holds. Source: ASC/AMPAS S-2014-006, Common LUT Format: a
 * LUT1D and a LUT3D in a ProcessList; in a LUT3D blue runs fastest. From memory of version 3.
 */
public final class ClfText {
  /** Entries of the curve. */
  private static final int CURVE = 1024;

  /**
   * Nodes lie at this power of even steps: four times as fine at black, two fifths coarser at
   * white.
   */
  public static final double BEND = 1.4;

  private ClfText() {}

  /**
   * Writes a table.
   *
   * @param table side² × side pixels, red running fastest, its nodes at the {@link #BEND}-th power
   *     of even steps
   */
  public static String write(Picture table, int side, String name) {
    return XmlText.of(
        out -> {
          XmlText.open(
              out,
              "ProcessList",
              "xmlns",
              "urn:AMPAS:CLF:v3.0",
              "compCLFversion",
              "3.0",
              "id",
              "nv-" + Integer.toHexString(name.hashCode()),
              "name",
              name);
          out.writeCharacters("\n");
          told(out, "Description", "From Nine Veils");
          told(out, "InputDescriptor", "sRGB, encoded");
          told(out, "OutputDescriptor", "sRGB, encoded");
          array(out, "LUT1D", "linear", CURVE + " 1", curve());
          String sides = String.format(Locale.ROOT, "%1$d %1$d %1$d 3", side);
          array(out, "LUT3D", "tetrahedral", sides, entries(table, side));
          out.writeEndElement();
        });
  }

  private static void told(XMLStreamWriter out, String name, String words)
      throws XMLStreamException {
    XmlText.open(out, name);
    out.writeCharacters(words);
    XmlText.close(out);
  }

  private static void array(
      XMLStreamWriter out, String name, String between, String sizes, String numbers)
      throws XMLStreamException {
    XmlText.open(out, name, "inBitDepth", "32f", "outBitDepth", "32f", "interpolation", between);
    out.writeCharacters("\n");
    XmlText.open(out, "Array", "dim", sizes);
    out.writeCharacters("\n" + numbers);
    XmlText.close(out);
    XmlText.close(out);
  }

  /** From a value to where it lies among even steps. */
  private static String curve() {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < CURVE; i++) {
      double at = Math.pow(i / (double) (CURVE - 1), 1 / BEND);
      out.append(String.format(Locale.ROOT, "%.7f", at)).append('\n');
    }
    return out.toString();
  }

  private static String entries(Picture table, int side) {
    StringBuilder out = new StringBuilder(table.r().length * 30);
    for (int red = 0; red < side; red++) {
      for (int green = 0; green < side; green++) {
        for (int blue = 0; blue < side; blue++) {
          int i = (blue * side + green) * side + red;
          CubeText.number(out, table.r()[i]).append(' ');
          CubeText.number(out, table.g()[i]).append(' ');
          CubeText.number(out, table.b()[i]).append('\n');
        }
      }
    }
    return out.toString();
  }
}
