package org.nineveils.app.leaving.collections;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.since.NextVersion;
import org.springframework.stereotype.Component;

/** What was packed of collections: for ever, whatever becomes of them. */
@Component
public class PackedReleases {
  private final CollectionStore store;
  private final Blobs blobs;
  private final Shelf<String, Release> open;

  PackedReleases(CollectionStore store, Blobs blobs, Budget budget) {
    this.store = store;
    this.blobs = blobs;
    this.open = budget.shelf("packed releases", Release::bytes);
  }

  /** Of a collection, the newest first. */
  public List<CollectionRows.Packed> of(long collection) {
    return store.packed(collection);
  }

  /** A version of a name, if it was packed. */
  public Optional<CollectionRows.Packed> of(String name, String version) {
    return store.packed(name, version);
  }

  /** Keeps one for ever. */
  public void add(CollectionRows.Packed one) {
    store.addPacked(one);
  }

  /** Releases whose collection was removed: they stay for ever all the same. */
  public List<CollectionRows.Packed> ofNone() {
    return store.packedOfNone();
  }

  public CollectionRows.Packed get(long id) {
    return store.packedOne(id).orElseThrow(() -> new NotFound("This release is no longer here."));
  }

  /** The highest version of a collection. */
  public Optional<CollectionRows.Packed> last(long collection) {
    return of(collection).stream().max(byVersion());
  }

  /** The highest version of a collection below another one: what a photographer has before it. */
  public Optional<CollectionRows.Packed> before(long collection, String version) {
    return of(collection).stream()
        .filter(p -> NextVersion.compare(p.version(), version) < 0)
        .max(byVersion());
  }

  private static Comparator<CollectionRows.Packed> byVersion() {
    return (a, b) -> NextVersion.compare(a.version(), b.version());
  }

  /**
   * What is handed out of it.
   *
   * @param collection that it was packed from
   */
  public record Handed(long collection, String name, String version, String sha) {}

  /**
   * A release as it is handed out.
   *
   * @throws NotFound with a sentence if there is none
   */
  public Handed handed(long id) {
    CollectionRows.Packed one = get(id);
    return new Handed(one.collectionId(), one.name(), one.version(), one.sha());
  }

  public byte[] file(CollectionRows.Packed packed) {
    return blobs.get(packed.sha());
  }

  public Release release(CollectionRows.Packed packed) {
    return open.get(packed.sha(), () -> ReleaseReader.read(file(packed), packed.fileName()));
  }
}
