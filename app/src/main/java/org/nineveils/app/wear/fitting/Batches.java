package org.nineveils.app.wear.fitting;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.SavedResults;
import org.nineveils.app.photo.render.Result;
import org.nineveils.app.photo.render.StageRenderer;
import org.nineveils.app.wear.folders.Folders;
import org.nineveils.app.wear.folders.WatchedFolders;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.StackJson;
import org.nineveils.file.NewFile;
import org.nineveils.file.data.PhotoData;
import org.nineveils.name.NamePattern;
import org.nineveils.refusal.Refusal;
import org.nineveils.stack.Stack;
import org.springframework.stereotype.Service;

/**
 * Applies what one photo wears to many, as a job. Paint belongs to the photo that it was painted on
 * and is left out; rules are worked out on each photo. After a restart only what is missing is
 * made.
 */
@Service
class Batches implements JobKind {
  private static final String ID = "batch";
  private static final int MOST = 2000;

  private final FittingService fittings;
  private final PhotoService photos;
  private final BatchPhotos reading;
  private final StageRenderer stage;
  private final Incoming incoming;
  private final Folders folders;
  private final WatchedFolders watched;
  private final SavedResults saved;
  private final Jobs jobs;

  Batches(
      FittingService fittings,
      PhotoService photos,
      BatchPhotos reading,
      StageRenderer stage,
      Incoming incoming,
      Folders folders,
      WatchedFolders watched,
      SavedResults saved,
      Jobs jobs) {
    this.fittings = fittings;
    this.photos = photos;
    this.reading = reading;
    this.stage = stage;
    this.incoming = incoming;
    this.folders = folders;
    this.watched = watched;
    this.saved = saved;
    this.jobs = jobs;
  }

  /** A file that was taken in before: its name there, and what the user calls it. */
  record Upload(String token, String name) {}

  /**
   * What photos are taken, and where results go.
   *
   * @param photos ids of photos that are kept here
   * @param from name of a folder of which all photos are taken; empty for none
   * @param to name of a folder that results go into; empty for one ZIP file
   */
  record Wanted(List<Long> photos, List<Upload> files, String from, String to, NamePattern names) {
    static Wanted of(Fields f) {
      return new Wanted(
          f.wholes("photos"),
          f.has("files")
              ? f.objects("files", one -> new Upload(one.text("token"), one.text("name")))
              : List.of(),
          f.text("from", ""),
          f.text("to", ""),
          NamePattern.ofText(f.text("names", "")));
    }
  }

  /** Starts a batch; what is worn is taken now. */
  Job start(long fitting, Wanted wanted, Result how) {
    FittingRow row = fittings.get(fitting);
    Wardrobe wardrobe = fittings.wardrobe(row);
    List<Object> items = items(wanted);
    if (items.isEmpty()) {
      throw new Refusal("There is no photo to apply it to; nothing was started.");
    }
    if (items.size() > MOST) {
      throw new Refusal(String.format(Locale.ROOT, "At most %d photos are taken at once.", MOST));
    }
    if (!wanted.to().isEmpty()) {
      folders.made(wanted.to());
    }
    Map<String, Object> state = state(row);
    String request =
        Json.write(
            how.put(
                Json.object(
                    "state", state,
                    "stamp", SavedResults.stamp(state),
                    "items", items,
                    "look", LookName.of(fittings.unpainted(row), wardrobe),
                    "to", wanted.to(),
                    "names", wanted.names().text())));
    String title =
        String.format(
            Locale.ROOT,
            "%s on %d %s",
            wardrobe.title(),
            items.size(),
            items.size() == 1 ? "photo" : "photos");
    last(fitting).filter(j -> j.state().isOpen()).ifPresent(j -> jobs.stop(j.id()));
    return jobs.start(
        ID,
        subject(fitting),
        title,
        request,
        folder -> {
          for (Upload file : wanted.files()) {
            incoming.moveTo(file.token(), folder);
          }
        });
  }

  /** Watches the folder that photos are taken from; gives a sentence. */
  String watch(long fitting, Wanted wanted, Result how) {
    FittingRow row = fittings.get(fitting);
    String look = LookName.of(fittings.unpainted(row), fittings.wardrobe(row));
    return watched.watch(
        wanted.from(), new WatchedFolders.Look(state(row), look, wanted.to(), wanted.names(), how));
  }

  /** What a fitting wears as it is applied to other photos. */
  Map<String, Object> state(FittingRow row) {
    return StackJson.format(fittings.unpainted(row), fittings.wardrobe(row).effects());
  }

  private List<Object> items(Wanted wanted) {
    List<Object> items = new ArrayList<>();
    wanted.photos().forEach(id -> items.add(BatchItem.ofPhoto(id, photos.get(id).name())));
    wanted.files().forEach(f -> items.add(BatchItem.ofFile(f.token(), f.name())));
    if (!wanted.from().isEmpty()) {
      for (Path photo : folders.photos(wanted.from())) {
        items.add(BatchItem.ofFolder(wanted.from(), photo.getFileName().toString()));
      }
    }
    return items;
  }

  Optional<Job> last(long fitting) {
    return jobs.last(ID, subject(fitting));
  }

  void stop(long fitting) {
    Job job =
        last(fitting).orElseThrow(() -> new NotFound("Nothing is being applied to more photos."));
    jobs.stop(job.id());
  }

  private static String subject(long fitting) {
    return "fitting:" + fitting;
  }

  @Override
  public Nature nature() {
    return new Nature(ID, Turn.PATIENT, Restart.GOES_ON);
  }

  @Override
  public void run(JobRun run) throws IOException {
    List<BatchItem> all = new ArrayList<>();
    run.request().objects("items", f -> all.add(BatchItem.of(all.size(), f)));
    Path job = run.folder();
    String to = run.request().text("to", "");
    Result how = Result.of(run.request());
    NamePattern names = new NamePattern(run.request().text("names", NamePattern.START.text()));
    String look = run.request().text("look", "");
    if (BatchZip.isThere(job)) {
      run.total(all.size(), all.size()); // cut off after that: nothing is left to do
    } else {
      Stack stack = StackJson.parse(run.request().object("state"));
      make(run, all, item -> one(item, job, stack, how, to, names, look));
      if (to.isEmpty()) {
        BatchZip.pack(job, all, how.format().suffix());
      }
    }
    tell(run, all, to);
    String stamp = run.request().text("stamp", "");
    for (BatchItem item : all) {
      if (item.photo() > 0 && (Files.exists(item.result(job)) || Files.exists(item.there(job)))) {
        saved.put(item.photo(), stamp);
      }
    }
    for (BatchItem item : all) {
      Files.deleteIfExists(item.result(job));
      Files.deleteIfExists(item.named(job));
      if (!item.file().isEmpty()) {
        Files.deleteIfExists(job.resolve(item.file()));
      }
    }
  }

  private void make(JobRun run, List<BatchItem> all, JobRun.Work<BatchItem> work) {
    Path job = run.folder();
    List<BatchItem> missing = all.stream().filter(i -> !i.isMade(job)).toList();
    run.total(all.size(), all.size() - missing.size());
    run.each(missing, false, BatchItem::name, item -> reading.pixels(item, job), work);
  }

  private void one(
      BatchItem item, Path job, Stack stack, Result how, String to, NamePattern names, String look)
      throws IOException {
    byte[] file = reading.bytes(item, job);
    var picture = reading.picture(item, file);
    String name = names.of(item.name(), look, item.place() + 1, () -> PhotoData.of(file).taken());
    if (to.isEmpty()) {
      Files.writeString(item.named(job), name);
      stage.write(picture, stack, how, file, item.result(job));
      return;
    }
    String suffix = how.format().suffix();
    Path made =
        NewFile.write(
            folders.made(to), name, suffix, part -> stage.write(picture, stack, how, file, part));
    Files.writeString(item.there(job), made.getFileName().toString());
  }

  /** Says how many there are, and gives them or says where they lie. */
  private static void tell(JobRun run, List<BatchItem> all, String to) throws IOException {
    Path job = run.folder();
    if (to.isEmpty()) {
      int made = BatchZip.count(job);
      if (made > 0) {
        run.result(BatchZip.FILE, "nine-veils-photos.zip");
      }
      run.said(
          String.format(Locale.ROOT, "%d %s ready.", made, made == 1 ? "photo is" : "photos are"));
      return;
    }
    long made = all.stream().filter(i -> Files.exists(i.there(job))).count();
    run.said(
        String.format(
            Locale.ROOT, "%d %s in “%s”.", made, made == 1 ? "photo is" : "photos are", to));
  }

  /** How far the last batch is, as pages take it. */
  Map<String, Object> progress(long fitting) {
    return last(fitting).map(job -> Json.object("progress", job.shown())).orElseGet(Json::object);
  }
}
