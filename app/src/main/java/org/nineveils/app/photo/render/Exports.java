package org.nineveils.app.photo.render;

import java.io.IOException;
import java.util.Map;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.SavedResults;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.StackJson;
import org.nineveils.file.data.PhotoData;
import org.nineveils.name.NamePattern;
import org.springframework.stereotype.Service;

/** Makes full-size results as jobs: what is worn is taken at the moment of asking. */
@Service
public class Exports implements JobKind {
  private static final String ID = "export";

  private final PhotoService photos;
  private final StageRenderer stage;
  private final SavedResults saved;
  private final Jobs jobs;

  Exports(PhotoService photos, StageRenderer stage, SavedResults saved, Jobs jobs) {
    this.photos = photos;
    this.stage = stage;
    this.saved = saved;
    this.jobs = jobs;
  }

  /**
   * Starts an export.
   *
   * @param state as {@link StackJson} writes it
   * @param name of what is worn, for the file's name
   * @param names how the file is called
   */
  public Job start(
      Photo photo, Map<String, Object> state, Result how, String name, NamePattern names) {
    String file =
        names.of(photo.name(), name, 1, () -> PhotoData.of(photos.file(photo)).taken())
            + how.format().suffix();
    String request =
        Json.write(
            how.put(
                Json.object(
                    "photo",
                    photo.id(),
                    "state",
                    state,
                    "stamp",
                    SavedResults.stamp(state),
                    "file",
                    file)));
    String title = "“%s” through “%s”, %s".formatted(photo.name(), name, how.format().words());
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
    Result how = Result.of(request);
    String file = request.text("file");
    run.total(1, 0);
    boolean made =
        run.item(
            photo.name(),
            (long) photo.width() * photo.height(),
            () -> {
              var stack = StackJson.parse(request.object("state"));
              stage.write(photo, stack, how, run.folder().resolve(file));
            });
    if (made) {
      run.result(file, file);
      saved.put(photo.id(), request.text("stamp", ""));
      run.said("The picture is ready.");
    }
  }
}
