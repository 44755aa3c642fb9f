package org.nineveils.app.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.ByteBuffer;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.memory.Budget;
import org.nineveils.app.photos.Photo;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;
import org.nineveils.stack.Preparations;

class StageRendererTest {
  private static final int WIDTH = 60;
  private static final int HEIGHT = 40;

  /** Coverage of the whole was kept from before; a part of it was once read as if it were that. */
  @Test
  void aMaskShownWhileZoomedIsThatOfThePartThatIsSeen() {
    Picture picture = Picture.blank(WIDTH, HEIGHT);
    PhotoService photos = mock(PhotoService.class);
    when(photos.scaled(any(), anyInt())).thenReturn(picture);
    StageRenderer stage =
        new StageRenderer(photos, null, new Preparations(), new Budget(1_000_000));
    Photo photo = new Photo(1, "wall", "p", "sha", WIDTH, HEIGHT);
    Paint paint = new Paint(List.of(new Stroke(List.of(0.3, 0.3, 0.6, 0.4), 0.2, 0.5, 1, 1, true)));
    for (Area area : List.of(picture.area(), new Area(17, 9, 20, 16))) {
      StageRequest request = new StageRequest(WIDTH, area, "", false, -1);
      byte[] packet = stage.maskPacket(photo, request, Mask.BRUSH_ON, paint);
      float[] covered = Painter.cover(Mask.BRUSH_ON, paint, picture, area).values();
      int first = 4 + ByteBuffer.wrap(packet).getInt();
      assertThat(packet).hasSize(first + 4 * covered.length);
      for (int i = 0; i < covered.length; i++) {
        assertThat(packet[first + 4 * i + 3]).isEqualTo((byte) Quantise.to8(covered[i]));
      }
    }
  }
}
