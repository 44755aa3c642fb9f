package org.nineveils.app.photo.photos;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;

import org.junit.jupiter.api.Test;

class ReadyingTest {
  private final PhotoService photos = mock(PhotoService.class);

  private static Photo photo(int width, int height) {
    return new Photo(1, "wall", "p", "sha", width, height);
  }

  @Test
  void aPhotoIsMadeReadyForTheStageAndForItsFirstPicture() {
    Readying readying = new Readying(photos);
    readying.makeReady(photo(6000, 4000), 1200);
    verify(photos, timeout(5000)).once(any(), eq(1200));
    verify(photos, timeout(5000)).once(any(), eq(PhotoService.SMALL));
    readying.destroy();
  }

  @Test
  void aVeryLargePhotoIsLeftUntilItIsWanted() {
    Readying readying = new Readying(photos);
    readying.makeReady(photo(9000, 6700), 1200);
    readying.destroy();
    verify(photos, never()).once(any(), anyInt());
  }
}
