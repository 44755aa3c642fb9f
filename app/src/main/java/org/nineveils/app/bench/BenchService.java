package org.nineveils.app.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.nineveils.app.data.Journal;
import org.nineveils.app.kits.EffectService;
import org.nineveils.app.kits.Rows;
import org.nineveils.app.photos.Photo;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.app.photos.Side;
import org.nineveils.app.render.Thumbnails;
import org.nineveils.app.web.NotFound;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Stack;
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
    return paints.find(effectId, photoId);
  }

  /** Adds a stroke to a veil, on one photo. */
  public void addStroke(long effectId, long photoId, String veil, Stroke stroke) {
    String name = effects.get(effectId).name();
    photos.get(photoId);
    repaint(
        effectId,
        photoId,
        (stroke.reveal() ? "brush on, " : "brush off, ") + name,
        paint -> paint.merge(veil, new Paint(List.of(stroke)), (old, one) -> old.plus(stroke)));
  }

  /** Takes all paint off a veil, on one photo. */
  public void clearPaint(long effectId, long photoId, String veil) {
    repaint(effectId, photoId, "clear the paint", paint -> paint.remove(veil));
  }

  /**
   * Shows or hides all of a veil on one photo, or turns its paint round.
   *
   * @param how fill or invert
   */
  public void paintAll(long effectId, long photoId, String veil, String how) {
    Effect effect = effects.effect(effects.get(effectId));
    Veil of = effect.veil(veil).orElseThrow(BenchService::gone);
    boolean shown = !of.mask().startsHidden();
    boolean invert = how.equals("invert");
    if (!invert && !how.equals("fill")) {
      throw new IllegalArgumentException("Paint is filled or inverted, not “%s”.".formatted(how));
    }
    repaint(
        effectId,
        photoId,
        how + " the mask of " + of.name(),
        paint ->
            paint.put(
                veil,
                invert
                    ? paint.getOrDefault(veil, Paint.NONE).inverted(shown)
                    : Paint.filled(true)));
  }

  /** Changes what is painted on one photo, by id of veil, as one edit. */
  private void repaint(
      long effectId, long photoId, String label, Consumer<Map<String, Paint>> change) {
    journal.edit(
        EffectService.scope(effectId),
        label,
        () -> {
          Map<String, Paint> paint = new LinkedHashMap<>(paints.find(effectId, photoId));
          change.accept(paint);
          paints.save(effectId, photoId, paint);
          return null;
        });
  }

  /**
   * Gives a veil the mask of another, with its paint on every photo, as one edit.
   *
   * @param rev revision of the effect that the change was made on
   */
  public void copyMask(long effectId, int rev, String from, String to) {
    Effect effect = effects.effect(effects.get(effectId));
    Veil source = effect.veil(from).orElseThrow(BenchService::gone);
    Veil target = effect.veil(to).orElseThrow(BenchService::gone);
    List<Veil> veils =
        effect.veils().stream()
            .map(v -> v.id().equals(to) ? v.withMask(source.mask()) : v)
            .toList();
    Effect next = effect.withVeils(veils);
    String label = "mask of %s to %s".formatted(source.name(), target.name());
    effects.save(effectId, rev, next, label, () -> copyPaint(effectId, from, to));
  }

  private static NotFound gone() {
    return new NotFound("This veil is no longer in the effect.");
  }

  private void copyPaint(long effectId, String from, String to) {
    for (long photoId : paints.photos(effectId)) {
      Map<String, Paint> paint = new LinkedHashMap<>(paints.find(effectId, photoId));
      paint.remove(to);
      if (paint.containsKey(from)) {
        paint.put(to, paint.get(from));
      }
      paints.save(effectId, photoId, paint);
    }
  }

  /** The stack of an effect with the paint of one photo. */
  public Stack stack(long effectId, Effect effect, long photoId) {
    return Stack.of(new Bundle(effect.veils(), paints.find(effectId, photoId), 1));
  }

  /**
   * The effect on a photo, small.
   *
   * @param photoId or null for the photo that shows it best
   */
  public byte[] small(long effectId, Long photoId) {
    Rows.Effect row = effects.get(effectId);
    Photo photo = photoId == null ? showing(effectId) : photos.get(photoId);
    return thumbnails.through(photo, effects.effect(row), paints.find(effectId, photo.id()));
  }

  /** Before and after of an effect on the photo that shows it best; empty without any photo. */
  public Optional<Picture[]> beforeAndAfter(long effectId, int longSide) {
    if (photos.all(Side.WALL).isEmpty()) {
      return Optional.empty();
    }
    Photo photo = showing(effectId);
    Effect effect = effects.effect(effects.get(effectId));
    return Optional.of(
        new Picture[] {
          thumbnails.render(photo, Effect.empty(), Map.of(), longSide),
          thumbnails.render(photo, effect, paints.find(effectId, photo.id()), longSide)
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
