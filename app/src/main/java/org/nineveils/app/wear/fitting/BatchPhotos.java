package org.nineveils.app.wear.fitting;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.wear.folders.Folders;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Component;

/** Reads the photos of batches, wherever they lie. */
@Component
class BatchPhotos {
  private final PhotoService photos;
  private final Folders folders;

  BatchPhotos(PhotoService photos, Folders folders) {
    this.photos = photos;
    this.folders = folders;
  }

  long pixels(BatchItem item, Path job) {
    if (item.photo() == 0) {
      try {
        Path there = path(item, job);
        try (InputStream file = Files.newInputStream(there)) {
          return PictureReader.pixels(file, Files.size(there), item.name());
        }
      } catch (IOException e) {
        throw unreadable(item);
      }
    }
    Photo photo = photos.get(item.photo());
    return (long) photo.width() * photo.height();
  }

  byte[] bytes(BatchItem item, Path job) {
    if (item.photo() != 0) {
      return photos.file(photos.get(item.photo()));
    }
    try {
      return Files.readAllBytes(path(item, job));
    } catch (IOException e) {
      throw unreadable(item);
    }
  }

  /** Where it lies, if it is not larger than what is taken: nothing of it is in memory before. */
  private Path path(BatchItem item, Path job) throws IOException {
    Path file =
        item.in().isEmpty() ? job.resolve(item.file()) : folders.of(item.in()).resolve(item.name());
    PictureReader.checkBytes(Files.size(file), item.name());
    return file;
  }

  private static Refusal unreadable(BatchItem item) {
    return new Refusal(
        item.in().isEmpty()
            ? "“%s” is no longer kept; choose it again.".formatted(item.name())
            : "“%s” cannot be read in “%s”.".formatted(item.name(), item.in()));
  }

  Picture picture(BatchItem item, byte[] file) {
    return item.photo() != 0
        ? photos.full(photos.get(item.photo()))
        : PictureReader.read(file, item.name());
  }
}
