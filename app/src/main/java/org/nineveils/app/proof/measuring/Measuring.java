package org.nineveils.app.proof.measuring;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.making.bench.BenchService;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.regions.RegionService;
import org.nineveils.app.photo.regions.WallFacts;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.mask.Guard;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Picture;
import org.nineveils.proof.OnRegions;
import org.nineveils.proof.Readings;
import org.nineveils.proof.Trial;
import org.nineveils.proof.measure.Finished;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Plain;
import org.nineveils.proof.measure.Reading;
import org.nineveils.proof.measure.Samples;
import org.nineveils.region.Regions;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/** Renders proofs and measures them; what was measured is kept by what it depends on. */
@Component
public class Measuring {
  private final BenchService bench;
  private final PhotoService photos;
  private final RegionService regions;
  private final WallFacts facts;
  private final Thumbnails thumbnails;
  private final ReadingStore readings;
  private final Shelf<String, Plain> plains;

  Measuring(
      BenchService bench,
      PhotoService photos,
      RegionService regions,
      WallFacts facts,
      Thumbnails thumbnails,
      ReadingStore readings,
      Budget budget) {
    this.bench = bench;
    this.photos = photos;
    this.regions = regions;
    this.facts = facts;
    this.thumbnails = thumbnails;
    this.readings = readings;
    this.plains = budget.shelf("photos that are measured against", Plain::bytes);
  }

  /** How many were measured since the start: what was worked out of them before is stale then. */
  public long written() {
    return readings.written();
  }

  /** What was measured of cells, by their names; those of which the picture is kept as well. */
  public Map<String, Readings> there(List<Cell> cells) {
    Map<String, Readings> out = readings.find(cells.stream().map(Cell::measured).toList());
    cells.stream().filter(c -> !thumbnails.isKept(c.key())).forEach(c -> out.remove(c.measured()));
    return out;
  }

  /** The colours of cells that were measured, by their names. */
  public Map<String, Samples> colours(List<Cell> cells) {
    return readings.colours(cells.stream().map(Cell::measured).toList());
  }

  /** The photo of a cell with its regions, as it is measured against. */
  public Plain plain(Cell cell) {
    return plain(cell.photo(), cell.held());
  }

  /** The picture of effects over one another, the first nearest to the photo that all are on. */
  public Picture worn(List<Cell> some) {
    return thumbnails.worn(some.get(0).photo(), some.stream().map(this::bundle).toList());
  }

  /** The same as it is measured. */
  public Finished wornAndSeen(List<Cell> some) {
    Stack stack = new Stack(some.stream().map(this::bundle).toList());
    Plain plain = plain(some.get(0));
    return thumbnails.listed(manner -> Trial.on(plain, stack, manner));
  }

  private Bundle bundle(Cell cell) {
    Tried tried = tried(cell);
    return Bundle.of(tried.dressed(cell.effect()), tried.paint());
  }

  /**
   * A photo that is edited, as it is measured against; where nobody marked its skin, that is found
   * by its colours.
   */
  public Plain live(Photo photo) {
    return plain(
        photo,
        "live " + facts.held(photo).key(),
        picture -> {
          Map<String, float[]> all =
              new HashMap<>(photo.isOnWall() ? regions.named(photo.id()) : Map.of());
          all.computeIfAbsent(Regions.SKIN, name -> Guard.skinOf(picture));
          return all;
        });
  }

  private Plain plain(Photo photo, String held) {
    return plain(photo, held, picture -> regions.named(photo.id()));
  }

  /** Permits for the whole photo come before a place among what is being made. */
  private Plain plain(Photo photo, String key, Function<Picture, Map<String, float[]>> marked) {
    return plains
        .find(key)
        .orElseGet(() -> photos.whole(photo, whole -> made(photo, key, whole, marked)));
  }

  private Plain made(
      Photo photo, String key, Picture whole, Function<Picture, Map<String, float[]>> marked) {
    return plains.get(
        key,
        () -> {
          Picture picture = photos.once(photo, Pair.LONG_SIDE);
          return Plain.of(whole, picture, marked.apply(picture));
        });
  }

  /**
   * Renders a cell, measures it and keeps both; where somebody painted meanwhile nothing is kept,
   * since it is another cell by now.
   */
  public Readings make(Cell cell) {
    Tried tried = tried(cell);
    Finished made = tried.finished(cell.effect(), cell.effect().start());
    Picture finished = made.picture();
    Readings taken = Readings.of(new Pair(tried.plain(), made));
    if (bench.paintKey(cell.head().id(), cell.photo().id()).equals(cell.painted())) {
      thumbnails.keep(cell.key(), () -> finished);
      readings.put(cell.measured(), taken, Samples.of(tried.plain(), finished));
    }
    return taken;
  }

  /** What was measured of a cell, now if it was not before. */
  public Readings readings(Cell cell) {
    Readings found = there(List.of(cell)).get(cell.measured());
    return found == null ? make(cell) : found;
  }

  /** The picture of a cell as a JPEG. */
  public byte[] jpeg(Cell cell) {
    if (!thumbnails.isKept(cell.key())) {
      make(cell);
    }
    return shown(cell);
  }

  /** The same where nobody asks what it measures. */
  public byte[] shown(Cell cell) {
    return thumbnails.keep(
        cell.key(), () -> tried(cell).picture(cell.effect(), cell.effect().start()));
  }

  /** Makes a photo ready to try changes of an effect on it. */
  public Tried tried(Cell cell) {
    return new Tried(plain(cell), bench.paint(cell.head().id(), cell.photo().id()), cell.photo());
  }

  /** A photo on which an effect, or what it may become, is tried. */
  public final class Tried {
    private final Plain plain;
    private final Map<String, Paint> paint;
    private final Photo photo;
    private final Map<Effect, Finished> whole = new HashMap<>();

    private Tried(Plain plain, Map<String, Paint> paint, Photo photo) {
      this.plain = plain;
      this.paint = paint;
      this.photo = photo;
    }

    public Plain plain() {
      return plain;
    }

    Photo photo() {
      return photo;
    }

    /** What was painted on it, by id of veil. */
    Map<String, Paint> paint() {
      return paint;
    }

    /** An effect with its brush-on veils on the photo's regions. */
    Effect dressed(Effect effect) {
      return OnRegions.dressed(effect, paint, plain.regions(), plain.picture());
    }

    /** The picture that an effect makes. */
    public Picture picture(Effect effect, double opacity) {
      return thumbnails.proof(photo, dressed(effect), paint, opacity);
    }

    /** The same as it is measured. */
    Finished finished(Effect effect, double opacity) {
      Stack stack = Stack.of(Bundle.of(dressed(effect), paint, opacity));
      return thumbnails.listed(manner -> Trial.on(plain, stack, manner));
    }

    /** What is measured of an effect as it goes on. */
    public Readings measured(Effect effect) {
      return Readings.of(new Pair(plain, finished(effect, effect.start())));
    }

    /** What one measure says of an effect as it goes on. */
    public Reading measured(Effect effect, Measure measure) {
      return measure.of(new Pair(plain, finished(effect, effect.start())));
    }

    /**
     * What is measured of an effect at an opacity. It is rendered once for all opacities: a bundle
     * is mixed with what is below by its opacity.
     */
    public synchronized Readings measured(Effect effect, double opacity) {
      Finished full = whole.computeIfAbsent(effect, e -> finished(e, 1));
      return Readings.of(new Pair(plain, Trial.mixed(plain, full, opacity)));
    }
  }
}
