package org.nineveils.app.shop.stall;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.leaving.collections.PackedReleases;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.Words;
import org.nineveils.release.code.StallCode;
import org.nineveils.release.since.NextVersion;
import org.springframework.stereotype.Service;

/** Puts releases out under codes, withdraws them, and hands them out. */
@Service
public class StallService {
  private final StallStore store;
  private final PackedReleases packed;
  private final Elsewhere elsewhere;
  private final Blobs blobs;
  private final Journal journal;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();
  private final Shelf<String, Release> open;

  StallService(
      StallStore store,
      PackedReleases packed,
      Elsewhere elsewhere,
      Blobs blobs,
      Journal journal,
      Clock clock,
      Budget budget) {
    this.store = store;
    this.packed = packed;
    this.elsewhere = elsewhere;
    this.blobs = blobs;
    this.journal = journal;
    this.clock = clock;
    this.open = budget.shelf("releases at the stall", Release::bytes);
  }

  List<StallRows.Item> all() {
    return store.all();
  }

  /**
   * What is out under a code.
   *
   * @throws org.nineveils.refusal.Refusal with a sentence if the code was typed wrongly
   * @throws NotFound with a sentence if nothing is out under it
   */
  StallRows.Item item(String typed) {
    StallCode code = StallCode.parse(typed);
    return store
        .find(code.letters())
        .orElseThrow(
            () -> new NotFound("Nothing was ever put out under %s.".formatted(code.shown())));
  }

  Optional<StallRows.Item> ofCollection(long collection) {
    return store.ofCollection(collection);
  }

  /** All versions, the highest first. */
  List<StallRows.Version> versions(StallRows.Item item) {
    return store.versions(item.id()).stream().sorted(byVersion().reversed()).toList();
  }

  private static Comparator<StallRows.Version> byVersion() {
    return (a, b) -> NextVersion.compare(a.version(), b.version());
  }

  /** The highest version that is out; empty where all are withdrawn. */
  Optional<StallRows.Version> newest(StallRows.Item item) {
    return versions(item).stream().filter(StallRows.Version::isOut).findFirst();
  }

  /** Puts a packed release out, under the code of its collection, which is drawn at the first. */
  StallRows.Item putOut(long release, String price) {
    PackedReleases.Handed handed = packed.handed(release);
    String line = Words.PRICE.check(price.strip());
    return journal.quietly(
        () -> {
          StallRows.Item item =
              store
                  .ofCollection(handed.collection())
                  .orElseGet(() -> add(handed.collection(), handed.name()));
          store.putOut(item.id(), handed.version(), handed.sha(), line, now());
          store.rename(item.id(), handed.name());
          return item;
        });
  }

  /** Puts a release of one combination out. */
  StallRows.Item combination(Release release, byte[] file) {
    String sha = blobs.put(file);
    return journal.quietly(
        () -> {
          StallRows.Item item = add(0, release.name());
          store.putOut(item.id(), release.version(), sha, "", now());
          return item;
        });
  }

  private StallRows.Item add(long collection, String name) {
    StallCode code = StallCode.draw(random);
    while (store.find(code.letters()).isPresent()) {
      code = StallCode.draw(random);
    }
    return store.add(code.letters(), collection, name);
  }

  private String now() {
    return clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
  }

  /** Withdraws a version: it is handed out no longer; whoever has it keeps it. */
  StallRows.Version withdraw(long version) {
    StallRows.Version found = version(version);
    journal.quietly(
        () -> {
          store.withdraw(version, now());
          return null;
        });
    return found;
  }

  /** Puts a version out that was withdrawn. */
  StallRows.Version again(long version) {
    StallRows.Version found = version(version);
    journal.quietly(
        () -> {
          store.putOut(found.itemId(), found.version(), found.sha(), found.price(), now());
          return null;
        });
    return found;
  }

  private StallRows.Version version(long id) {
    return store
        .version(id)
        .orElseThrow(() -> new NotFound("This version is no longer at the stall."));
  }

  /**
   * What can be fetched under a code.
   *
   * @param code as it is shown
   * @param mark of the maker; may be empty
   * @param effects how many
   * @param price a line of text; may be empty
   */
  public record Out(
      String code, String name, String version, String mark, int effects, String price) {}

  /** All that can be fetched here. */
  public List<Out> out() {
    return all().stream().flatMap(item -> newest(item).map(v -> out(item, v)).stream()).toList();
  }

  private Out out(StallRows.Item item, StallRows.Version version) {
    Release release = release(version);
    return new Out(
        new StallCode(item.code()).shown(),
        item.name(),
        version.version(),
        release.makersMark(),
        release.effects().size(),
        version.price());
  }

  /**
   * All that can be fetched from the other house; nothing where there is none.
   *
   * @throws org.nineveils.refusal.Refusal with a sentence where it does not say
   */
  public List<Out> outElsewhere() {
    return elsewhere.out();
  }

  /** What is in a version that is or was out. */
  Release release(StallRows.Version version) {
    return open.get(
        version.sha(), () -> ReleaseReader.read(blobs.get(version.sha()), version.version()));
  }

  /** Bytes of a version's file. */
  long size(StallRows.Version version) {
    return blobs.size(version.sha());
  }

  /**
   * What is handed out.
   *
   * @param code its letters
   * @param fileName of the release
   */
  @SuppressWarnings("ArrayRecordComponent") // file contents, handed over
  public record Handed(String code, String fileName, byte[] file) {}

  /**
   * Hands the highest version that is out to whoever names its code.
   *
   * @throws org.nineveils.refusal.Refusal with a sentence if the code was typed wrongly
   * @throws NotFound with a sentence if nothing is out under it
   */
  public Handed fetch(String typed) {
    String letters = StallCode.parse(typed).letters();
    if (store.find(letters).isEmpty()) {
      Optional<Handed> there = elsewhere.fetch(letters);
      if (there.isPresent()) {
        return there.get();
      }
    }
    return fetchHere(typed);
  }

  private Handed fetchHere(String typed) {
    StallRows.Item item = item(typed);
    StallRows.Version version =
        newest(item)
            .orElseThrow(
                () ->
                    new NotFound(
                        "“%s” was withdrawn from the stall; what you have of it stays yours."
                            .formatted(item.name())));
    journal.quietly(
        () -> {
          store.countFetch(version.id());
          return null;
        });
    String fileName = "%s %s".formatted(item.name(), version.version());
    return new Handed(item.code(), fileName, blobs.get(version.sha()));
  }

  /** The same for whoever fetches from another house. */
  byte[] file(String typed) {
    return fetchHere(typed).file();
  }

  /** The highest version that is out under a code, by its letters; empty where none is. */
  public Optional<String> newest(String code) {
    Optional<StallRows.Item> here = store.find(code);
    return here.isPresent()
        ? newest(here.get()).map(StallRows.Version::version)
        : elsewhere.newest(code);
  }
}
