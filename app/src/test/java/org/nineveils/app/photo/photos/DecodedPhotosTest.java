package org.nineveils.app.photo.photos;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Permits;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;

class DecodedPhotosTest {
  private final Budget budget = new Budget(400_000_000);
  private final AtomicInteger decoded = new AtomicInteger();
  private final DecodedPhotos photos =
      new DecodedPhotos(
          budget,
          new Permits(10, budget),
          photo -> {
            decoded.incrementAndGet();
            return picture(photo.width(), photo.height());
          });

  private static Picture picture(int width, int height) {
    Picture p = Picture.blank(width, height);
    for (int i = 0; i < p.r().length; i++) {
      p.r()[i] = i % 251 / 251f;
      p.g()[i] = i % 127 / 127f;
      p.b()[i] = i % 83 / 83f;
    }
    return p;
  }

  private static Photo photo(int id, int width, int height) {
    return new Photo(id, "wall", "p" + id, "sha" + id, width, height);
  }

  /** Three hundred of them held 920 MB, since each plane filled regions of its own. */
  @Test
  void smallPhotosWeighWhatTheirPixelsDo() {
    for (int i = 0; i < 20; i++) {
      photos.once(photo(i, 640, 427), 400);
    }
    long pixels = 20L * (640 * 427 + 400 * 267);
    assertThat(budget.bytes()).isLessThan((long) (pixels * 12 * 1.1));
    assertThat(decoded.get()).isEqualTo(20);
  }

  @Test
  void aStageFindsTheVeryPictureThatItHadAndTheSameBitsAsEver() {
    Photo photo = photo(1, 900, 600);
    Picture first = photos.scaled(photo, 500);
    assertThat(photos.scaled(photo, 500)).isSameAs(first);
    Picture expected = Scaling.toLongSide(picture(900, 600), 500);
    assertThat(Arrays.equals(first.r(), expected.r())).isTrue();
    assertThat(Arrays.equals(photos.once(photo, 500).b(), expected.b())).isTrue();
    assertThat(photos.scaled(photo, 5000))
        .as("never larger than it is")
        .isSameAs(photos.full(photo));
    assertThat(decoded.get()).isEqualTo(1);
  }

  /** A proof run over large photos must not push all else out of memory. */
  @Test
  void aLargePhotoIsNotKeptWhereOnlyASmallPictureWasWanted() {
    Photo large = photo(1, 2600, 1800);
    photos.once(large, 400);
    assertThat(budget.bytes()).isLessThan(5_000_000);
    photos.full(large);
    assertThat(budget.bytes()).isGreaterThan(2600L * 1800 * 12);
    photos.once(large, 300);
    assertThat(decoded.get()).as("what is there is used").isEqualTo(2);
  }

  /** Measures look at the whole photo and, of the same one, at a small picture. */
  @Test
  void aLargePhotoIsHeldOnlyAsLongAsItIsLookedAt() {
    Photo large = photo(1, 2600, 1800);
    int width = photos.whole(large, Picture::width);
    assertThat(width).isEqualTo(2600);
    assertThat(budget.bytes()).isLessThan(5_000_000);
    photos.once(large, 400);
    assertThat(decoded.get()).as("the small picture came by the way").isEqualTo(1);
  }

  @Test
  void aPhotoIsAtHandOnceItNeedNotBeDecodedAndAskingDecodesNothing() {
    Photo photo = photo(1, 900, 600);
    assertThat(photos.isAtHand(photo, 400)).isFalse();
    assertThat(decoded.get()).isZero();
    photos.once(photo, 400);
    assertThat(photos.isAtHand(photo, 400)).isTrue();
  }
}
