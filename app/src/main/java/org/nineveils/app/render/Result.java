package org.nineveils.app.render;

import org.nineveils.picture.PictureFormat;
import org.nineveils.picture.data.PhotoData;

/**
 * How a finished picture is written.
 *
 * @param discreet without the place where the photo was taken and without serial numbers
 */
public record Result(PictureFormat format, boolean discreet) {
  /** What of a photo's own data goes into it. */
  public PhotoData data(byte[] photo) {
    PhotoData all = PhotoData.of(photo);
    return discreet ? all.discreet() : all;
  }
}
