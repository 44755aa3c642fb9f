package org.nineveils.file;

import java.awt.Image;
import java.awt.Point;
import java.awt.Rectangle;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.PixelInterleavedSampleModel;
import java.awt.image.Raster;
import java.awt.image.RenderedImage;
import java.awt.image.SampleModel;
import java.awt.image.WritableRaster;
import java.util.Vector;
import java.util.stream.IntStream;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;
import org.nineveils.picture.Strips;

/**
 * Strips as an image that the JDK's writers read: sRGB samples of 8 bits, dithered, or of 16. Of
 * those that are asked for in order only one is held at a time.
 */
final class StripImage implements RenderedImage {
  private static final int[] RGB = {0, 1, 2};

  private final Strips strips;
  private final boolean deep;
  private final ColorModel model;
  private int heldTop = -1;
  private WritableRaster held;

  StripImage(Strips strips, boolean deep) {
    this.strips = strips;
    this.deep = deep;
    this.model =
        new ComponentColorModel(
            ColorSpace.getInstance(ColorSpace.CS_sRGB),
            false,
            false,
            Transparency.OPAQUE,
            deep ? DataBuffer.TYPE_USHORT : DataBuffer.TYPE_BYTE);
  }

  @Override
  public Raster getData(Rectangle wanted) {
    int rows = strips.rows();
    int first = wanted.y / rows * rows;
    if (wanted.y + wanted.height <= first + rows) {
      return strip(first)
          .createChild(wanted.x, wanted.y, wanted.width, wanted.height, wanted.x, wanted.y, null);
    }
    WritableRaster all = blank(wanted.y, wanted.height);
    for (int top = first; top < wanted.y + wanted.height; top += rows) {
      all.setRect(strip(top));
    }
    held = null; // all of it is given away; nothing is kept besides
    heldTop = -1;
    return all.createChild(
        wanted.x, wanted.y, wanted.width, wanted.height, wanted.x, wanted.y, null);
  }

  private WritableRaster strip(int top) {
    if (top != heldTop) {
      held = null; // before the next one takes room
      Picture picture = strips.strip(top);
      WritableRaster next = blank(top, picture.height());
      if (deep) {
        fill16(picture, ((DataBufferUShort) next.getDataBuffer()).getData());
      } else {
        fill8(picture, top, ((DataBufferByte) next.getDataBuffer()).getData());
      }
      held = next;
      heldTop = top;
    }
    return held;
  }

  private WritableRaster blank(int top, int rows) {
    int n = strips.width() * rows * 3;
    DataBuffer buffer = deep ? new DataBufferUShort(n) : new DataBufferByte(n);
    return Raster.createInterleavedRaster(
        buffer, strips.width(), rows, strips.width() * 3, 3, RGB, new Point(0, top));
  }

  private static void fill8(Picture p, int top, byte[] to) {
    int n = p.width();
    float[][] planes = {p.r(), p.g(), p.b()};
    IntStream.range(0, p.height())
        .parallel()
        .forEach(
            y -> {
              float[] work = new float[n];
              float[] dither = new float[n];
              for (int x = 0; x < n; x++) {
                dither[x] = Quantise.dither(x, top + y);
              }
              for (int c = 0; c < 3; c++) {
                Quantise.codes(planes[c], y * n, n, dither, work, to, 3 * y * n + c, 3);
              }
            });
  }

  private static void fill16(Picture p, short[] to) {
    IntStream.range(0, p.height())
        .parallel()
        .forEach(
            y -> {
              for (int i = y * p.width(); i < (y + 1) * p.width(); i++) {
                to[3 * i] = (short) Quantise.to16(p.r()[i]);
                to[3 * i + 1] = (short) Quantise.to16(p.g()[i]);
                to[3 * i + 2] = (short) Quantise.to16(p.b()[i]);
              }
            });
  }

  @Override
  public Raster getData() {
    return getData(new Rectangle(0, 0, getWidth(), getHeight()));
  }

  @Override
  public Raster getTile(int x, int y) {
    return strip(y * strips.rows());
  }

  @Override
  public WritableRaster copyData(WritableRaster to) {
    WritableRaster out = to == null ? blank(0, getHeight()) : to;
    out.setRect(getData(out.getBounds()));
    return out;
  }

  @Override
  public Vector<RenderedImage> getSources() {
    return new Vector<>();
  }

  @Override
  public Object getProperty(String name) {
    return Image.UndefinedProperty;
  }

  @Override
  public String[] getPropertyNames() {
    return new String[0];
  }

  @Override
  public ColorModel getColorModel() {
    return model;
  }

  @Override
  public SampleModel getSampleModel() {
    return new PixelInterleavedSampleModel(
        model.getTransferType(), getWidth(), strips.rows(), 3, 3 * getWidth(), RGB);
  }

  @Override
  public int getWidth() {
    return strips.width();
  }

  @Override
  public int getHeight() {
    return strips.height();
  }

  @Override
  public int getMinX() {
    return 0;
  }

  @Override
  public int getMinY() {
    return 0;
  }

  @Override
  public int getNumXTiles() {
    return 1;
  }

  @Override
  public int getNumYTiles() {
    return (strips.height() + strips.rows() - 1) / strips.rows();
  }

  @Override
  public int getMinTileX() {
    return 0;
  }

  @Override
  public int getMinTileY() {
    return 0;
  }

  @Override
  public int getTileWidth() {
    return strips.width();
  }

  @Override
  public int getTileHeight() {
    return strips.rows();
  }

  @Override
  public int getTileGridXOffset() {
    return 0;
  }

  @Override
  public int getTileGridYOffset() {
    return 0;
  }
}
