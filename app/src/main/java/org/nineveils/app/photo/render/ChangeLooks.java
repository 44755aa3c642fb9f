package org.nineveils.app.photo.render;

import java.util.Map;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.proof.Difference;
import org.nineveils.release.Release;
import org.nineveils.release.since.Change;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** What changes from one release to another, on a photo. */
@Service
public class ChangeLooks {
  private final Thumbnails thumbnails;

  ChangeLooks(Thumbnails thumbnails) {
    this.thumbnails = thumbnails;
  }

  private static Release.EffectPart side(Change change, boolean before) {
    Release.EffectPart part = before ? change.old() : change.now();
    if (part == null) {
      throw new NotFound("There is no picture of it: the effect is not there.");
    }
    return part;
  }

  /**
   * The effect before or after a change, small.
   *
   * @param sha of the release that it is of then
   * @throws NotFound with a sentence if it is not there then
   */
  public Thumbnails.Small picture(Photo photo, Change change, boolean before, String sha) {
    Release.EffectPart part = side(change, before);
    return thumbnails.through(photo, sha + "/" + part.key(), part::effect, "", Map::of);
  }

  /**
   * How far a change moves the photo: mean ΔE00, each effect as it goes on.
   *
   * @throws NotFound with a sentence if one of the two is not there
   */
  public double moved(Photo photo, Change change) {
    Effect was = side(change, true).effect();
    Effect is = side(change, false).effect();
    return Difference.mean(
        thumbnails.proof(photo, was, Map.of(), was.start()),
        thumbnails.proof(photo, is, Map.of(), is.start()));
  }
}
