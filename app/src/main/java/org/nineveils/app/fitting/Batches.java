package org.nineveils.app.fitting;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.nineveils.app.fault.NotFound;
import org.nineveils.app.jobs.Job;
import org.nineveils.app.jobs.JobKind;
import org.nineveils.app.jobs.JobRun;
import org.nineveils.app.jobs.Jobs;
import org.nineveils.app.photos.Photo;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.app.render.Result;
import org.nineveils.app.render.StageRenderer;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.StackJson;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Names;
import org.nineveils.kit.Worn;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureReader;
import org.nineveils.refusal.Refusal;
import org.nineveils.stack.Stack;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;

/**
 * Applies what one photo wears to many, at full size, as a job. Paint belongs to the photo that it
 * was painted on and is left out; rules are worked out on each photo. Results lie in the job's
 * folder, so after a restart only what is missing is made.
 */
@Service
class Batches implements JobKind {
  private static final String ID = "batch";
  private static final String ZIP = "results.zip";
  private static final int MOST = 2000;

  private final FittingService fittings;
  private final PhotoService photos;
  private final StageRenderer stage;
  private final Incoming incoming;
  private final ObjectProvider<Jobs> jobs;

  Batches(
      FittingService fittings,
      PhotoService photos,
      StageRenderer stage,
      Incoming incoming,
      ObjectProvider<Jobs> jobs) {
    this.fittings = fittings;
    this.photos = photos;
    this.stage = stage;
    this.incoming = incoming;
    this.jobs = jobs;
  }

  /** A file that was taken in before: its name there, and what the user calls it. */
  record Upload(String token, String name) {}

  /**
   * Starts a batch of photos that are there and files that were taken in; what is worn is taken
   * now.
   */
  Job start(long fitting, List<Long> photoIds, List<Upload> files, Result how) {
    if (photoIds.size() + files.size() > MOST) {
      throw new Refusal("At most %d photos are taken at once.".formatted(MOST));
    }
    FittingRow row = fittings.get(fitting);
    Wardrobe wardrobe = fittings.wardrobe(row);
    Fitting unpainted =
        new Fitting(fittings.unpainted(row).worn().stream().map(Worn::unpainted).toList());
    List<Object> items = new ArrayList<>();
    for (long id : photoIds) {
      items.add(Json.object("photo", id, "name", photos.get(id).name()));
    }
    files.forEach(f -> items.add(Json.object("file", f.token(), "name", f.name())));
    String request =
        Json.write(
            how.put(
                Json.object(
                    "state", StackJson.format(unpainted, wardrobe.effects()), "items", items)));
    String title =
        "%s on %d %s"
            .formatted(wardrobe.title(), items.size(), items.size() == 1 ? "photo" : "photos");
    last(fitting).filter(j -> j.state().isOpen()).ifPresent(j -> jobs.getObject().stop(j.id()));
    return jobs.getObject()
        .start(
            ID,
            subject(fitting),
            title,
            request,
            folder -> {
              for (Upload file : files) {
                incoming.moveTo(file.token(), folder);
              }
            });
  }

  Optional<Job> last(long fitting) {
    return jobs.getObject().last(ID, subject(fitting));
  }

  void stop(long fitting) {
    Job job =
        last(fitting).orElseThrow(() -> new NotFound("Nothing is being applied to more photos."));
    jobs.getObject().stop(job.id());
  }

  private static String subject(long fitting) {
    return "fitting:" + fitting;
  }

  @Override
  public Nature nature() {
    return new Nature(ID, false, true);
  }

  private record Item(int place, String name, long photo, String file) {
    Path out(Path folder) {
      return folder.resolve("%05d.jpg".formatted(place));
    }
  }

  @Override
  public void run(JobRun run) throws IOException {
    List<Item> all = new ArrayList<>();
    run.request().objects("items", f -> all.add(item(all.size(), f)));
    if (Files.exists(run.folder().resolve(ZIP))) {
      run.total(all.size(), all.size()); // cut off after that: nothing is left to do
    } else {
      make(run, all);
    }
    tell(run, all);
  }

  private void make(JobRun run, List<Item> all) throws IOException {
    Stack stack = StackJson.parse(run.request().object("state"));
    Result how = Result.of(run.request());
    List<Item> missing = all.stream().filter(i -> !Files.exists(i.out(run.folder()))).toList();
    run.total(all.size(), all.size() - missing.size());
    run.each(
        missing,
        false,
        Item::name,
        item -> pixels(item, run.folder()),
        item -> {
          byte[] file = bytes(item, run.folder());
          Picture picture = picture(item, file);
          stage.write(picture, stack, how, file, item.out(run.folder()));
        });
    pack(run, all);
  }

  private static Item item(int place, Fields f) {
    return new Item(
        place, f.text("name"), f.has("photo") ? f.whole("photo") : 0, f.text("file", ""));
  }

  private long pixels(Item item, Path folder) {
    if (item.photo() == 0) {
      return PictureReader.pixels(bytes(item, folder), item.name());
    }
    Photo photo = photos.get(item.photo());
    return (long) photo.width() * photo.height();
  }

  private byte[] bytes(Item item, Path folder) {
    if (item.photo() != 0) {
      return photos.file(photos.get(item.photo()));
    }
    try {
      return Files.readAllBytes(folder.resolve(item.file()));
    } catch (IOException e) {
      throw new Refusal("“%s” is no longer kept; choose it again.".formatted(item.name()));
    }
  }

  private Picture picture(Item item, byte[] file) {
    return item.photo() != 0
        ? photos.full(photos.get(item.photo()))
        : PictureReader.read(file, item.name());
  }

  private static void pack(JobRun run, List<Item> all) throws IOException {
    List<Item> made = all.stream().filter(i -> Files.exists(i.out(run.folder()))).toList();
    if (made.isEmpty()) {
      return;
    }
    whole(run.folder().resolve(ZIP), part -> zip(part, made, run.folder()));
  }

  private interface Writing {
    void to(Path part) throws IOException;
  }

  /** Writes a file whole or not at all. */
  private static void whole(Path file, Writing writing) throws IOException {
    Path part = file.resolveSibling(file.getFileName() + ".part");
    try {
      writing.to(part);
      Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static void zip(Path part, List<Item> made, Path folder) throws IOException {
    Set<String> names = new HashSet<>();
    try (OutputStream out = Files.newOutputStream(part);
        ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.setLevel(Deflater.NO_COMPRESSION); // JPEG does not get smaller
      for (Item item : made) {
        String base = Names.slug(item.name().replaceFirst("\\.[A-Za-z]{3,4}$", ""));
        String name = base;
        for (int n = 2; !names.add(name); n++) {
          name = base + "-" + n;
        }
        zip.putNextEntry(new ZipEntry(name + ".jpg"));
        Files.copy(item.out(folder), zip);
        zip.closeEntry();
      }
    }
  }

  /** Says how many there are and gives them; what they were made of goes. */
  private static void tell(JobRun run, List<Item> all) throws IOException {
    Path zip = run.folder().resolve(ZIP);
    int made = 0;
    if (Files.exists(zip)) {
      try (ZipFile file = new ZipFile(zip.toFile())) {
        made = file.size();
      }
      run.result(ZIP, "nine-veils-photos.zip");
    }
    run.said("%d %s ready.".formatted(made, made == 1 ? "photo is" : "photos are"));
    for (Item item : all) {
      Files.deleteIfExists(item.out(run.folder()));
      if (!item.file().isEmpty()) {
        Files.deleteIfExists(run.folder().resolve(item.file()));
      }
    }
  }

  /** What a request says of files that were taken in. */
  static List<Upload> uploads(Fields f) {
    return f.has("files")
        ? f.objects("files", one -> new Upload(one.text("token"), one.text("name")))
        : List.of();
  }

  /** How far the last batch is, as pages take it. */
  Map<String, Object> progress(long fitting) {
    return last(fitting).map(job -> Json.object("progress", job.shown())).orElseGet(Json::object);
  }
}
