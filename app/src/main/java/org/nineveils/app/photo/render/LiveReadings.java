package org.nineveils.app.photo.render;

import java.util.Map;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.document.Fields;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Stack;

/** What is measured of a picture while it is edited; the room of proofs knows how. */
public interface LiveReadings {
  /**
   * Measures it.
   *
   * @param stack what the photo wears
   * @param manner how it is rendered
   * @param wanted names the kit, and the section, whose limits count; neither where there are none
   * @return as JSON takes it
   */
  Map<String, Object> of(Photo photo, Stack stack, Manner manner, Fields wanted);
}
