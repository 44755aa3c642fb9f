package org.nineveils.app.render;

import java.util.Map;
import org.nineveils.app.photos.Photo;
import org.nineveils.document.Fields;
import org.nineveils.picture.Picture;

/** What is measured of a picture while it is edited; the room of proofs knows how. */
public interface LiveReadings {
  /**
   * Measures it.
   *
   * @param finished at the size of proofs
   * @param wanted names the kit, and the section, whose limits count; neither where there are none
   * @return as JSON takes it
   */
  Map<String, Object> of(Photo photo, Picture finished, Fields wanted);
}
