package org.nineveils.app.making.bench;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.springframework.stereotype.Service;

/** An effect on a photo at the bench: its veils and the paint that belongs to that photo. */
@Service
public class BenchService {
  private final EffectService effects;
  private final PhotoService photos;
  private final Thumbnails thumbnails;
  private final PaintStore paints;
  private final Journal journal;

  BenchService(
      EffectService effects,
      PhotoService photos,
      Thumbnails thumbnails,
      PaintStore paints,
      Journal journal) {
    this.effects = effects;
    this.photos = photos;
    this.thumbnails = thumbnails;
    this.paints = paints;
    this.journal = journal;
  }

  public Map<String, Paint> paint(long effectId, long photoId) {
    return paints.rows().find(effectId, photoId);
  }

  /** How many strokes each veil has on a photo, by id of veil. */
  Map<String, Integer> painted(long effectId, long photoId) {
    return paints.rows().counts(effectId, photoId);
  }

  /** Adds a stroke to a veil, on one photo. */
  public void addStroke(long effectId, long photoId, String veil, Stroke stroke) {
    String name = effects.get(effectId).name();
    photos.get(photoId);
    repaint(
        effectId,
        (stroke.reveal() ? "brush on, " : "brush off, ") + name,
        () -> paints.rows().add(effectId, photoId, veil, stroke));
  }

  /**
   * Does something to all the paint of a veil on one photo.
   *
   * @param how fill, invert or clear; see {@link Paint#all}
   */
  public void paintAll(long effectId, long photoId, String veil, String how) {
    Effect effect = effects.effect(effects.get(effectId));
    photos.get(photoId);
    Veil of = effect.veil(veil).orElseThrow(BenchService::gone);
    boolean shown = !of.mask().startsHidden();
    repaint(
        effectId,
        how + " the mask of " + of.name(),
        () -> {
          Paint old = paints.rows().find(effectId, photoId).getOrDefault(veil, Paint.NONE);
          paints.rows().put(effectId, photoId, veil, old.all(how, shown));
        });
  }

  private void repaint(long effectId, String label, Runnable change) {
    journal.edit(
        EffectService.scope(effectId),
        label,
        () -> {
          change.run();
          return null;
        });
  }

  /**
   * Gives a veil the mask of another, with its paint on every photo, as one edit.
   *
   * @param on the state of the effect that the change was made on
   */
  public void copyMask(long effectId, Save on, String from, String to) {
    Effect effect = effects.effect(effects.get(effectId));
    Veil source = effect.veil(from).orElseThrow(BenchService::gone);
    Veil target = effect.veil(to).orElseThrow(BenchService::gone);
    effects.change(
        effectId,
        on.labelled("mask of %s to %s".formatted(source.name(), target.name())),
        now -> masked(now, from, to),
        () -> copyPaint(effectId, from, to));
  }

  private static Effect masked(Effect effect, String from, String to) {
    Mask mask = effect.veil(from).orElseThrow(BenchService::gone).mask();
    return effect.withVeils(
        effect.veils().stream().map(v -> v.id().equals(to) ? v.withMask(mask) : v).toList());
  }

  private static NotFound gone() {
    return new NotFound("This veil is no longer in the effect.");
  }

  private void copyPaint(long effectId, String from, String to) {
    for (long photoId : paints.photos(effectId)) {
      Paint source = paints.rows().find(effectId, photoId).getOrDefault(from, Paint.NONE);
      paints.rows().put(effectId, photoId, to, source);
    }
  }

  /** What stands for the paint of an effect on a photo. */
  public String paintKey(long effectId, long photoId) {
    return paints.key(effectId, photoId);
  }

  /** Which veils of a kit's effects were painted: by effect, then by photo. */
  public Map<Long, Map<Long, Set<String>>> paintedInKit(long kitId) {
    return paints.painted(effects.ids(kitId));
  }

  /**
   * The effect on a photo, small.
   *
   * @param photoId or null for the photo that shows it best
   */
  public Thumbnails.Small small(long effectId, Long photoId) {
    Rows.Effect row = effects.get(effectId);
    Photo photo = photoId == null ? showing(effectId) : photos.get(photoId);
    return thumbnails.through(
        photo,
        Thumbnails.effectKey(row.doc()),
        () -> effects.effect(row),
        paints.key(effectId, photo.id()),
        () -> paints.rows().find(effectId, photo.id()));
  }

  /** What stands for the paint of a kit's effects: by effect, then by photo that has any. */
  public Map<Long, Map<Long, String>> paintKeys(long kitId) {
    return paints.keys(effects.ids(kitId));
  }

  /**
   * An effect with the photo that shows it best, as they are at one moment.
   *
   * @param photo null where the wall is empty
   */
  public record Shown(Effect effect, Photo photo, Map<String, Paint> paint) {}

  public Shown shown(long effectId) {
    Effect effect = effects.effect(effects.get(effectId));
    if (photos.all(Side.WALL).isEmpty()) {
      return new Shown(effect, null, Map.of());
    }
    Photo photo = showing(effectId);
    return new Shown(effect, photo, paints.rows().find(effectId, photo.id()));
  }

  /**
   * An effect on a photo, as they are at one moment.
   *
   * @throws NotFound with a sentence if one of them is gone
   */
  public Shown shown(long effectId, long photoId) {
    Effect effect = effects.effect(effects.get(effectId));
    return new Shown(effect, photos.get(photoId), paints.rows().find(effectId, photoId));
  }

  /** Before and after of an effect on the photo that shows it best; empty without any photo. */
  public Optional<Picture[]> beforeAndAfter(Shown shown, int longSide) {
    if (shown.photo() == null) {
      return Optional.empty();
    }
    return Optional.of(
        new Picture[] {
          thumbnails.render(shown.photo(), Effect.empty(), Map.of(), longSide),
          thumbnails.render(shown.photo(), shown.effect(), shown.paint(), longSide)
        });
  }

  /**
   * The photo that shows an effect best: one that it was brushed on, or the first of the wall.
   *
   * @throws NotFound with a sentence if the wall is empty
   */
  public Photo showing(long effectId) {
    Optional<Long> painted = paints.paintedPhoto(effectId);
    if (painted.isPresent()) {
      return photos.get(painted.get());
    }
    return photos.all(Side.WALL).stream()
        .findFirst()
        .orElseThrow(() -> new NotFound("There is no photo on the test wall yet."));
  }
}
