package org.nineveils.app.wear.looks;

import java.util.Map;
import org.nineveils.kit.Fitting;

/**
 * A look of her own.
 *
 * @param look without paint, by the keys of {@link org.nineveils.app.wear.fitting.Anywhere}
 * @param photoId the photo that it was kept from; 0 for none
 * @param gone titles of what has left the desk since, by the first part of the keys of its effects
 * @param code under which it was handed out last; empty for never
 */
public record OwnLook(
    long id, String name, Fitting look, long photoId, Map<String, String> gone, String code) {
  public OwnLook {
    gone = Map.copyOf(gone);
  }
}
