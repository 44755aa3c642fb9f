package org.nineveils.veil.overlay;

import org.nineveils.colour.Luma;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.setting.SettingValues;

/**
 * Film grain: random values on a lattice whose cells are a share of the long side, smoothly
 * interpolated, added to all channels alike and strongest in the middle tones by 4L(1 − L).
 *
 * <p>Between the points of a lattice an interpolated value varies less than on them, which would
 * show as a grid; it is divided by the root of the sum of its squared weights, so that it varies
 * alike everywhere. The lattice is turned, so that it lies along neither rows nor columns.
 *
 * <p>The random value of a cell is a hash of its place and the pattern's number, so the same
 * picture gets the same grain at every size and in every tile. Where a cell is smaller than a
 * pixel, grain averages out in proportion, as it would on a scaled picture.
 */
final class Grain {
  /** Deviation at full amount. */
  private static final float STRONGEST = 0.23f;

  /**
   * Turn of the lattice; its tangent is no ratio of small numbers, so nothing repeats along a row.
   */
  private static final double TURN = Math.toRadians(31.7);

  private static final double COS = Math.cos(TURN);
  private static final double SIN = Math.sin(TURN);

  private final float strength;
  private final double perCell;
  private final int seed;

  Grain(SettingValues v, Frame frame) {
    double longSide = Math.max(frame.width(), frame.height());
    double cell = longSide * v.number(Overlay.GRAIN_SIZE) / 1000;
    strength = (float) (STRONGEST * v.share(Overlay.GRAIN) * Math.min(1, cell));
    perCell = 1 / cell;
    seed = (int) Math.round(v.number(Overlay.GRAIN_SEED));
  }

  /** Adds grain to a band; {@code spare} is overwritten. */
  void run(Band band, int n, int x, int y, Band spare) {
    noise(spare.t, n, x, y);
    weigh(band, spare.t, spare.r, n);
    add(band.r, spare.t, n);
    add(band.g, spare.t, n);
    add(band.b, spare.t, n);
  }

  private void noise(float[] out, int n, int x, int y) {
    double row = (y + 0.5) * perCell;
    int column = Integer.MIN_VALUE;
    int line = Integer.MIN_VALUE;
    float a = 0;
    float b = 0;
    float c = 0;
    float d = 0;
    for (int i = 0; i < n; i++) {
      double along = (x + i + 0.5) * perCell;
      double u = along * COS + row * SIN;
      double v = row * COS - along * SIN;
      int k = (int) Math.floor(u);
      int l = (int) Math.floor(v);
      if (k != column || l != line) {
        a = hash(k, l);
        b = hash(k + 1, l);
        c = hash(k, l + 1);
        d = hash(k + 1, l + 1);
        column = k;
        line = l;
      }
      float s = smooth((float) (u - k));
      float t = smooth((float) (v - l));
      float value = (a + (b - a) * s) * (1 - t) + (c + (d - c) * s) * t;
      out[i] = value / (float) Math.sqrt(spread(s) * spread(t));
    }
  }

  /** Sum of the squared weights of two points. */
  private static float spread(float s) {
    return 1 - 2 * s * (1 - s);
  }

  /** −1…1, by the finaliser of MurmurHash3 (A. Appleby, public domain). */
  private float hash(int column, int row) {
    int h = column * 0x9e3779b1 + row * 0x85ebca77 + seed * 0xc2b2ae3d;
    h ^= h >>> 16;
    h *= 0x85ebca6b;
    h ^= h >>> 13;
    h *= 0xc2b2ae35;
    h ^= h >>> 16;
    return h * (1f / 0x80000000L);
  }

  private static float smooth(float t) {
    return t * t * (3 - 2 * t);
  }

  private void weigh(Band band, float[] noise, float[] light, int n) {
    Luma.run(band.r, band.g, band.b, light, n);
    float s = 4 * strength;
    for (int i = 0; i < n; i++) {
      noise[i] *= s * light[i] * (1 - light[i]);
    }
  }

  private static void add(float[] plane, float[] noise, int n) {
    for (int i = 0; i < n; i++) {
      plane[i] = Math.min(1f, Math.max(0f, plane[i] + noise[i]));
    }
  }
}
