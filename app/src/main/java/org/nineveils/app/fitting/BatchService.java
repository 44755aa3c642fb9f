package org.nineveils.app.fitting;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.app.render.StageRenderer;
import org.nineveils.app.web.NotFound;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Names;
import org.nineveils.kit.Worn;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureException;
import org.nineveils.picture.PictureFormat;
import org.nineveils.picture.PictureReader;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.util.FileSystemUtils;

/**
 * Applies what one photo wears to many, at full size, in the background. Paint belongs to the photo
 * that it was painted on and is left out; rules are worked out on each photo. One photo at a time:
 * a full-size render keeps all cores busy by itself.
 */
@Service
class BatchService {
  private static final Logger LOG = LoggerFactory.getLogger(BatchService.class);

  private final FittingService fittings;
  private final PhotoService photos;
  private final StageRenderer stage;
  private final ExecutorService worker = Executors.newSingleThreadExecutor();
  private final Map<Long, Batch> batches = new ConcurrentHashMap<>();

  BatchService(FittingService fittings, PhotoService photos, StageRenderer stage) {
    this.fittings = fittings;
    this.photos = photos;
    this.stage = stage;
  }

  /**
   * Starts a batch with photos that are there; what the fitting wears is taken now. An older batch
   * of the fitting is stopped and its results are dropped.
   */
  void start(long fitting, List<Long> photoIds) {
    FittingRow row = fittings.get(fitting);
    Fitting unpainted =
        new Fitting(fittings.fitting(row).worn().stream().map(Worn::unpainted).toList());
    Batch batch = new Batch(unpainted.stack(fittings.wardrobe(row).effects()), folder());
    photoIds.forEach(id -> batch.add(new Batch.Item(photos.get(id).name(), id, null)));
    Batch old = batches.put(fitting, batch);
    if (old != null) {
      old.stop();
      worker.execute(() -> delete(old));
    }
    photoIds.forEach(id -> worker.execute(() -> work(batch)));
  }

  /** Adds an uploaded file to the batch that is under way. */
  void add(long fitting, String fileName, byte[] bytes) throws IOException {
    Batch batch = batch(fitting);
    String plain = fileName.substring(fileName.replace('\\', '/').lastIndexOf('/') + 1);
    Path file = Files.write(Files.createTempFile(batch.folder(), "in", ""), bytes);
    batch.add(new Batch.Item(plain, 0, file));
    worker.execute(() -> work(batch));
  }

  Optional<Batch.Progress> progress(long fitting) {
    return Optional.ofNullable(batches.get(fitting)).map(Batch::progress);
  }

  void stop(long fitting) {
    batch(fitting).stop();
  }

  /** Writes the results so far as one ZIP file. */
  void write(long fitting, OutputStream out) throws IOException {
    Set<String> names = new HashSet<>();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.setLevel(java.util.zip.Deflater.NO_COMPRESSION); // JPEG does not get smaller
      for (Batch.Result result : batch(fitting).results()) {
        if (result.file() == null) {
          continue;
        }
        String base = Names.slug(result.name());
        String name = base;
        for (int n = 2; !names.add(name); n++) {
          name = base + "-" + n;
        }
        zip.putNextEntry(new ZipEntry(name + ".jpg"));
        Files.copy(result.file(), zip);
        zip.closeEntry();
      }
    }
  }

  private Batch batch(long fitting) {
    return Optional.ofNullable(batches.get(fitting))
        .orElseThrow(() -> new NotFound("Nothing is being applied to more photos."));
  }

  private void work(Batch batch) {
    Batch.Item item = batch.take();
    if (item == null) {
      return;
    }
    String name = item.name().replaceFirst("\\.[A-Za-z]{3,4}$", "");
    try {
      byte[] jpeg = stage.file(picture(item), batch.stack(), PictureFormat.JPEG);
      Path file = Files.write(Files.createTempFile(batch.folder(), "out", ".jpg"), jpeg);
      batch.finished(new Batch.Result(name, file, ""));
    } catch (PictureException | NotFound e) {
      batch.finished(new Batch.Result(name, null, e.getMessage()));
    } catch (IOException | RuntimeException e) {
      LOG.warn("applying to {} failed", item.name(), e);
      batch.finished(new Batch.Result(name, null, "“%s” was not done.".formatted(item.name())));
    }
  }

  private Picture picture(Batch.Item item) throws IOException {
    if (item.file() == null) {
      return photos.full(photos.get(item.photo()));
    }
    byte[] bytes = Files.readAllBytes(item.file());
    Files.delete(item.file());
    return PictureReader.read(bytes, item.name());
  }

  private static Path folder() {
    try {
      return Files.createTempDirectory("nine-veils-batch");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void delete(Batch batch) {
    try {
      FileSystemUtils.deleteRecursively(batch.folder());
    } catch (IOException e) {
      LOG.warn("results of a batch stay in {}", batch.folder(), e);
    }
  }

  @PreDestroy
  void close() {
    batches.values().forEach(Batch::stop);
    worker.shutdown();
    batches.values().forEach(BatchService::delete);
  }
}
