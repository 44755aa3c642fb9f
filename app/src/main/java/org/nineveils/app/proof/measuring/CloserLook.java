package org.nineveils.app.proof.measuring;

import java.util.LinkedHashMap;
import java.util.Map;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.proof.OnRegions;
import org.nineveils.region.Grey;
import org.nineveils.stack.Bundle;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/** Looks at a part of a proof at the photo's own size. */
@Component
public class CloserLook {
  private static final int MOST = 1200;

  private final Measuring measuring;
  private final PhotoService photos;
  private final Thumbnails thumbnails;

  CloserLook(Measuring measuring, PhotoService photos, Thumbnails thumbnails) {
    this.measuring = measuring;
    this.photos = photos;
    this.thumbnails = thumbnails;
  }

  /**
   * The part as a JPEG.
   *
   * @param region in whose middle it lies; the middle of the photo where it has no such region
   * @param plain without the effect
   */
  public byte[] look(Cell cell, String region, boolean plain, int width, int height) {
    Measuring.Tried tried = measuring.tried(cell);
    Picture full = photos.full(cell.photo());
    double[] middle = middle(tried.plain().regions().get(region), tried.plain().picture());
    int w = Math.min(full.width(), Math.max(16, Math.min(MOST, width)));
    int h = Math.min(full.height(), Math.max(16, Math.min(MOST, height)));
    int x = at(middle[0] * full.width(), w, full.width());
    int y = at(middle[1] * full.height(), h, full.height());
    Area area = new Area(x, y, w, h);
    Effect effect = plain ? Effect.empty() : dressed(cell, tried, full);
    return Thumbnails.once(
        thumbnails.part(full, area, Bundle.of(effect, tried.paint(), cell.effect().start())));
  }

  /**
   * Regions are known at the size of proofs; their soft edges are made larger by straight lines.
   */
  private static Effect dressed(Cell cell, Measuring.Tried tried, Picture full) {
    Map<String, float[]> regions = new LinkedHashMap<>();
    for (String name : cell.standing().on().acts()) {
      float[] cover = tried.plain().regions().get(name);
      Picture small = tried.plain().picture();
      Picture grey = new Picture(small.width(), small.height(), cover, cover, cover);
      regions.put(name, Grey.sized(grey, full.area()));
    }
    return OnRegions.dressed(cell.effect(), tried.paint(), regions, full);
  }

  private static int at(double middle, int size, int whole) {
    return (int) Math.max(0, Math.min(whole - size, Math.round(middle - size / 2.0)));
  }

  /** The middle of a region, as shares of width and height. */
  private static double[] middle(float[] cover, Picture size) {
    double x = 0;
    double y = 0;
    double all = 0;
    for (int i = 0; cover != null && i < cover.length; i++) {
      x += cover[i] * (i % size.width() + 0.5);
      int row = i / size.width();
      y += cover[i] * (row + 0.5);
      all += cover[i];
    }
    return all < 1
        ? new double[] {0.5, 0.5}
        : new double[] {x / all / size.width(), y / all / size.height()};
  }
}
