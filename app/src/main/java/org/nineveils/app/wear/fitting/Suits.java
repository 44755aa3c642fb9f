package org.nineveils.app.wear.fitting;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.document.Json;
import org.nineveils.proof.Limits;
import org.nineveils.proof.OnRegions;
import org.nineveils.proof.Suiting;
import org.nineveils.proof.Trial;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;

/** Ranks what a fitting can put on by how it suits the photo: a job, whose result is a list. */
@Service
class Suits implements JobKind {
  private static final String ID = "suits";
  private static final String FILE = "suits.json";

  private final FittingService fittings;
  private final PhotoService photos;
  private final Thumbnails thumbnails;
  private final List<HeldTo> limits;
  private final Jobs jobs;

  Suits(
      FittingService fittings,
      PhotoService photos,
      Thumbnails thumbnails,
      ObjectProvider<HeldTo> limits,
      Jobs jobs) {
    this.fittings = fittings;
    this.photos = photos;
    this.thumbnails = thumbnails;
    this.limits = limits.stream().toList();
    this.jobs = jobs;
  }

  Job start(long fitting) {
    FittingRow row = fittings.get(fitting);
    String title = "What suits “%s”".formatted(photos.get(row.photoId()).name());
    return jobs.start(ID, "suits:" + fitting, title, new Asked(fitting));
  }

  private record Asked(long fitting) {}

  @Override
  public Nature nature() {
    return new Nature(
        ID, Turn.QUICK, Restart.CUT_OFF); // somebody waits for it; it is soon asked for again
  }

  @Override
  public void run(JobRun run) throws IOException {
    FittingRow row = fittings.get(run.asked(Asked.class).fitting());
    Wardrobe wardrobe = fittings.wardrobe(row);
    Photo photo = photos.get(row.photoId());
    Suiting.Photo ready =
        photos.whole(
            photo, whole -> Suiting.Photo.of(whole, photos.once(photo, Thumbnails.LONG_SIDE)));
    var effects = wardrobe.effects();
    List<Wardrobe.Piece> pieces = wardrobe.pieces();
    run.total(pieces.size(), 0);
    Map<String, Suiting> found = new ConcurrentHashMap<>();
    run.each(
        pieces,
        true,
        piece -> piece.offer().name(),
        piece -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        piece -> {
          String key = piece.offer().key();
          Effect effect;
          synchronized (wardrobe) {
            effect = effects.apply(key);
          }
          if (effect != null) {
            found.put(key, suiting(ready, effect, limits(row, key)));
          }
        });
    Files.write(
        run.folder().resolve(FILE), Json.write(list(found)).getBytes(StandardCharsets.UTF_8));
    run.result(FILE, FILE);
    run.said(String.format(Locale.ROOT, "%d effects looked at.", found.size()));
  }

  private Limits limits(FittingRow row, String key) {
    Optional<OtherKey> other = OtherKey.parse(key);
    String wardrobe = other.map(OtherKey::wardrobe).orElse(row.wardrobe());
    String own = other.map(OtherKey::key).orElse(key);
    return limits.stream()
        .flatMap(held -> held.limits(wardrobe, own).stream())
        .findFirst()
        .orElse(Limits.START);
  }

  private Suiting suiting(Suiting.Photo ready, Effect effect, Limits held) {
    Effect dressed =
        OnRegions.dressed(effect, Map.of(), ready.plain().regions(), ready.plain().picture());
    Stack stack = Stack.of(Bundle.of(dressed, Map.of(), effect.start()));
    var made = thumbnails.listed(manner -> Trial.on(ready.plain(), stack, manner));
    return Suiting.of(ready, effect, made, held);
  }

  private static Map<String, Object> list(Map<String, Suiting> found) {
    List<Object> ranked = new ArrayList<>();
    found.entrySet().stream()
        .sorted(
            Map.Entry.<String, Suiting>comparingByValue(Suiting.BEST_FIRST)
                .thenComparing(Map.Entry.comparingByKey(Comparator.naturalOrder())))
        .forEach(
            e ->
                ranked.add(
                    Json.object(
                        "key", e.getKey(),
                        "sort",
                            e.getValue().sort().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                        "reason", e.getValue().reason())));
    return Json.object("ranked", ranked);
  }
}
