package org.nineveils.app.photos;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;

/**
 * Decoded photos kept in memory, the one used longest ago given up first. Bounded by pixels, so
 * that large photos do not crowd out the heap: 12 bytes a pixel.
 */
final class DecodedPhotos {
  private static final long MOST_PIXELS = 40_000_000;

  private record Key(String sha, int longSide) {}

  private final Function<Photo, Picture> decode;
  private final Map<Key, Picture> kept = new LinkedHashMap<>(16, 0.75f, true);
  private long pixels;

  DecodedPhotos(Function<Photo, Picture> decode) {
    this.decode = decode;
  }

  synchronized void remember(Photo photo, Picture picture) {
    put(new Key(photo.sha(), picture.longSide()), picture);
  }

  synchronized Picture full(Photo photo) {
    return scaled(photo, Math.max(photo.width(), photo.height()));
  }

  synchronized Picture scaled(Photo photo, int longSide) {
    int full = Math.max(photo.width(), photo.height());
    Key key = new Key(photo.sha(), Math.min(full, longSide));
    Picture found = kept.get(key);
    if (found == null) {
      found =
          key.longSide() == full ? decode.apply(photo) : Scaling.toLongSide(full(photo), longSide);
      put(key, found);
    }
    return found;
  }

  private void put(Key key, Picture picture) {
    Picture old = kept.put(key, picture);
    pixels += size(picture) - (old == null ? 0 : size(old));
    var oldest = kept.entrySet().iterator();
    while (pixels > MOST_PIXELS && kept.size() > 1) {
      pixels -= size(oldest.next().getValue());
      oldest.remove();
    }
  }

  private static long size(Picture picture) {
    return (long) picture.width() * picture.height();
  }
}
