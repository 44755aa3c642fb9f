package org.nineveils.release.raster;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;

/** A picture with transparency as a PNG of 8 bits a channel. */
final class RgbaPng {
  private RgbaPng() {}

  /**
   * Writes it.
   *
   * @param alpha 0…1 of every pixel; null for opaque
   */
  static byte[] write(Picture picture, float[] alpha) {
    int type = alpha == null ? BufferedImage.TYPE_3BYTE_BGR : BufferedImage.TYPE_4BYTE_ABGR;
    BufferedImage image = new BufferedImage(picture.width(), picture.height(), type);
    byte[] bytes = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    int at = 0;
    for (int i = 0; i < picture.r().length; i++) {
      if (alpha != null) {
        bytes[at++] = (byte) Quantise.to8(alpha[i]);
      }
      bytes[at++] = (byte) Quantise.to8(picture.b()[i]);
      bytes[at++] = (byte) Quantise.to8(picture.g()[i]);
      bytes[at++] = (byte) Quantise.to8(picture.r()[i]);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream(bytes.length / 2);
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
