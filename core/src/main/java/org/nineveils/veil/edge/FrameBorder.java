package org.nineveils.veil.edge;

import org.nineveils.colour.Hsl;
import org.nineveils.filter.Columns;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.setting.SettingValues;

/**
 * A frame of one colour along the border, and inside it a line of the same hue at the opposite
 * lightness, a third of the frame's width away. Widths are shares of the long side; edges are
 * smooth over one pixel.
 */
final class FrameBorder {
  private static final float GAP = 1 / 3f;

  private final int width;
  private final int height;
  private final float thick;
  private final float lineFrom;
  private final float lineTo;
  private final float[] colour;
  private final float[] lineColour;

  private FrameBorder(SettingValues v, Frame frame) {
    width = frame.width();
    height = frame.height();
    double longSide = Math.max(width, height);
    thick = (float) (longSide * v.share(Edge.FRAME));
    lineFrom = thick * (1 + GAP);
    lineTo = lineFrom + (float) (longSide * v.share(Edge.LINE));
    double hue = v.number(Edge.FRAME_HUE);
    double saturation = v.share(Edge.FRAME_SATURATION);
    double lightness = v.share(Edge.FRAME_LIGHTNESS);
    colour = Hsl.toRgb(hue, saturation, lightness);
    lineColour = Hsl.toRgb(hue, saturation, 1 - lightness);
  }

  /** Share of the long side up to which frame and line reach; 0 where there is no frame. */
  static double border(SettingValues v) {
    double thick = v.share(Edge.FRAME);
    return thick == 0 || v.number(Edge.LINE) == 0 ? thick : thick * (1 + GAP) + v.share(Edge.LINE);
  }

  /** The frame of these settings, or null where it has no width. */
  static FrameBorder of(SettingValues v, Frame frame) {
    return v.number(Edge.FRAME) == 0 ? null : new FrameBorder(v, frame);
  }

  /** Draws onto a band; {@code spare} is overwritten. */
  void run(Band band, int n, int x, int y, Band spare) {
    float[] d = spare.r;
    distance(d, n, x, y, spare.g);
    float[] w = spare.t;
    for (int i = 0; i < n; i++) {
      w[i] = Math.min(1f, Math.max(0f, thick - d[i] + 0.5f));
    }
    lay(band, colour, w, n);
    if (lineTo > lineFrom) {
      for (int i = 0; i < n; i++) {
        w[i] = Math.min(d[i] - lineFrom, lineTo - d[i]) + 0.5f;
      }
      for (int i = 0; i < n; i++) {
        w[i] = Math.min(1f, Math.max(0f, w[i]));
      }
      lay(band, lineColour, w, n);
    }
  }

  /** Distance of each pixel's middle from the nearest border, pixels. */
  private void distance(float[] d, int n, int x, int y, float[] left) {
    float row = Math.min(y + 0.5f, height - y - 0.5f);
    float w = width;
    Columns.ramp(x, 0.5f, 1, left, n);
    for (int i = 0; i < n; i++) {
      d[i] = Math.min(row, Math.min(left[i], w - left[i]));
    }
  }

  private static void lay(Band band, float[] colour, float[] w, int n) {
    lay(band.r, colour[0], w, n);
    lay(band.g, colour[1], w, n);
    lay(band.b, colour[2], w, n);
  }

  private static void lay(float[] plane, float colour, float[] w, int n) {
    for (int i = 0; i < n; i++) {
      plane[i] += (colour - plane[i]) * w[i];
    }
  }
}
