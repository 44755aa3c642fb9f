package org.nineveils.table;

import java.util.Locale;
import org.nineveils.picture.Picture;

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
    StringBuilder out = new StringBuilder(table.r().length * 30);
    String id = Integer.toHexString(name.hashCode());
    out.append("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n")
        .append("<ProcessList xmlns=\"urn:AMPAS:CLF:v3.0\" compCLFversion=\"3.0\" id=\"nv-")
        .append(id)
        .append("\" name=\"")
        .append(escaped(name))
        .append("\">\n")
        .append("  <Description>From Nine Veils</Description>\n")
        .append("  <InputDescriptor>sRGB, encoded</InputDescriptor>\n")
        .append("  <OutputDescriptor>sRGB, encoded</OutputDescriptor>\n");
    curve(out);
    out.append(
        "  <LUT3D inBitDepth=\"32f\" outBitDepth=\"32f\" interpolation=\"tetrahedral\">\n    <Array dim=\"%1$d %1$d %1$d 3\">\n"
            .formatted(side));
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
    return out.append("    </Array>\n  </LUT3D>\n</ProcessList>\n").toString();
  }

  /** From a value to where it lies among even steps. */
  private static void curve(StringBuilder out) {
    out.append(
        String.format(
            Locale.ROOT,
            "  <LUT1D inBitDepth=\"32f\" outBitDepth=\"32f\" interpolation=\"linear\">\n    <Array dim=\"%d 1\">\n",
            CURVE));
    for (int i = 0; i < CURVE; i++) {
      double at = Math.pow(i / (double) (CURVE - 1), 1 / BEND);
      out.append(String.format(Locale.ROOT, "%.7f%n", at).replace("\r", ""));
    }
    out.append("    </Array>\n  </LUT1D>\n");
  }

  private static String escaped(String text) {
    return text.replaceAll("\\p{Cntrl}", " ")
        .replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace("\"", "&quot;");
  }
}
