package org.nineveils.table;

import java.util.Locale;
import org.nineveils.picture.Picture;

/**
 * Tables as text with the ending .cube: a title, the size, then one line an entry, red running
 * fastest. Source: Cube LUT Specification, version 1.0.
 */
public final class CubeText {
  /** Most characters of a title: the specification's 250 for a line, less its keyword. */
  private static final int TITLE = 200;

  private CubeText() {}

  /**
   * Writes a table.
   *
   * @param table side² × side pixels, red running fastest
   */
  public static String write(Picture table, int side, String name) {
    StringBuilder out = new StringBuilder(table.r().length * 30);
    String title = name.replaceAll("[\"\\p{Cntrl}]", "'");
    out.append("TITLE \"").append(title, 0, Math.min(TITLE, title.length())).append("\"\n");
    out.append("# over sRGB-encoded values, from Nine Veils\n");
    out.append("LUT_3D_SIZE ").append(side).append('\n');
    out.append("DOMAIN_MIN 0 0 0\nDOMAIN_MAX 1 1 1\n");
    for (int i = 0; i < table.r().length; i++) {
      number(out, table.r()[i]).append(' ');
      number(out, table.g()[i]).append(' ');
      number(out, table.b()[i]).append('\n');
    }
    return out.toString();
  }

  /** Six places, cut to 0…1. */
  static StringBuilder number(StringBuilder out, float v) {
    long millionths = Math.round(1e6 * Math.min(1, Math.max(0, v)));
    return millionths >= 1_000_000
        ? out.append("1.000000")
        : out.append("0.").append(String.format(Locale.ROOT, "%06d", millionths));
  }
}
