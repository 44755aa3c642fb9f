package org.nineveils.app.photo.photos;

import java.util.function.Function;
import java.util.function.Supplier;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.CompactPicture;
import org.nineveils.app.base.memory.Permits;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.base.memory.Weights;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;

/**
 * Decoded photos within the budget of memory. Small ones are kept compactly, and those used last
 * also as planes, so that a stage finds the very picture that it was given before. A picture is
 * decoded once, however many ask for it, and few large ones are decoded at a time.
 */
final class DecodedPhotos {
  /** Largest scaled picture that is kept compactly, pixels. */
  private static final int SMALL = 2_000_000;

  /** A full-size photo up to this many pixels is kept also where only a small one was wanted. */
  static final long KEPT_BY_THE_WAY = 4_000_000;

  /** A long side up to which a picture counts as one for lists. */
  private static final int FOR_LISTS = 700;

  /** What decoding takes: the samples as they come, and the planes made of them. */
  private static final int BYTES_A_PIXEL = 16;

  private record Key(String sha, int longSide) {}

  private final Function<Photo, Picture> decode;
  private final Budget budget;
  private final Permits permits;
  private final Shelf<Key, Picture> large;
  private final Shelf<Key, CompactPicture> small;
  private final Shelf<Key, Picture> onStages;

  DecodedPhotos(Budget budget, Permits permits, Function<Photo, Picture> decode) {
    this.permits = permits;
    this.decode = decode;
    this.budget = budget;
    this.large = budget.shelf("photos, large", Weights::picture);
    this.small = budget.shelf("photos, small", CompactPicture::bytes);
    this.onStages = budget.shelf("photos on stages", Weights::picture);
  }

  /** Keeps what was decoded while a photo was taken in, at that size. */
  void remember(Photo photo, Picture picture) {
    Key key = new Key(photo.sha(), picture.longSide());
    if (picture.area().pixels() <= SMALL) {
      small.put(key, new CompactPicture(picture));
    } else {
      large.put(key, picture);
    }
  }

  Picture full(Photo photo) {
    return scaled(photo, longSide(photo));
  }

  private static int longSide(Photo photo) {
    return Math.max(photo.width(), photo.height());
  }

  private Picture decoded(Photo photo) {
    return within(pixels(photo), () -> decode.apply(photo));
  }

  /** Decodes a picture of that many pixels when there is room for it. */
  <T> T within(long pixels, Supplier<T> decode) {
    return permits.with(pixels, () -> budget.making(pixels * BYTES_A_PIXEL, decode));
  }

  /** For a stage, which will come back for the very same planes. */
  Picture scaled(Photo photo, int wanted) {
    Key key = key(photo, wanted);
    return isSmall(photo, key)
        ? permitted(photo, key, () -> onStages.get(key, () -> compact(photo, key).picture()))
        : permitted(photo, key, () -> large.get(key, () -> made(photo, key)));
  }

  /**
   * Work on a photo at its own size that does not come back for it. A large one is there for as
   * long as the work takes, under its permits, and is not kept.
   */
  <T> T whole(Photo photo, Function<Picture, T> work) {
    int own = longSide(photo);
    boolean kept = pixels(photo) <= KEPT_BY_THE_WAY || isAtHand(photo, own);
    return permits.with(
        pixels(photo), () -> work.apply(kept ? once(photo, own) : inPassing(photo)));
  }

  /** Decodes a photo; the small picture that lists will ask for is kept by the way. */
  private Picture inPassing(Photo photo) {
    Picture whole = decoded(photo);
    if (!isAtHand(photo, PhotoService.SMALL)) {
      remember(photo, Scaling.toLongSide(whole, PhotoService.SMALL));
    }
    return whole;
  }

  /** For a list, which asks once. */
  Picture once(Photo photo, int wanted) {
    Key key = key(photo, wanted);
    return isSmall(photo, key)
        ? permitted(photo, key, () -> compact(photo, key).picture())
        : scaled(photo, wanted);
  }

  /**
   * Permits come before a place among what is being made: whoever makes something waits for none.
   * No permits are needed where nothing is decoded.
   */
  private Picture permitted(Photo photo, Key key, Supplier<Picture> make) {
    return isAtHand(photo, key.longSide()) ? make.get() : permits.with(pixels(photo), make);
  }

  private static long pixels(Photo photo) {
    return (long) photo.width() * photo.height();
  }

  /** Whether a scaled picture can be had without decoding the photo. */
  boolean isAtHand(Photo photo, int wanted) {
    Key key = key(photo, wanted);
    Key whole = key(photo, longSide(photo));
    return onStages.find(key).isPresent()
        || small.find(key).isPresent()
        || small.find(whole).isPresent()
        || large.find(whole).isPresent()
        || large.find(key).isPresent();
  }

  private static Key key(Photo photo, int wanted) {
    return new Key(photo.sha(), Math.min(wanted, longSide(photo)));
  }

  private static boolean isSmall(Photo photo, Key key) {
    double share = key.longSide() / (double) longSide(photo);
    return photo.width() * share * photo.height() * share <= SMALL;
  }

  private CompactPicture compact(Photo photo, Key key) {
    return small.get(key, () -> new CompactPicture(made(photo, key)));
  }

  private Picture made(Photo photo, Key key) {
    if (key.longSide() == longSide(photo)) {
      return decoded(photo);
    }
    boolean inPassing =
        key.longSide() <= FOR_LISTS
            && (long) photo.width() * photo.height() > KEPT_BY_THE_WAY
            && large.find(new Key(photo.sha(), longSide(photo))).isEmpty();
    return Scaling.toLongSide(
        inPassing ? decoded(photo) : once(photo, longSide(photo)), key.longSide());
  }
}
