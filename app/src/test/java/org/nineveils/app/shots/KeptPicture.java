package org.nineveils.app.shots;

import com.twelvemonkeys.image.ImageUtil;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** A picture in the repository: written anew only where it visibly changed, and packed tightly. */
final class KeptPicture {
  private static final int COLOURS = 256;

  /** Codes that a channel may be off before a pixel counts as another. */
  private static final int SEEN = 12;

  /** Share of the pixels that may be others: less than a word. */
  private static final double FEW = 0.00002;

  private KeptPicture() {}

  /** Puts a screenshot into a file, unless one that looks the same lies there. */
  static void put(byte[] png, Path file) throws IOException {
    BufferedImage now = few(ImageIO.read(new ByteArrayInputStream(png)));
    if (Files.exists(file) && looksTheSame(ImageIO.read(file.toFile()), now)) {
      return;
    }
    Files.write(file, packed(now));
  }

  /** In the colours of a palette that is chosen for it, and mixed of them: half the bytes. */
  private static BufferedImage few(BufferedImage image) {
    BufferedImage opaque =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
    opaque.createGraphics().drawImage(image, 0, 0, null);
    BufferedImage drawn =
        ImageUtil.createIndexed(
            opaque, COLOURS, null, ImageUtil.DITHER_DIFFUSION | ImageUtil.COLOR_SELECTION_QUALITY);
    return new BufferedImage(drawn.getColorModel(), drawn.getRaster(), false, null);
  }

  static boolean looksTheSame(BufferedImage a, BufferedImage b) {
    if (a.getWidth() != b.getWidth() || a.getHeight() != b.getHeight()) {
      return false;
    }
    int others = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        others += differ(a.getRGB(x, y), b.getRGB(x, y)) ? 1 : 0;
      }
    }
    return others <= FEW * a.getWidth() * a.getHeight();
  }

  private static boolean differ(int a, int b) {
    return Math.abs((a >> 16 & 255) - (b >> 16 & 255)) > SEEN
        || Math.abs((a >> 8 & 255) - (b >> 8 & 255)) > SEEN
        || Math.abs((a & 255) - (b & 255)) > SEEN;
  }

  /** Deflated as tightly as the JDK does. */
  private static byte[] packed(BufferedImage image) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    ImageWriteParam how = writer.getDefaultWriteParam();
    how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    how.setCompressionQuality(0);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ImageOutputStream to = ImageIO.createImageOutputStream(out)) {
      writer.setOutput(to);
      writer.write(null, new IIOImage(image, null, null), how);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }
}
