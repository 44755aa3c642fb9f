package org.nineveils.mask;

import org.nineveils.colour.LabLoops;

/** A run of the plain photo in Lab. */
final class LabRow {
  final float[] l;
  final float[] a;
  final float[] b;

  /** Converts n pixels from an index in the planes on. */
  LabRow(float[][] plain, int from, int n) {
    float[][] own = new float[3][n];
    for (int c = 0; c < 3; c++) {
      System.arraycopy(plain[c], from, own[c], 0, n);
    }
    l = own[0];
    a = own[1];
    b = own[2];
    LabLoops.fromSrgb(l, a, b, new float[3][n], n);
  }
}
