package org.nineveils.app.proof.searches;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.WornRules;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.regions.WallFacts;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Offer;
import org.nineveils.kit.Pairs;
import org.nineveils.picture.Picture;
import org.nineveils.proof.Differing;
import org.nineveils.proof.Limits;
import org.nineveils.proof.Readings;
import org.nineveils.proof.Verdict;
import org.nineveils.proof.measure.Finished;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.PhotoFacts;
import org.nineveils.proof.measure.Samples;
import org.nineveils.refusal.Refusal;
import org.nineveils.region.PhotoTags;
import org.springframework.stereotype.Component;

/**
 * Effects of a kit two at a time, as its rules allow, on the few photos that differ most: which
 * pairs pass a limit, and for which the order makes a difference.
 */
@Component
class TogetherSearch implements Search {
  private static final int PHOTOS = 4;

  /** Most pairs that are told of; nobody reads more. */
  private static final int MOST = 200;

  /** Mean ΔE00 from which the order of two is worth a word. */
  private static final double ORDER = 1;

  private final KitService kits;
  private final WornRules worn;
  private final Cells cells;
  private final Measuring measuring;
  private final Judging judging;
  private final WallFacts regions;

  TogetherSearch(
      KitService kits,
      WornRules worn,
      Cells cells,
      Measuring measuring,
      Judging judging,
      WallFacts regions) {
    this.kits = kits;
    this.worn = worn;
    this.cells = cells;
    this.measuring = measuring;
    this.judging = judging;
    this.regions = regions;
  }

  @Override
  public String id() {
    return "together";
  }

  @Override
  public String title(Fields request) {
    return "Pairs of “%s”".formatted(kits.kit(request.whole("kit")).name());
  }

  /** Two effects on a photo. */
  private record Two(Cell one, Cell two, boolean orderCounts) {}

  @Override
  public Object find(JobRun run, Fields request) {
    long kitId = request.whole("kit");
    List<Cell> all = cells.all(kitId);
    Judging.Rules rules = judging.rules(kitId);
    List<Long> photos = differing(all);
    List<Two> twos = twos(kitId, all, photos, rules);
    run.total(twos.size(), 0);
    List<List<Object>> worst = Collections.synchronizedList(new ArrayList<>());
    Map<List<Long>, Double> swapped = Collections.synchronizedMap(new HashMap<>());
    run.each(
        twos,
        true,
        two -> "%s and %s".formatted(two.one().head().name(), two.two().head().name()),
        two -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        two -> {
          Finished seen = measuring.wornAndSeen(List.of(two.one(), two.two()));
          Picture made = seen.picture();
          Readings taken = Readings.of(new Pair(measuring.plain(two.one()), seen));
          taken.worst(limits(two, rules)).ifPresent(v -> add(worst, two, v));
          if (two.orderCounts()) {
            var plain = measuring.plain(two.one());
            Samples own = Samples.of(plain, made);
            Samples other = Samples.of(plain, measuring.worn(List.of(two.two(), two.one())));
            List<Long> ids = List.of(two.one().head().id(), two.two().head().id());
            swapped.merge(ids, own.difference(other, Set.of()), Math::max);
          }
        });
    worst.sort(Comparator.comparingDouble((List<Object> w) -> -(double) w.get(6)));
    List<Object> order = new ArrayList<>();
    swapped.entrySet().stream()
        .filter(e -> e.getValue() >= ORDER)
        .sorted(Map.Entry.<List<Long>, Double>comparingByValue().reversed())
        .limit(MOST)
        .forEach(e -> order.add(List.of(e.getKey().get(0), e.getKey().get(1), e.getValue())));
    return Json.object(
        "photos",
        photos,
        "pairs",
        twos.size(),
        "worst",
        worst.stream().limit(MOST).toList(),
        "order",
        order);
  }

  private static void add(List<List<Object>> worst, Two two, Verdict v) {
    if (v.state() == Verdict.State.OVER || v.state() == Verdict.State.NEAR) {
      worst.add(
          List.of(
              two.one().head().id(),
              two.two().head().id(),
              two.one().photo().id(),
              v.state().word(),
              v.measure().id(),
              v.reading().value(),
              OpacitySearch.finite(v.share())));
    }
  }

  /**
   * What two are held to: the wider of the limits of both sections, and what is accepted of one of
   * them is not held against both.
   */
  private static Limits limits(Two two, Judging.Rules rules) {
    Limits a = rules.in(two.one().head().sectionId());
    Limits b = rules.in(two.two().head().sectionId());
    Limits both = a.wider(b);
    long photo = two.one().photo().id();
    return both.without(
        m ->
            !rules.accepted(two.one().head().id(), photo, m.id()).isEmpty()
                || !rules.accepted(two.two().head().id(), photo, m.id()).isEmpty());
  }

  private List<Long> differing(List<Cell> all) {
    Map<Long, Photo> photos = new LinkedHashMap<>();
    for (Cell cell : all) {
      if (!cell.standing().tags().contains(PhotoTags.CHART)) {
        photos.put(cell.photo().id(), cell.photo());
      }
    }
    List<Photo> list = List.copyOf(photos.values());
    Map<Long, PhotoFacts> facts = regions.all(list, Duration.ofDays(1));
    List<double[]> points = list.stream().map(p -> facts.get(p.id()).point()).toList();
    return Differing.pick(points, PHOTOS).stream().map(i -> list.get(i).id()).toList();
  }

  private List<Two> twos(long kitId, List<Cell> all, List<Long> photos, Judging.Rules rules) {
    Map<String, Map<Long, Cell>> byKey = new LinkedHashMap<>();
    for (Cell cell : all) {
      if (photos.contains(cell.photo().id()) && rules.isJudged(cell)) {
        byKey
            .computeIfAbsent(String.valueOf(cell.head().id()), k -> new LinkedHashMap<>())
            .put(cell.photo().id(), cell);
      }
    }
    List<Two> out = new ArrayList<>();
    for (Pairs.Pair pair :
        Pairs.allowed(offers(kitId, byKey.keySet()), key -> effect(byKey, key))) {
      for (long photo : photos) {
        Cell one = byKey.get(pair.one().key()).get(photo);
        Cell two = byKey.get(pair.two().key()).get(photo);
        if (one != null && two != null) {
          out.add(new Two(one, two, pair.isOfOneSection()));
        }
      }
    }
    if (out.isEmpty()) {
      throw new Refusal("No two effects of this kit are worn and judged together.");
    }
    return out;
  }

  private static org.nineveils.veil.Effect effect(Map<String, Map<Long, Cell>> byKey, String key) {
    return byKey.get(key).values().iterator().next().effect();
  }

  private List<Offer> offers(long kitId, Set<String> keys) {
    return worn.offers(kitId).stream().filter(offer -> keys.contains(offer.key())).toList();
  }
}
