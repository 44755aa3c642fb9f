package org.nineveils.app.wear.folders;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.nineveils.app.base.jobs.ItemFaults;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.photo.render.Result;
import org.nineveils.app.photo.render.StageRenderer;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.StackJson;
import org.nineveils.file.NewFile;
import org.nineveils.file.PictureReader;
import org.nineveils.file.data.PhotoData;
import org.nineveils.name.NamePattern;
import org.nineveils.refusal.Refusal;
import org.nineveils.stack.Stack;
import org.springframework.stereotype.Service;

/** Gives photos that were laid into a watched folder its look. */
@Service
class WatchJob implements JobKind {
  private static final String ID = "watched";

  private final WatchedFolders watched;
  private final StageRenderer stage;
  private final Jobs jobs;

  WatchJob(WatchedFolders watched, StageRenderer stage, Jobs jobs) {
    this.watched = watched;
    this.stage = stage;
    this.jobs = jobs;
  }

  private static String subject(long id) {
    return "watched:" + id;
  }

  /** Whether what was found before is still being made. */
  boolean isBusy(long id) {
    return jobs.last(ID, subject(id)).filter(j -> j.state().isOpen()).isPresent();
  }

  Job start(WatchRows.Watched folder, List<WatchedFolders.Waiting> photos) {
    List<Object> items = new ArrayList<>();
    photos.forEach(p -> items.add(Json.object("name", p.name(), "stamp", p.stamp())));
    String title =
        String.format(
            Locale.ROOT,
            "“%s”: %d %s",
            folder.folder(),
            items.size(),
            items.size() == 1 ? "photo" : "photos");
    String request = Json.write(Json.object("watched", folder.id(), "items", items));
    return jobs.start(ID, subject(folder.id()), title, request);
  }

  @Override
  public Nature nature() {
    return new Nature(ID, Turn.PATIENT, Restart.CUT_OFF); // what was not made yet is found again
  }

  @Override
  public void run(JobRun run) {
    WatchRows.Watched folder = watched.get(run.request().whole("watched"));
    Fields look = Json.read(folder.request(), "The folder");
    Stack stack = StackJson.parse(look.object("state"));
    List<WatchedFolders.Waiting> photos =
        run.request()
            .objects("items", f -> new WatchedFolders.Waiting(f.text("name"), f.text("stamp")));
    run.total(photos.size(), 0);
    run.each(
        photos,
        false,
        WatchedFolders.Waiting::name,
        photo -> pixels(folder, photo),
        photo -> one(folder, photo, stack, look));
    run.said(String.format(Locale.ROOT, "%d looked at.", photos.size()));
  }

  private long pixels(WatchRows.Watched folder, WatchedFolders.Waiting photo) {
    try {
      Path there = within(folder, photo);
      try (InputStream file = Files.newInputStream(there)) {
        return PictureReader.pixels(file, Files.size(there), photo.name());
      }
    } catch (IOException | RuntimeException e) {
      return 0; // what is wrong with it is told when it is read
    }
  }

  /** The file, if it is not larger than what is taken: nothing of it is in memory before. */
  private Path within(WatchRows.Watched folder, WatchedFolders.Waiting photo) throws IOException {
    Path file = watched.file(folder, photo.name());
    PictureReader.checkBytes(Files.size(file), photo.name());
    return file;
  }

  private void one(WatchRows.Watched folder, WatchedFolders.Waiting photo, Stack stack, Fields look)
      throws IOException {
    try {
      Optional<byte[]> file = bytes(folder, photo);
      if (file.isPresent()) {
        Path made = made(folder, photo, file.get(), stack, look);
        watched.found(folder.id(), photo, made.getFileName().toString(), "");
      }
    } catch (OutOfMemoryError e) {
      throw e; // it is tried once more
    } catch (IOException | RuntimeException | Error e) {
      watched.found(folder.id(), photo, "", ItemFaults.sentence(photo.name(), e));
      throw e;
    }
  }

  private Path made(
      WatchRows.Watched folder, WatchedFolders.Waiting photo, byte[] file, Stack stack, Fields look)
      throws IOException {
    Result how = Result.of(look);
    var picture = PictureReader.read(file, photo.name());
    int number = watched.made(folder.id()) + 1;
    String name =
        new NamePattern(look.text("names"))
            .of(photo.name(), look.text("look"), number, () -> PhotoData.of(file).taken());
    return NewFile.write(
        watched.results(look.text("to")),
        name,
        how.format().suffix(),
        part -> stage.write(picture, stack, how, file, part));
  }

  /**
   * What is in the file; empty where it is no longer the one that was found: it was saved again,
   * and is found again once it rests.
   */
  private Optional<byte[]> bytes(WatchRows.Watched folder, WatchedFolders.Waiting photo) {
    try {
      Path file = within(folder, photo);
      if (!WatchedFolders.stamp(file).equals(photo.stamp())) {
        return Optional.empty();
      }
      byte[] bytes = Files.readAllBytes(file);
      return Optional.of(bytes).filter(b -> WatchedFolders.stamp(file).equals(photo.stamp()));
    } catch (NoSuchFileException e) {
      return Optional.empty();
    } catch (IOException e) {
      throw new Refusal("“%s” could not be read.".formatted(photo.name()));
    }
  }
}
