package org.nineveils.app.photo.render;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Weights;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.picture.Scaling;
import org.nineveils.refusal.InputLimits;
import org.nineveils.refusal.Refusal;
import org.nineveils.table.ClfFile;
import org.nineveils.table.ColourTable;
import org.nineveils.table.CubeFile;
import org.springframework.stereotype.Service;

/** Pictures that veils lay over photos: kept as files, those used last also as pixels. */
@Service
public class PlacedPictures implements PictureShelf {
  private static final int SMALL_LONG_SIDE = 160;
  private static final float SMALL_QUALITY = 0.85f;

  private final Blobs blobs;
  private final org.nineveils.app.base.memory.Shelf<Size, Picture> decoded;

  private final org.nineveils.app.base.memory.Shelf<Size, Picture> covers;

  /** Stands for a picture of which all is there. */
  private static final Picture OPAQUE = Picture.blank(1, 1);

  /** A picture at a long side; {@link #WHOLE} for its own size. */
  private record Size(String sha, int longSide) {}

  private static final int WHOLE = 0;

  PlacedPictures(Blobs blobs, Budget budget) {
    this.blobs = blobs;
    this.decoded = budget.shelf("placed pictures", Weights::picture);
    this.covers = budget.shelf("transparency of placed pictures", Weights::picture);
  }

  /**
   * Takes a file in, if it is a JPEG or PNG that can be read to the end and fits into a release.
   *
   * @return its name on the shelf
   * @throws Refusal with a sentence if it is not
   */
  public String take(String fileName, byte[] file) {
    if (file.length > InputLimits.RELEASE_ENTRY_BYTES) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "“%s” has %d MB; a picture that goes into effects may have %d MB.",
              fileName,
              file.length >> 20,
              InputLimits.RELEASE_ENTRY_BYTES >> 20));
    }
    PictureFormat.ofBytes(file, fileName);
    Picture picture = PictureReader.read(file, fileName);
    String sha = blobs.put(file);
    decoded.put(new Size(sha, WHOLE), picture);
    return sha;
  }

  /**
   * Takes a colour table in, as text or as a picture, and keeps it as a picture.
   *
   * @return its name on the shelf
   * @throws Refusal with a sentence if it is none
   */
  public String takeTable(String fileName, byte[] file) {
    String lower = fileName.toLowerCase(Locale.ROOT);
    if (lower.endsWith(".cube") || lower.endsWith(".clf")) {
      if (file.length > InputLimits.TABLE_BYTES) {
        throw new Refusal("“%s” is too large for a table.".formatted(fileName));
      }
      Picture table =
          lower.endsWith(".clf")
              ? ClfFile.read(file, fileName)
              : CubeFile.read(new String(file, StandardCharsets.UTF_8), fileName);
      return take(fileName, PictureWriter.png16(table));
    }
    Picture picture = PictureReader.read(file, fileName);
    Picture ordered = ColourTable.ordered(picture, fileName);
    return take(fileName, ordered.equals(picture) ? file : PictureWriter.png16(ordered));
  }

  /** The file of a picture. */
  public byte[] file(String sha) {
    return blobs.get(sha);
  }

  @Override
  public Optional<Picture> find(String sha) {
    return blobs.has(sha) ? Optional.of(whole(sha)) : Optional.empty();
  }

  private Picture whole(String sha) {
    return decoded.get(new Size(sha, WHOLE), () -> PictureReader.read(blobs.get(sha), sha));
  }

  /** One texture for all that lay it at that size, however it is turned or moved. */
  @Override
  public Optional<Picture> find(String sha, int longSide) {
    return blobs.has(sha)
        ? Optional.of(
            decoded.get(new Size(sha, longSide), () -> Scaling.toLongSide(whole(sha), longSide)))
        : Optional.empty();
  }

  @Override
  public Optional<Picture> cover(String sha, int longSide) {
    if (!blobs.has(sha)) {
      return Optional.empty();
    }
    Picture cover =
        covers.get(
            new Size(sha, longSide),
            () ->
                PictureReader.cover(blobs.get(sha), sha)
                    .map(whole -> Scaling.toLongSide(whole, longSide))
                    .orElse(OPAQUE));
    return Optional.of(cover).filter(c -> !c.equals(OPAQUE));
  }

  /** The picture, small, as a JPEG. */
  byte[] small(String sha) {
    Picture picture = find(sha).orElseThrow(() -> new NotFound("This picture is not here."));
    return PictureWriter.jpeg(Scaling.toLongSide(picture, SMALL_LONG_SIDE), SMALL_QUALITY);
  }
}
