package org.nineveils.release.raster;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.nineveils.blend.BlendMode;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureWriter;
import org.nineveils.kernel.Band;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.picture.Scaling;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Veil;

/**
 * Writes a fitting as an OpenRaster file: the plain photo, one layer a veil, the merged picture and
 * a small one. 8 bits a channel, sRGB.
 */
public final class OpenRaster {
  /** Most pixels: layers are held as floats while they are made. Larger photos are made smaller. */
  public static final int MOST_PIXELS = 12_000_000;

  private static final String TYPE = "image/openraster";
  private static final int THUMBNAIL = 256;

  private final ZipOutputStream zip;
  private final Picture plain;
  private final PictureShelf shelf;
  private final Layers layers = new Layers();
  private Picture now;
  private int files;

  private OpenRaster(ZipOutputStream zip, Picture plain, PictureShelf shelf) {
    this.zip = zip;
    this.plain = plain;
    this.now = plain;
    this.shelf = shelf;
  }

  /** A worn effect and its name. */
  public record Named(String name, Bundle bundle) {}

  /** A photo at the size that is written. */
  public static Picture sized(Picture photo) {
    double pixels = (double) photo.width() * photo.height();
    return pixels <= MOST_PIXELS
        ? photo
        : Scaling.toLongSide(photo, (int) (photo.longSide() * Math.sqrt(MOST_PIXELS / pixels)));
  }

  /**
   * Writes the file.
   *
   * @param plain see {@link #sized}
   * @param worn the one nearest to the photo first; what is not seen is left out
   * @param shelf pictures that veils lay over photos
   * @param out stays open
   */
  public static void write(Picture plain, List<Named> worn, PictureShelf shelf, OutputStream out)
      throws IOException {
    ZipOutputStream zip = new ZipOutputStream(out);
    stored(zip, "mimetype", TYPE.getBytes(StandardCharsets.US_ASCII));
    OpenRaster made = new OpenRaster(zip, plain, shelf);
    made.layers.add("Plain photo", made.picture(plain, null), "normal", 1, true);
    for (Named one : worn) {
      if (one.bundle().opacity() > 0) {
        made.bundle(one);
      }
    }
    made.end(new Stack(worn.stream().map(Named::bundle).toList()));
    zip.finish();
  }

  private static void stored(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
    ZipEntry entry = new ZipEntry(name);
    entry.setMethod(ZipEntry.STORED);
    entry.setSize(bytes.length);
    CRC32 crc = new CRC32();
    crc.update(bytes);
    entry.setCrc(crc.getValue());
    zip.putNextEntry(entry);
    zip.write(bytes);
    zip.closeEntry();
  }

  private void end(Stack stack) throws IOException {
    Picture merged = Renderer.render(plain, plain.area(), stack, manner());
    entry("stack.xml", layers.xml(plain.width(), plain.height()).getBytes(StandardCharsets.UTF_8));
    entry("mergedimage.png", PictureWriter.write(merged, PictureFormat.PNG));
    Picture small = Scaling.toLongSide(merged, THUMBNAIL);
    entry("Thumbnails/thumbnail.png", PictureWriter.write(small, PictureFormat.PNG));
  }

  private Manner manner() {
    return Manner.exact().picturesFrom(shelf);
  }

  /** An effect: its veils, within a group of its own where it is mixed with what is below. */
  private void bundle(Named one) throws IOException {
    Bundle bundle = one.bundle();
    float[] whole = cover(bundle.mask(), bundle.cover());
    boolean group = bundle.opacity() < 1 || whole != null;
    Picture below = now;
    if (group) {
      layers.open(one.name(), bundle.opacity());
      layers.add("What is below", picture(below, null), "normal", 1, true);
    }
    for (Veil veil : bundle.veils()) {
      veil(group ? "" : one.name() + ": ", bundle, veil);
    }
    if (!group) {
      return;
    }
    if (whole != null) {
      layers.add("Where it is seen", picture(below, whole), Layers.KEEPS_WHERE, 1, true);
    }
    layers.close();
    now = mixed(below, now, whole, bundle.opacity());
  }

  /** One layer; a lifted veil is there and hidden, as it would be let down. */
  private void veil(String before, Bundle bundle, Veil veil) throws IOException {
    Veil alone =
        veil.withMask(Mask.EVERYWHERE).withOpacity(1).withLifted(false).withBlend(BlendMode.NORMAL);
    Bundle only =
        new Bundle(
            List.of(alone), java.util.Map.of(), 1, Mask.EVERYWHERE, Paint.NONE, bundle.edition());
    Picture source = Renderer.render(now, now.area(), Stack.of(only), manner());
    float[] cover = cover(veil.mask(), bundle.paint().getOrDefault(veil.id(), Paint.NONE));
    Picture blended = blended(now, source, veil.blend());
    boolean own = veil.blend() != BlendMode.EXCLUSION; // the one mode that the layout lacks
    layers.add(
        before + veil.name(),
        picture(own ? source : blended, cover),
        own ? veil.blend().id() : "normal",
        veil.opacity(),
        !veil.lifted());
    if (!veil.lifted()) {
      now = mixed(now, blended, cover, veil.opacity());
    }
  }

  /** Coverage of every pixel; null where all is covered. */
  private float[] cover(Mask mask, Paint paint) {
    if (mask.equals(Mask.EVERYWHERE) && paint.isEmpty()) {
      return null;
    }
    return Painter.cover(mask, paint, plain, plain.area()).cut(plain.area()).values();
  }

  private static Picture blended(Picture backdrop, Picture source, BlendMode mode) {
    Picture out = Picture.blank(backdrop.width(), backdrop.height());
    Band a = new Band();
    Band b = new Band();
    Band c = new Band();
    int all = out.r().length;
    for (int at = 0; at < all; at += Band.CAPACITY) {
      int n = Math.min(Band.CAPACITY, all - at);
      a.load(backdrop, at, n);
      b.load(source, at, n);
      mode.blend(a, b, c, n);
      c.store(out, at, n);
    }
    return out;
  }

  private static Picture mixed(Picture below, Picture above, float[] cover, double opacity) {
    Picture out = Picture.blank(below.width(), below.height());
    mix(below.r(), above.r(), cover, (float) opacity, out.r());
    mix(below.g(), above.g(), cover, (float) opacity, out.g());
    mix(below.b(), above.b(), cover, (float) opacity, out.b());
    return out;
  }

  private static void mix(float[] a, float[] b, float[] cover, float opacity, float[] out) {
    for (int i = 0; i < out.length; i++) {
      float share = cover == null ? opacity : opacity * cover[i];
      out[i] = Math.min(1, Math.max(0, a[i] + share * (b[i] - a[i])));
    }
  }

  /** A picture of the file; its name there. */
  private String picture(Picture picture, float[] alpha) throws IOException {
    String name = String.format(Locale.ROOT, "data/layer%03d.png", ++files);
    entry(name, RgbaPng.write(picture, alpha));
    return name;
  }

  private void entry(String name, byte[] bytes) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(bytes);
    zip.closeEntry();
  }
}
