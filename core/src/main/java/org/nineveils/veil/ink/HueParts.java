package org.nineveils.veil.ink;

/**
 * How far a pixel stands towards one of six hues, as encoded channels: straight ramps between the
 * primaries and the hues half-way between them. Neutral pixels have none.
 */
final class HueParts {
  private HueParts() {}

  /** How far one primary stands above both others. */
  static void primary(float[] own, float[] other, float[] third, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(0f, own[i] - Math.max(other[i], third[i]));
    }
  }

  /** How far two primaries stand together above the third. */
  static void secondary(float[] one, float[] two, float[] third, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(0f, Math.min(one[i], two[i]) - third[i]);
    }
  }
}
