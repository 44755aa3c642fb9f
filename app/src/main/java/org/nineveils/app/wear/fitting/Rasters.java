package org.nineveils.app.wear.fitting;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.render.PlacedPictures;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.StackJson;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.nineveils.name.Names;
import org.nineveils.picture.Picture;
import org.nineveils.release.raster.OpenRaster;
import org.nineveils.stack.Stack;
import org.springframework.stereotype.Service;

/** Writes fittings in layers, for programs that paint: a job. */
@Service
class Rasters implements JobKind {
  /** What an export of a fitting is called that is one of these. */
  static final String FORMAT = "ora";

  private static final String ID = "raster";

  /** Layers are held as floats while they are made: more of them than a plain export has. */
  private static final int TIMES = 3;

  private final FittingService fittings;
  private final PhotoService photos;
  private final PlacedPictures shelf;
  private final Jobs jobs;

  Rasters(FittingService fittings, PhotoService photos, PlacedPictures shelf, Jobs jobs) {
    this.fittings = fittings;
    this.photos = photos;
    this.shelf = shelf;
    this.jobs = jobs;
  }

  /** Starts it; what is worn is taken now. */
  Job start(FittingRow row) {
    Wardrobe wardrobe = fittings.wardrobe(row);
    Fitting fitting = fittings.fitting(row);
    List<String> names = new ArrayList<>();
    for (Worn worn : fitting.worn()) {
      if (wardrobe.effects().apply(worn.effect()) != null) {
        names.add(wardrobe.offers().get(worn.effect()).name());
      }
    }
    Photo photo = photos.get(row.photoId());
    String request =
        Json.write(
            Json.object(
                "photo", photo.id(),
                "state", StackJson.format(fitting, wardrobe.effects()),
                "names", names));
    String title = "“%s” in layers".formatted(photo.name());
    return jobs.start(ID, "photo:" + photo.id(), title, request);
  }

  @Override
  public Nature nature() {
    return new Nature(ID, Turn.QUICK, Restart.GOES_ON);
  }

  @Override
  public void run(JobRun run) throws IOException {
    Fields request = run.request();
    Photo photo = photos.get(request.whole("photo"));
    Stack stack = StackJson.parse(request.object("state"));
    List<String> names = request.texts("names");
    List<OpenRaster.Named> worn = new ArrayList<>();
    for (int i = 0; i < stack.bundles().size(); i++) {
      worn.add(new OpenRaster.Named(names.get(i), stack.bundles().get(i)));
    }
    String file = Names.slug(photo.name()) + ".ora";
    long own = (long) photo.width() * photo.height();
    long pixels = Math.max(own, TIMES * Math.min(OpenRaster.MOST_PIXELS, own));
    run.total(1, 0);
    boolean made =
        run.item(photo.name(), pixels, () -> write(photo, worn, run.folder().resolve(file)));
    if (made) {
      run.result(file, file);
      run.said(
          own > OpenRaster.MOST_PIXELS
              ? String.format(
                  Locale.ROOT,
                  "The layers are ready, made smaller to %d megapixels.",
                  OpenRaster.MOST_PIXELS / 1_000_000)
              : "The layers are ready.");
    }
  }

  private void write(Photo photo, List<OpenRaster.Named> worn, java.nio.file.Path file)
      throws IOException {
    Picture plain = OpenRaster.sized(photos.full(photo));
    try (OutputStream out = Files.newOutputStream(file)) {
      OpenRaster.write(plain, worn, shelf, out);
    }
  }
}
