package org.nineveils.app.render;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.data.Blobs;
import org.nineveils.app.data.Recent;
import org.nineveils.app.web.NotFound;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureFormat;
import org.nineveils.picture.PictureReader;
import org.nineveils.picture.PictureWriter;
import org.nineveils.picture.Scaling;
import org.nineveils.picture.Shelf;
import org.nineveils.release.PackageLimits;
import org.nineveils.veil.colour.ColourTable;
import org.nineveils.veil.colour.CubeFile;
import org.springframework.stereotype.Service;

/** Pictures that veils lay over photos: kept as files, those used last also as pixels. */
@Service
public class PlacedPictures implements Shelf {
  private static final int KEPT = 6;
  private static final int SMALL_LONG_SIDE = 160;
  private static final float SMALL_QUALITY = 0.85f;

  private final Blobs blobs;
  private final Map<String, Picture> decoded = new Recent<>(KEPT);

  PlacedPictures(Blobs blobs) {
    this.blobs = blobs;
  }

  /**
   * Takes a file in, if it is a JPEG or PNG that can be read to the end and fits into a release.
   *
   * @return its name on the shelf
   * @throws IllegalArgumentException with a sentence if it is not
   */
  public String take(String fileName, byte[] file) {
    if (file.length > PackageLimits.MAX_ENTRY_BYTES) {
      throw new IllegalArgumentException(
          "“%s” has %d MB; a picture that goes into effects may have %d MB."
              .formatted(fileName, file.length >> 20, PackageLimits.MAX_ENTRY_BYTES >> 20));
    }
    PictureFormat.ofBytes(file, fileName);
    Picture picture = PictureReader.read(file, fileName);
    String sha = blobs.put(file);
    synchronized (decoded) {
      decoded.put(sha, picture);
    }
    return sha;
  }

  /**
   * Takes a colour table in, as text or as a picture, and keeps it as a picture.
   *
   * @return its name on the shelf
   * @throws IllegalArgumentException with a sentence if it is none
   */
  public String takeTable(String fileName, byte[] file) {
    if (fileName.toLowerCase(Locale.ROOT).endsWith(".cube")) {
      if (file.length > PackageLimits.MAX_ENTRY_BYTES * 2) {
        throw new IllegalArgumentException("“%s” is too large for a table.".formatted(fileName));
      }
      Picture table = CubeFile.read(new String(file, StandardCharsets.UTF_8), fileName);
      return take(fileName, PictureWriter.png16(table));
    }
    Picture picture = PictureReader.read(file, fileName);
    if (ColourTable.side(picture).isEmpty()) {
      throw new IllegalArgumentException(
          "“%s” is no colour table: it has %d × %d pixels, which is no cube of up to %d entries."
              .formatted(fileName, picture.width(), picture.height(), ColourTable.MOST));
    }
    return take(fileName, file);
  }

  /** The file of a picture. */
  public byte[] file(String sha) {
    return blobs.get(sha);
  }

  @Override
  public Optional<Picture> find(String sha) {
    synchronized (decoded) {
      Picture found = decoded.get(sha);
      if (found == null && blobs.has(sha)) {
        found = PictureReader.read(blobs.get(sha), sha);
        decoded.put(sha, found);
      }
      return Optional.ofNullable(found);
    }
  }

  /** The picture, small, as a JPEG. */
  byte[] small(String sha) {
    Picture picture = find(sha).orElseThrow(() -> new NotFound("This picture is not here."));
    return PictureWriter.jpeg(Scaling.toLongSide(picture, SMALL_LONG_SIDE), SMALL_QUALITY);
  }
}
