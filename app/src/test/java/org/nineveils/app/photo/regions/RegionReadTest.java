package org.nineveils.app.photo.regions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.when;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.data.TestBlobs;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.paint.ParsedStrokes;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.base.undo.TestJournal;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.testing.Database;
import org.nineveils.file.PictureWriter;
import org.nineveils.mask.Mask;
import org.nineveils.picture.Picture;
import org.nineveils.region.PhotoRegion;
import org.nineveils.region.PhotoRegions;

class RegionReadTest {
  @TempDir Path folder;

  private static PhotoRegion region(String id, String name) {
    return new PhotoRegion(id, name, Mask.BRUSH_ON, false);
  }

  /**
   * While a picture is decoded, another tab adds a region: it was gone once the picture was read.
   */
  @Test
  void whatIsSavedWhileAPictureOfARegionIsReadStays() {
    try (Database database = new Database(folder)) {
      database
          .client()
          .sql(
              "insert into photo (id, side, name, name_key, sha, width, height) values (1, 'wall', 'P', 'p', 'x', 8, 8)")
          .update();
      PhotoService photos = mock(PhotoService.class);
      when(photos.get(1)).thenReturn(new Photo(1, "wall", "P", "x", 8, 8));
      Blobs blobs = spy(TestBlobs.in(folder.resolve("files")));
      Budget budget = new Budget(1_000_000);
      RegionService regions =
          new RegionService(
              new RegionStore(database.client(), mock(ParsedStrokes.class)),
              photos,
              TestJournal.on(database),
              blobs,
              budget);
      PhotoRegion skin = region("r1", "skin");
      regions.save(1, Save.on(regions.row(1).rev(), "add"), new PhotoRegions(List.of(skin)));
      doAnswer(
              kept -> {
                PhotoRegions two = new PhotoRegions(List.of(skin, region("r2", "eyes")));
                regions.save(1, Save.on(regions.row(1).rev(), "add eyes"), two);
                return kept.callRealMethod();
              })
          .when(blobs)
          .put(any());
      regions.read(1, "r1", "skin.png", PictureWriter.png16(Picture.blank(8, 8)));
      assertThat(regions.regions(1).all())
          .extracting(PhotoRegion::name)
          .containsExactly("skin", "eyes");
    }
  }
}
