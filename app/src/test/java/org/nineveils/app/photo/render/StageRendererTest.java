package org.nineveils.app.photo.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.ByteBuffer;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.file.PictureWriter;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;
import org.nineveils.stack.Cancel;
import org.nineveils.stack.Preparations;
import org.nineveils.stack.Stack;

class StageRendererTest {
  private static final int WIDTH = 60;
  private static final int HEIGHT = 40;

  /** Coverage of the whole was kept from before; a part of it was once read as if it were that. */
  @Test
  void aMaskShownWhileZoomedIsThatOfThePartThatIsSeen() {
    Picture picture = Picture.blank(WIDTH, HEIGHT);
    PhotoService photos = mock(PhotoService.class);
    when(photos.scaled(any(), anyInt())).thenReturn(picture);
    StageRenderer stage = stage(photos, null);
    Paint paint = new Paint(List.of(new Stroke(List.of(0.3, 0.3, 0.6, 0.4), 0.2, 0.5, 1, 1, true)));
    for (Area area : List.of(picture.area(), new Area(17, 9, 20, 16))) {
      StageRequest request = new StageRequest(WIDTH, area, "", false, false, -1);
      byte[] packet = stage.maskPacket(PHOTO, request, Mask.BRUSH_ON, paint);
      float[] covered = Painter.cover(Mask.BRUSH_ON, paint, picture, area).values();
      int first = 4 + ByteBuffer.wrap(packet).getInt();
      assertThat(packet).hasSize(first + 4 * covered.length);
      for (int i = 0; i < covered.length; i++) {
        assertThat(packet[first + 4 * i + 3]).isEqualTo((byte) Quantise.to8(covered[i]));
      }
    }
  }

  private static final Photo PHOTO = new Photo(1, "wall", "p", "sha", WIDTH, HEIGHT);

  private static StageRenderer stage(PhotoService photos, Thumbnails thumbnails) {
    return new StageRenderer(
        photos,
        thumbnails,
        null,
        new Preparations(),
        new Precedence(),
        new Budget(1_000_000),
        null);
  }

  /** The first picture of a photo does not wait for its file to be decoded. */
  @Test
  void whatIsWantedSoonAndNotAtHandIsReadFromTheSmallPicture() {
    PhotoService photos = mock(PhotoService.class);
    Thumbnails thumbnails = mock(Thumbnails.class);
    Picture white = Picture.blank(30, 20);
    for (float[] plane : List.of(white.r(), white.g(), white.b())) {
      java.util.Arrays.fill(plane, 1);
    }
    byte[] small = PictureWriter.jpeg(white, 0.9f);
    when(thumbnails.isKept("key")).thenReturn(true);
    when(thumbnails.plain(PHOTO)).thenReturn(new Thumbnails.Small("key", () -> small));
    when(photos.scaled(any(), anyInt())).thenReturn(Picture.blank(30, 20));
    StageRequest soon = new StageRequest(30, null, "s-finished.first", false, true, -1);
    assertThat(red(stage(photos, thumbnails).packet(PHOTO, soon, Stack.plain()))).isEqualTo(255);
    when(photos.isAtHand(PHOTO, 30)).thenReturn(true);
    assertThat(red(stage(photos, thumbnails).packet(PHOTO, soon, Stack.plain()))).isZero();
  }

  private static int red(byte[] packet) {
    return packet[4 + ByteBuffer.wrap(packet).getInt()] & 0xff;
  }

  @Test
  void aNewerRequestForAPictureCancelsAnOlderOneHoweverFine() {
    Views views = new Views(new Budget(1_000_000));
    Cancel fine = views.newest("s-finished");
    Cancel plain = views.newest("s-plain");
    Cancel coarse = views.newest("s-finished.coarse");
    assertThat(fine.isCancelled()).isTrue();
    assertThat(plain.isCancelled()).isFalse();
    views.newest("s-finished");
    assertThat(coarse.isCancelled()).isTrue();
    assertThat(views.newest("").isCancelled()).isFalse();
  }
}
