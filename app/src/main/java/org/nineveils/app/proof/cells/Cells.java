package org.nineveils.app.proof.cells;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.making.bench.BenchService;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.photos.Tags;
import org.nineveils.app.photo.regions.WallFacts;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.proof.OnRegions;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/** The cells of a kit's sheet as kit and wall are now. */
@Component
public class Cells {
  private final KitService kits;
  private final EffectService effects;
  private final BenchService bench;
  private final PhotoService photos;
  private final Tags tags;
  private final WallFacts regions;
  private final Thumbnails thumbnails;

  Cells(
      KitService kits,
      EffectService effects,
      BenchService bench,
      PhotoService photos,
      Tags tags,
      WallFacts regions,
      Thumbnails thumbnails) {
    this.kits = kits;
    this.effects = effects;
    this.bench = bench;
    this.photos = photos;
    this.tags = tags;
    this.regions = regions;
    this.thumbnails = thumbnails;
  }

  private record Column(Rows.Head head, Effect effect, String key) {}

  /** All of a kit, photo by photo. */
  public List<Cell> all(long kitId) {
    return of(kitId, head -> true, photos.all(Side.WALL));
  }

  /** Those of one effect. */
  public List<Cell> column(long effectId) {
    long kitId = effects.get(effectId).kitId();
    return of(kitId, head -> head.id() == effectId, photos.all(Side.WALL));
  }

  /**
   * One cell, without looking at the rest of its kit and of the wall.
   *
   * @throws NotFound with a sentence if there is no such effect or photo
   */
  public Cell one(long effectId, long photoId) {
    Rows.Effect row = effects.get(effectId);
    Photo photo = photos.get(photoId);
    Column column = new Column(row.head(), effects.effect(row), Thumbnails.effectKey(row.doc()));
    return cell(
        column,
        photo,
        bench.paint(effectId, photoId).keySet(),
        bench.paintKey(effectId, photoId),
        tags.of(photoId),
        regions.held(photo));
  }

  private List<Cell> of(long kitId, Predicate<Rows.Head> wanted, List<Photo> wall) {
    List<Column> columns = columns(kitId, wanted);
    Map<Long, Map<Long, String>> paint = bench.paintKeys(kitId);
    Map<Long, Map<Long, Set<String>>> painted = bench.paintedInKit(kitId);
    Map<Long, List<String>> tagged = tags.all();
    Map<Long, WallFacts.Held> held = regions.held(wall);
    List<Cell> cells = new ArrayList<>();
    for (Photo photo : wall) {
      for (Column column : columns) {
        long id = column.head().id();
        cells.add(
            cell(
                column,
                photo,
                painted.getOrDefault(id, Map.of()).getOrDefault(photo.id(), Set.of()),
                paint.getOrDefault(id, Map.of()).getOrDefault(photo.id(), ""),
                tagged.getOrDefault(photo.id(), List.of()),
                held.get(photo.id())));
      }
    }
    return cells;
  }

  /**
   * A cell of what is there.
   *
   * @param painted ids of veils that were painted on the photo
   * @param strokes stands for that paint
   */
  private Cell cell(
      Column column,
      Photo photo,
      Set<String> painted,
      String strokes,
      List<String> tagged,
      WallFacts.Held here) {
    String holds = Thumbnails.effectKey(photo.sha() + here.key());
    OnRegions on = OnRegions.of(column.effect(), painted, here.names());
    // Where regions stand for paint the picture changes with them.
    String brushed = on.acts().isEmpty() ? strokes : strokes + " on " + holds;
    String key = thumbnails.key(photo, column.key(), brushed);
    var standing = new Cell.Standing(tagged, on);
    return new Cell(column.head(), photo, column.effect(), standing, strokes, key, holds);
  }

  private List<Column> columns(long kitId, Predicate<Rows.Head> wanted) {
    Map<Long, String> docs = effects.docs(kitId);
    List<Column> columns = new ArrayList<>();
    for (Rows.FilledSection section : kits.filled(kitId)) {
      for (Rows.Head head : section.effects()) {
        String doc = docs.get(head.id());
        if (doc != null && wanted.test(head)) {
          Effect effect = EffectJson.parse(Json.read(doc, "“%s”".formatted(head.name())));
          columns.add(new Column(head, effect, Thumbnails.effectKey(doc)));
        }
      }
    }
    return columns;
  }

  /** Cells by effect, each with its photos in order. */
  public static Map<Long, List<Cell>> byEffect(List<Cell> cells) {
    Map<Long, List<Cell>> out = new LinkedHashMap<>();
    cells.forEach(c -> out.computeIfAbsent(c.head().id(), e -> new ArrayList<>()).add(c));
    return out;
  }
}
