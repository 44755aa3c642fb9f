package org.nineveils.app.proof.alike;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.document.Json;
import org.nineveils.document.SideBySide;
import org.nineveils.picture.Picture;
import org.nineveils.proof.Difference;
import org.nineveils.proof.Likeness;
import org.nineveils.proof.measure.Samples;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** Which effects look alike, from the proofs that are there. */
@Service
public class AlikeService {
  /** Pairs nearer than this are told of at first, mean ΔE00. */
  static final double BOUND = 2;

  /** The farthest that the page can be asked for. */
  private static final double FARTHEST = 4;

  private final Cells cells;
  private final Measuring measuring;
  private final Judging judging;
  private final EffectService effects;
  private final WantedStore wanted;
  private final Journal journal;

  AlikeService(
      Cells cells,
      Measuring measuring,
      Judging judging,
      EffectService effects,
      WantedStore wanted,
      Journal journal) {
    this.cells = cells;
    this.measuring = measuring;
    this.judging = judging;
    this.effects = effects;
    this.wanted = wanted;
    this.journal = journal;
  }

  /**
   * The map of a kit, with another one if wanted.
   *
   * @param other id of a second kit; 0 for none
   */
  public Map<String, Object> map(long kitId, long other) {
    Map<Long, List<Cell>> columns = new LinkedHashMap<>(Cells.byEffect(cells.all(kitId)));
    if (other != 0 && other != kitId) {
      columns.putAll(Cells.byEffect(cells.all(other)));
    }
    List<Cell> flat = columns.values().stream().flatMap(List::stream).toList();
    Map<String, Samples> colours = measuring.colours(flat);
    List<List<Likeness.Look>> looks = looks(columns, colours, kitId);
    if (looks.isEmpty()) {
      return Json.object("effects", List.of(), "pairs", List.of(), "bound", BOUND);
    }
    Likeness likeness = Likeness.of(looks);
    List<double[]> places = likeness.map(looks.size());
    List<Long> ids = List.copyOf(columns.keySet());
    List<Object> pairs = new ArrayList<>();
    for (Two two : near(likeness, columns)) {
      pairs.add(List.of(two.one(), two.two(), two.mean(), two.most(), two.photo(), two.isWanted()));
    }
    List<Object> shown = new ArrayList<>();
    for (int i = 0; i < ids.size(); i++) {
      Cell first = columns.get(ids.get(i)).get(0);
      double[] at = places.get(i);
      shown.add(List.of(first.head().id(), first.head().name(), at[0], at[1]));
    }
    long there = flat.stream().filter(c -> colours.containsKey(c.measured())).count();
    return Json.object(
        "effects", shown,
        "pairs", pairs,
        "bound", BOUND,
        "there", there,
        "total", flat.size());
  }

  /**
   * Two effects that are near one another.
   *
   * @param mean ΔE00 over all photos
   * @param most on one photo, which is named
   * @param isWanted whether the maker wants both
   */
  record Two(long one, long two, double mean, double most, long photo, boolean isWanted) {}

  private List<Two> near(Likeness likeness, Map<Long, List<Cell>> columns) {
    List<Long> ids = List.copyOf(columns.keySet());
    Set<WantedStore.Two> both = new HashSet<>(wanted.all());
    List<Two> out = new ArrayList<>();
    for (Likeness.Pair p : likeness.below(FARTHEST)) {
      long one = ids.get(p.one());
      long two = ids.get(p.two());
      long photo = columns.get(one).get(p.photo()).photo().id();
      boolean wants = both.contains(WantedStore.Two.of(one, two));
      out.add(new Two(one, two, p.mean(), p.most(), photo, wants));
    }
    return out;
  }

  /** Pairs of a kit, the nearest first. */
  List<Two> near(long kitId) {
    Map<Long, List<Cell>> columns = Cells.byEffect(cells.all(kitId));
    List<Cell> flat = columns.values().stream().flatMap(List::stream).toList();
    List<List<Likeness.Look>> looks = looks(columns, measuring.colours(flat), kitId);
    return looks.isEmpty() ? List.of() : near(Likeness.of(looks), columns);
  }

  private List<List<Likeness.Look>> looks(
      Map<Long, List<Cell>> columns, Map<String, Samples> colours, long kitId) {
    Judging.Rules rules = judging.rules(kitId);
    return columns.values().stream().map(column -> looks(column, colours, rules)).toList();
  }

  /** On photos that the effect is not made for it is like nothing. */
  private static List<Likeness.Look> looks(
      List<Cell> column, Map<String, Samples> colours, Judging.Rules rules) {
    List<Likeness.Look> out = new ArrayList<>();
    for (Cell cell : column) {
      Samples seen = colours.get(cell.measured());
      boolean counts = seen != null && rules.isJudged(cell);
      out.add(!counts ? null : new Likeness.Look(seen, cell.standing().on()));
    }
    return out;
  }

  /** What differs between two effects, in words, veil by veil. */
  public List<String> differ(long one, long two) {
    Effect left = effects.effect(effects.get(one));
    Effect right = effects.effect(effects.get(two));
    return SideBySide.of(left, right);
  }

  /** How two effects differ on a photo, eight times as strong, as a small picture. */
  public byte[] difference(long one, long two, long photoId) {
    Cell left = cells.one(one, photoId);
    Cell right = cells.one(two, photoId);
    Picture a = measuring.tried(left).picture(left.effect(), left.effect().start());
    Picture b = measuring.tried(right).picture(right.effect(), right.effect().start());
    return org.nineveils.app.photo.render.Thumbnails.once(Difference.of(a, b));
  }

  /** Remembers that two effects are both wanted, or no longer. */
  public void want(long one, long two, boolean both) {
    var left = effects.get(one);
    var right = effects.get(two);
    if (one == two) {
      throw new Refusal("An effect is alike to itself; choose two.");
    }
    journal.edit(
        Judging.scope(left.kitId()),
        (both ? "“%s” and “%s” are both wanted" : "“%s” and “%s” no longer both wanted")
            .formatted(left.name(), right.name()),
        () -> {
          wanted.put(WantedStore.Two.of(one, two), both);
          return null;
        });
  }

  /** Keeps one of two: the other is removed from its kit, which can be taken back. */
  public void keepOne(long kept, long gone) {
    effects.get(kept);
    effects.remove(gone, Judging.scope(effects.get(kept).kitId()));
  }

  /** Keeps the second as a variant of the first. */
  public void keepAsVariant(long origin, long variant) {
    effects.makeVariant(variant, origin, Judging.scope(effects.get(origin).kitId()));
  }
}
