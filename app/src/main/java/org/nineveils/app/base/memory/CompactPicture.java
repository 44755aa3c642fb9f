package org.nineveils.app.base.memory;

import org.nineveils.picture.Picture;

/**
 * A small picture in short pieces. Planes of half a megabyte and more fill regions of their own,
 * which doubles what hundreds of small pictures weigh; pieces lie close together. Bit for bit the
 * same.
 */
public final class CompactPicture {
  private static final int PIECE = 32_768;

  private final int width;
  private final int height;
  private final float[][][] planes;

  /** Takes a copy of a picture. */
  public CompactPicture(Picture picture) {
    width = picture.width();
    height = picture.height();
    planes = new float[][][] {pieces(picture.r()), pieces(picture.g()), pieces(picture.b())};
  }

  private static float[][] pieces(float[] plane) {
    float[][] out = new float[(plane.length + PIECE - 1) / PIECE][];
    for (int i = 0; i < out.length; i++) {
      int from = i * PIECE;
      out[i] = java.util.Arrays.copyOfRange(plane, from, Math.min(plane.length, from + PIECE));
    }
    return out;
  }

  /** The picture, in planes of its own. */
  public Picture picture() {
    return new Picture(width, height, whole(planes[0]), whole(planes[1]), whole(planes[2]));
  }

  private float[] whole(float[][] pieces) {
    float[] out = new float[width * height];
    for (int i = 0; i < pieces.length; i++) {
      System.arraycopy(pieces[i], 0, out, i * PIECE, pieces[i].length);
    }
    return out;
  }

  /** Bytes that it takes. */
  public long bytes() {
    return 3L * width * height * Float.BYTES + 64L * planes[0].length;
  }
}
