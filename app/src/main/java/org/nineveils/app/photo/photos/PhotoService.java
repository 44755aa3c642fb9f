package org.nineveils.app.photo.photos;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Function;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Permits;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.file.PictureException;
import org.nineveils.file.PictureReader;
import org.nineveils.name.Names;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** Takes photos in and gives them out as pictures. */
@Service
public class PhotoService {
  /** Long side of pictures for lists, pixels. */
  public static final int SMALL = 400;

  private final PhotoStore store;
  private final Blobs blobs;
  private final Journal journal;
  private final DecodedPhotos decoded;

  PhotoService(PhotoStore store, Blobs blobs, Journal journal, Budget budget, Permits permits) {
    this.store = store;
    this.blobs = blobs;
    this.journal = journal;
    this.decoded =
        new DecodedPhotos(
            budget, permits, photo -> PictureReader.read(blobs.get(photo.sha()), photo.name()));
  }

  /** What undo on a page of photos looks at: each side its own. */
  public static String scope(Side side) {
    return "photos:" + side.id();
  }

  public List<Photo> all(Side side) {
    return store.all(side);
  }

  /** How many there are. */
  public int count(Side side) {
    return store.count(side);
  }

  /**
   * The photo of that id.
   *
   * @throws NotFound with a sentence if there is none
   */
  public Photo get(long id) {
    return store.find(id).orElseThrow(() -> new NotFound("This photo is no longer here."));
  }

  /**
   * Takes a file in, if it is a picture that can be read to the end.
   *
   * @param fileName as it came; the photo is named after it
   * @throws org.nineveils.file.PictureException with a sentence if it is no usable picture
   */
  public Photo add(Side side, String fileName, byte[] bytes) {
    return add(side, fileName, bytes.length, () -> new ByteArrayInputStream(bytes));
  }

  /** Where a file that comes in can be read from, as often as wanted. */
  @FunctionalInterface
  public interface Source {
    InputStream open() throws IOException;
  }

  /** What was read of a file: its picture, small where that is all that will be wanted soon. */
  private record TakenIn(String sha, int width, int height, Picture small, Picture whole) {}

  /** The same for a file of which nothing is in memory before there is room for its picture. */
  public Photo add(Side side, String fileName, long length, Source file) {
    String plain = fileName.replace('\\', '/');
    String shown = plain.substring(plain.lastIndexOf('/') + 1);
    TakenIn in = decoded.within(pixels(file, length, shown), () -> read(file, shown));
    long id =
        journal.edit(
            scope(side),
            "add " + shown,
            () -> store.add(side, freeName(side, shown), in.sha(), in.width(), in.height()));
    Photo photo = get(id);
    decoded.remember(photo, in.small());
    if (in.whole() != null) {
      decoded.remember(photo, in.whole());
    }
    return photo;
  }

  private static long pixels(Source file, long length, String name) {
    PictureReader.checkBytes(length, name);
    try (InputStream in = file.open()) {
      return PictureReader.pixels(in, length, name);
    } catch (IOException e) {
      throw new UncheckedIOException("a file that came in could not be read", e);
    }
  }

  private TakenIn read(Source file, String name) {
    try (InputStream in = file.open()) {
      byte[] bytes = in.readAllBytes();
      Picture whole = PictureReader.read(bytes, name);
      return new TakenIn(
          blobs.put(bytes),
          whole.width(),
          whole.height(),
          Scaling.toLongSide(whole, SMALL),
          whole.area().pixels() <= DecodedPhotos.KEPT_BY_THE_WAY ? whole : null);
    } catch (IOException e) {
      throw new UncheckedIOException("a file that came in could not be read", e);
    }
  }

  /** Gives a photo another name. */
  public void rename(long id, String name) {
    Photo photo = get(id);
    String clean = Names.check("A photo", name);
    journal.edit(
        scope(Side.ofId(photo.side())),
        "rename " + photo.name(),
        () -> {
          if (!Names.key(clean).equals(Names.key(photo.name()))
              && store.nameTaken(Side.ofId(photo.side()), clean)) {
            throw Conflict.taken("a photo", clean);
          }
          store.rename(id, clean);
          return null;
        });
  }

  /** Takes a photo off; its file stays, so that undo brings it back. */
  public void remove(long id) {
    Photo photo = get(id);
    journal.edit(
        scope(Side.ofId(photo.side())),
        "take off " + photo.name(),
        () -> {
          store.remove(id);
          return null;
        });
  }

  /**
   * Takes several photos of a side off as one edit.
   *
   * @throws Refusal with a sentence if one is of the other side
   */
  public void remove(Side side, List<Long> ids) {
    List<Photo> all = ids.stream().distinct().map(this::get).toList();
    if (all.stream().anyMatch(photo -> !photo.side().equals(side.id()))) {
      throw new Refusal("These photos are not all of one side; nothing was taken off.");
    }
    String what = all.size() == 1 ? all.get(0).name() : all.size() + " photos";
    journal.edit(
        scope(side),
        "take off " + what,
        () -> {
          all.forEach(photo -> store.remove(photo.id()));
          return null;
        });
  }

  /** The photo at full size. */
  public Picture full(Photo photo) {
    return decoded.full(photo);
  }

  /** The file that it was taken in as. */
  public byte[] file(Photo photo) {
    return blobs.get(photo.sha());
  }

  /** The photo with a long side of at most that many pixels. */
  public Picture scaled(Photo photo, int longSide) {
    return decoded.scaled(photo, longSide);
  }

  /** The same for a list, which does not come back for it. */
  public Picture once(Photo photo, int longSide) {
    return decoded.once(photo, longSide);
  }

  /**
   * Work on the photo at its own size, done once; where its file can no longer be read, as small as
   * it was kept when it came in.
   */
  public <T> T whole(Photo photo, Function<Picture, T> work) {
    try {
      return decoded.whole(photo, work);
    } catch (PictureException e) {
      return work.apply(once(photo, SMALL));
    }
  }

  /** Whether the photo is at hand at that size, without being decoded. */
  public boolean isAtHand(Photo photo, int longSide) {
    return decoded.isAtHand(photo, longSide);
  }

  private String freeName(Side side, String fileName) {
    int dot = fileName.lastIndexOf('.');
    String base = Names.clean(dot > 0 ? fileName.substring(0, dot) : fileName);
    base = base.replaceAll("\\p{Cntrl}", "");
    base = base.isEmpty() ? "photo" : Names.cut(base, Names.MAX);
    String name = base;
    for (int n = 2; store.nameTaken(side, name); n++) {
      name = Names.numbered(base, n);
    }
    return name;
  }
}
