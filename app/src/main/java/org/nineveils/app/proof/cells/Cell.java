package org.nineveils.app.proof.cells;

import java.util.List;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.proof.OnRegions;
import org.nineveils.proof.measure.Measures;
import org.nineveils.veil.Effect;

/**
 * An effect on a photo of the wall, as both are at one moment.
 *
 * @param effect its veils
 * @param standing what the photo is to the effect
 * @param painted stands for what was painted of the effect on the photo
 * @param key of its picture
 * @param held stands for the photo with its regions
 */
public record Cell(
    Rows.Head head,
    Photo photo,
    Effect effect,
    Standing standing,
    String painted,
    String key,
    String held) {
  /** Name of what was measured on it. */
  public String measured() {
    return key + " " + held + " " + Measures.BUILD;
  }

  /**
   * What a photo is to an effect.
   *
   * @param tags of the photo
   * @param on where the effect acts on it
   */
  public record Standing(List<String> tags, OnRegions on) {}
}
