package org.nineveils.app.photo.render;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import org.nineveils.app.base.data.PictureCache;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.file.PictureWriter;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.release.Checksums;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Preparations;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** Small JPEG pictures of photos, plain or through an effect, kept on the disk. */
@Service
public class Thumbnails {
  /** Long side of a small picture, pixels. */
  public static final int LONG_SIDE = PhotoService.SMALL;

  private static final float QUALITY = 0.9f;

  private final PhotoService photos;
  private final PictureCache cache;
  private final Precedence precedence;
  private final Manner exact;
  private final String build;

  Thumbnails(
      PhotoService photos,
      PictureCache cache,
      PlacedPictures shelf,
      Preparations preparations,
      Precedence precedence,
      EngineBuild build) {
    this.photos = photos;
    this.precedence = precedence;
    this.cache = cache;
    this.exact = Manner.exact().picturesFrom(shelf).preparedBy(preparations);
    this.build = build.name();
  }

  /**
   * A small picture before it is made: its name changes with all that it depends on, the engine
   * included, so it serves as a strong validator.
   */
  public record Small(String key, Supplier<byte[]> make) {
    /** The picture as JPEG, made and kept unless it was before. */
    public byte[] picture() {
      return make.get();
    }
  }

  /** The plain photo, small. */
  public Small plain(Photo photo) {
    return through(photo, "", Effect::empty, "", Map::of);
  }

  /**
   * The photo through an effect, small. Neither effect nor paint is read where the picture is kept.
   *
   * @param effectKey changes with the effect
   * @param paintKey changes with the paint; empty for none
   */
  public Small through(
      Photo photo,
      String effectKey,
      Supplier<Effect> effect,
      String paintKey,
      Supplier<Map<String, Paint>> paint) {
    String key = key(photo, effectKey, paintKey);
    return new Small(
        key,
        () -> cache.get(key, () -> precedence.list(() -> jpeg(photo, effect.get(), paint.get()))));
  }

  /**
   * The same before it is a JPEG, for whoever measures in it.
   *
   * @param opacity of the effect, 0…1
   */
  public Picture proof(Photo photo, Effect effect, Map<String, Paint> paint, double opacity) {
    return listed(manner -> render(photo, Bundle.of(effect, paint, opacity), LONG_SIDE, manner));
  }

  /** Whatever else is rendered for a list, in the manner of small pictures. */
  public <T> T listed(Function<Manner, T> work) {
    return precedence.list(() -> work.apply(exact.quick(true)));
  }

  /** The small picture of a proof by its name, made and kept unless it was before. */
  public byte[] keep(String key, Supplier<Picture> make) {
    return cache.get(key, () -> PictureWriter.jpeg(make.get(), QUALITY));
  }

  /** A picture that is looked at once, as a small one. */
  public static byte[] once(Picture made) {
    return PictureWriter.jpeg(made, QUALITY);
  }

  /** Photos with two or more effects over one another, at the size of proofs. */
  public Picture worn(Photo photo, List<Bundle> bundles) {
    Picture source = photos.once(photo, LONG_SIDE);
    Stack stack = new Stack(bundles);
    return listed(manner -> Renderer.render(source, source.area(), stack, manner));
  }

  /** A part of a photo, exactly. */
  public Picture part(Picture source, Area area, Bundle bundle) {
    return precedence.list(() -> Renderer.render(source, area, Stack.of(bundle), exact));
  }

  private byte[] jpeg(Photo photo, Effect effect, Map<String, Paint> paint) {
    Bundle bundle = Bundle.of(effect, paint);
    return PictureWriter.jpeg(render(photo, bundle, LONG_SIDE, exact.quick(true)), QUALITY);
  }

  /** Whether the small picture of that name was made before. */
  public boolean isKept(String key) {
    return cache.has(key);
  }

  /** Name of a small picture. */
  public String key(Photo photo, String effectKey, String paintKey) {
    String all = String.join("|", build, photo.sha(), effectKey, paintKey, "" + LONG_SIDE);
    return Checksums.sha256(all.getBytes(StandardCharsets.UTF_8));
  }

  /** What stands for an effect in names of small pictures. */
  public static String effectKey(String doc) {
    return Checksums.sha256(doc.getBytes(StandardCharsets.UTF_8));
  }

  /** The photo through an effect, exactly, as a picture of at most that long side. */
  public Picture render(Photo photo, Effect effect, Map<String, Paint> paint, int longSide) {
    return render(photo, Bundle.of(effect, paint), longSide, exact);
  }

  private Picture render(Photo photo, Bundle bundle, int longSide, Manner manner) {
    Picture source = photos.once(photo, longSide);
    return Renderer.render(source, source.area(), Stack.of(bundle), manner);
  }
}
