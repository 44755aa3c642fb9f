package org.nineveils.veil.soft;

import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Around;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.setting.SettingValues;

/**
 * An even haze before the scene: out = in · t + air · (1 − t), the air light of H. Koschmieder
 * (1924) as in K. He, J. Sun, X. Tang, "Single Image Haze Removal Using Dark Channel Prior", IEEE
 * TPAMI 33 (2011), equation 1. The transmission t goes from 1 down to 0.3; the colour of the air
 * from cold over white to warm, chosen by eye.
 */
final class Haze implements Kernel {
  private static final double THICKEST = 0.7;
  private static final float LIGHT = 0.94f;
  private static final float[] WARM = {0, -0.05f, -0.16f};
  private static final float[] COLD = {-0.12f, -0.04f, 0};

  private final float share;
  private final float[] air = new float[3];

  Haze(SettingValues values) {
    share = (float) (values.share(Soft.HAZE) * THICKEST);
    float warmth = (float) values.share(Soft.HAZE_WARMTH);
    for (int c = 0; c < 3; c++) {
      air[c] = LIGHT + Math.max(0, warmth) * WARM[c] + Math.max(0, -warmth) * COLD[c];
    }
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    lay(in.r, air[0], out.r, n);
    lay(in.g, air[1], out.g, n);
    lay(in.b, air[2], out.b, n);
  }

  private void lay(float[] in, float light, float[] out, int n) {
    float s = share;
    for (int i = 0; i < n; i++) {
      out[i] = in[i] + (light - in[i]) * s;
    }
  }

  /** The same as a link of a chain: it looks no further than the pixel. */
  AreaKernel alone() {
    return new AreaKernel() {
      @Override
      public int reach() {
        return 0;
      }

      @Override
      public int grid() {
        return 1;
      }

      @Override
      public Kernel over(Part in, Area wanted, Around around) {
        return Haze.this;
      }
    };
  }
}
