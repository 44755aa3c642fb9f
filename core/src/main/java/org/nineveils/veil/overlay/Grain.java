package org.nineveils.veil.overlay;

import org.nineveils.colour.Luma;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Band;
import org.nineveils.veil.Frame;

/**
 * Film grain: random values on a lattice whose cells are a share of the long side, smoothly
 * interpolated, added to all channels alike and strongest in the middle tones by 4L(1 − L).
 *
 * <p>The random value of a cell is a hash of its place and the pattern's number, so the same
 * picture gets the same grain at every size and in every tile. Where a cell is smaller than a
 * pixel, grain averages out in proportion, as it would on a scaled picture.
 */
final class Grain {
  /** Deviation at full amount. */
  private static final float STRONGEST = 0.3f;

  private final float strength;
  private final float perCell;
  private final int seed;

  Grain(SettingValues v, Frame frame) {
    double longSide = Math.max(frame.width(), frame.height());
    double cell = longSide * v.number(Overlay.GRAIN_SIZE) / 1000;
    strength = (float) (STRONGEST * v.share(Overlay.GRAIN) * Math.min(1, cell));
    perCell = (float) (1 / cell);
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
    float v = (y + 0.5f) * perCell;
    int row = (int) v;
    float t = smooth(v - row);
    int column = -1;
    float left = 0;
    float right = 0;
    for (int i = 0; i < n; i++) {
      float u = (x + i + 0.5f) * perCell;
      int k = (int) u;
      if (k != column) {
        left = k == column + 1 && column >= 0 ? right : cell(k, row, t);
        right = cell(k + 1, row, t);
        column = k;
      }
      out[i] = left + (right - left) * smooth(u - k);
    }
  }

  /** Value of a lattice column between two rows. */
  private float cell(int column, int row, float t) {
    float above = hash(column, row);
    return above + (hash(column, row + 1) - above) * t;
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
