package org.nineveils.app.proof.sheet;

import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.picture.Picture;
import org.nineveils.proof.measure.Plain;
import org.nineveils.proof.measure.Samples;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** Effects on photos of the wall as proofs show them, as they are and as they would be. */
@Service
public class ProofLooks {
  private final Cells cells;
  private final Measuring measuring;

  ProofLooks(Cells cells, Measuring measuring) {
    this.cells = cells;
    this.measuring = measuring;
  }

  /** How far an effect moves where it is updated to the newest edition: mean ΔE00 on a photo. */
  public double moved(long effectId, long photoId) {
    Cell cell = cells.one(effectId, photoId);
    Measuring.Tried tried = measuring.tried(cell);
    Samples before = Samples.of(tried.plain(), picture(tried, cell.effect()));
    Samples after = Samples.of(tried.plain(), picture(tried, cell.effect().updated()));
    return before.most(after);
  }

  /** A photo as it is, and through an effect that hangs where another does. */
  public record Look(Plain plain, Picture through) {
    /** Mean ΔE00 from one to the other. */
    public double apart(Look other) {
      return Samples.of(plain, through).most(Samples.of(plain, other.through));
    }
  }

  /**
   * A photo of the wall through an effect as its proof would show it.
   *
   * @param effectId by whose regions and paint brush-on veils are filled
   * @param effect that is shown, such as one of an earlier release
   */
  public Look look(long effectId, long photoId, Effect effect) {
    Measuring.Tried tried = measuring.tried(cells.one(effectId, photoId));
    return new Look(tried.plain(), picture(tried, effect));
  }

  /** The effect with the newest edition on a photo, as a small JPEG. */
  public byte[] newest(long effectId, long photoId) {
    Cell cell = cells.one(effectId, photoId);
    return Thumbnails.once(picture(measuring.tried(cell), cell.effect().updated()));
  }

  private static Picture picture(Measuring.Tried tried, Effect effect) {
    return tried.picture(effect, effect.start());
  }
}
