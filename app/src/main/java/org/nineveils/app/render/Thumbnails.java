package org.nineveils.app.render;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.data.PictureCache;
import org.nineveils.app.photos.Photo;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.document.PaintJson;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureWriter;
import org.nineveils.release.Checksums;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** Small JPEG pictures of photos, plain or through an effect, kept on the disk. */
@Service
public class Thumbnails {
  /** Long side of a small picture, pixels. */
  public static final int LONG_SIDE = 400;

  private static final float QUALITY = 0.9f;

  private final PhotoService photos;
  private final PictureCache cache;
  private final Manner manner;

  Thumbnails(PhotoService photos, PictureCache cache, PlacedPictures shelf) {
    this.photos = photos;
    this.cache = cache;
    this.manner = Manner.exact().quick(true).picturesFrom(shelf);
  }

  /** The plain photo, small. */
  public byte[] plain(Photo photo) {
    return through(photo, Effect.empty(), Map.of());
  }

  /** The photo through an effect, small. */
  public byte[] through(Photo photo, Effect effect, Map<String, Paint> paint) {
    return cache.get(
        key(photo, effect, paint),
        () -> PictureWriter.jpeg(render(photo, effect, paint, LONG_SIDE), QUALITY));
  }

  /** The small picture, if it was made before. */
  public Optional<byte[]> find(String key) {
    return cache.find(key);
  }

  /** Whether the small picture of that name was made before. */
  public boolean isKept(String key) {
    return cache.has(key);
  }

  /** Name of a small picture: changes with all that it depends on. */
  public String key(Photo photo, Effect effect, Map<String, Paint> paint) {
    String all =
        Json.write(
            Json.object(
                "photo", photo.sha(),
                "effect", EffectJson.format(effect),
                "paint", PaintJson.format(paint),
                "size", LONG_SIDE));
    return Checksums.sha256(all.getBytes(StandardCharsets.UTF_8));
  }

  /** The photo through an effect, as a picture of at most that long side. */
  public Picture render(Photo photo, Effect effect, Map<String, Paint> paint, int longSide) {
    Stack stack = Stack.of(new Bundle(effect.veils(), paint, 1));
    Picture source = photos.scaled(photo, longSide);
    return Renderer.render(source, source.area(), stack, manner);
  }
}
