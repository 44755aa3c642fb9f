package org.nineveils.guide;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Width and height of a picture, without decoding it. */
final class JpegSize {
  private JpegSize() {}

  /** In pixels; 3 by 2 where it cannot be told. */
  static int[] of(byte[] file) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (readers.hasNext()) {
        ImageReader reader = readers.next();
        try {
          reader.setInput(in);
          return new int[] {reader.getWidth(0), reader.getHeight(0)};
        } finally {
          reader.dispose();
        }
      }
    } catch (IOException e) {
      // its shape is not known; it is laid out as most photos are
    }
    return new int[] {3, 2};
  }
}
