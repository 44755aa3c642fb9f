package org.nineveils.veil.overlay;

import java.util.Optional;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.picture.Picture;
import org.nineveils.setting.SettingValues;

/**
 * A picture laid over the photo: filling the frame, fitted into it, or repeated; scaled and turned
 * about its middle, which can be moved; mirrored. However it is turned, at a scale of 100 % with
 * its middle in the middle of the frame it fills the frame, or lies within it. Where it does not
 * reach, or is transparent, the photo stays. It is first made smaller by area averaging to about
 * the size that it is seen at, then read between its pixels by straight lines in both directions.
 */
final class PlacedPicture {
  private final Picture texture;

  /** How much of the texture is there, in red; null where all of it is. */
  private final Picture cover;

  private final float amount;
  private final boolean tiled;

  /** From a pixel of the photo to a pixel of the texture: u = ux · x + uy · y + u0, v alike. */
  private final float ux;

  private final float uy;
  private final float u0;
  private final float vx;
  private final float vy;
  private final float v0;

  private PlacedPicture(String sha, Picture picture, SettingValues v, Frame frame) {
    amount = (float) v.share(Overlay.PICTURE_AMOUNT);
    String fit = v.get(Overlay.PICTURE_FIT);
    tiled = fit.equals("tile");
    double angle = Math.toRadians(v.number(Overlay.PICTURE_ANGLE));
    double size =
        fit.equals("fill") ? filling(frame, picture, angle) : fitting(frame, picture, angle);
    size *= v.share(Overlay.PICTURE_SCALE);
    int longSide = (int) Math.max(1, Math.round(picture.longSide() * Math.min(1, size)));
    texture = frame.shelf().find(sha, longSide).orElse(picture);
    cover = frame.shelf().cover(sha, longSide).orElse(null);
    double perPixel = texture.longSide() / (picture.longSide() * size);
    String mirror = v.get(Overlay.PICTURE_MIRROR);
    double flipU = mirror.equals("across") || mirror.equals("both") ? -1 : 1;
    double flipV = mirror.equals("down") || mirror.equals("both") ? -1 : 1;
    ux = (float) (Math.cos(angle) * perPixel * flipU);
    uy = (float) (Math.sin(angle) * perPixel * flipU);
    vx = (float) (-Math.sin(angle) * perPixel * flipV);
    vy = (float) (Math.cos(angle) * perPixel * flipV);
    double cx = frame.width() * v.share(Overlay.PICTURE_X);
    double cy = frame.height() * v.share(Overlay.PICTURE_Y);
    u0 = (float) (texture.width() / 2.0 - ux * cx - uy * cy);
    v0 = (float) (texture.height() / 2.0 - vx * cx - vy * cy);
  }

  /** The scale at which a turned picture just covers the frame. */
  private static double filling(Frame frame, Picture picture, double angle) {
    return Math.max(
        extent(frame.width(), frame.height(), angle) / picture.width(),
        extent(frame.height(), frame.width(), angle) / picture.height());
  }

  /** The scale at which a turned picture just lies within the frame. */
  private static double fitting(Frame frame, Picture picture, double angle) {
    return Math.min(
        frame.width() / extent(picture.width(), picture.height(), angle),
        frame.height() / extent(picture.height(), picture.width(), angle));
  }

  /** How far a rectangle reaches along its own side once it is turned. */
  private static double extent(double side, double other, double angle) {
    return side * Math.abs(Math.cos(angle)) + other * Math.abs(Math.sin(angle));
  }

  /** Null where no picture is placed, or it is not on the shelf. */
  static PlacedPicture of(SettingValues v, Frame frame) {
    String sha = v.get(Overlay.PICTURE);
    if (sha.isEmpty() || v.number(Overlay.PICTURE_AMOUNT) == 0) {
      return null;
    }
    Optional<Picture> found = frame.shelf().find(sha);
    return found.map(picture -> new PlacedPicture(sha, picture, v, frame)).orElse(null);
  }

  /** Bytes of the texture; the shelf may share it with others. */
  long bytes() {
    return (cover == null ? 3L : 4L) * Float.BYTES * texture.area().pixels();
  }

  /** Lays it over a band, in place. */
  void run(Band band, int n, int x, int y) {
    float py = y + 0.5f;
    for (int i = 0; i < n; i++) {
      float px = x + i + 0.5f;
      lay(band, i, ux * px + uy * py + u0 - 0.5f, vx * px + vy * py + v0 - 0.5f);
    }
  }

  private void lay(Band band, int i, float u, float v) {
    int w = texture.width();
    int h = texture.height();
    int left = (int) Math.floor(u);
    int top = (int) Math.floor(v);
    if (!tiled && (u < -0.5f || v < -0.5f || u > w - 0.5f || v > h - 0.5f)) {
      return;
    }
    int x0 = tiled ? Math.floorMod(left, w) : Math.max(0, Math.min(w - 1, left));
    int x1 = tiled ? Math.floorMod(left + 1, w) : Math.max(0, Math.min(w - 1, left + 1));
    int row0 = (tiled ? Math.floorMod(top, h) : Math.max(0, Math.min(h - 1, top))) * w;
    int row1 = (tiled ? Math.floorMod(top + 1, h) : Math.max(0, Math.min(h - 1, top + 1))) * w;
    float p = u - left;
    float q = v - top;
    float a = (1 - p) * (1 - q);
    float b = p * (1 - q);
    float c = (1 - p) * q;
    float d = p * q;
    // The texture is over white: t = c · s + 1 − s, so c · s − s · v is t − 1 + s · (1 − v).
    float s = cover == null ? 1 : mix(cover.r(), row0, row1, x0, x1, a, b, c, d);
    float r = mix(texture.r(), row0, row1, x0, x1, a, b, c, d);
    float g = mix(texture.g(), row0, row1, x0, x1, a, b, c, d);
    float blue = mix(texture.b(), row0, row1, x0, x1, a, b, c, d);
    band.r[i] = laid(band.r[i], r, s);
    band.g[i] = laid(band.g[i], g, s);
    band.b[i] = laid(band.b[i], blue, s);
  }

  private float laid(float v, float overWhite, float share) {
    return share == 1
        ? v + (overWhite - v) * amount
        : v + (overWhite - 1 + share * (1 - v)) * amount;
  }

  private static float mix(
      float[] t, int row0, int row1, int x0, int x1, float a, float b, float c, float d) {
    float v = t[row0 + x0] * a + t[row0 + x1] * b + t[row1 + x0] * c + t[row1 + x1] * d;
    return Math.min(1f, v);
  }
}
