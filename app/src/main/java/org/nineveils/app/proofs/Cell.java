package org.nineveils.app.proofs;

import org.nineveils.app.kits.Rows;
import org.nineveils.app.photos.Photo;
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
record Cell(
    Rows.Head head,
    Photo photo,
    Effect effect,
    Judging.Standing standing,
    String painted,
    String key,
    String held) {
  /** Name of what was measured on it. */
  String measured() {
    return key + " " + held + " " + Measures.BUILD;
  }
}
