package org.nineveils.app.render;

import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.picture.PictureFormat;
import org.nineveils.picture.data.PhotoData;

/**
 * How a finished picture is written.
 *
 * @param quality of a JPEG, per cent
 * @param discreet without the place where the photo was taken and without serial numbers
 */
public record Result(PictureFormat format, int quality, boolean discreet) {
  public Result {
    PictureFormat.checkQuality(quality);
  }

  /** As a job's request says it; see {@link #put}. */
  public static Result of(Fields request) {
    return new Result(
        PictureFormat.ofId(request.text("format", PictureFormat.JPEG.id())),
        request.has("quality") ? request.whole("quality") : PictureFormat.QUALITY,
        request.flag("discreet", false));
  }

  /** For a job's request. */
  public Map<String, Object> put(Map<String, Object> request) {
    request.putAll(Json.object("format", format.id(), "quality", quality, "discreet", discreet));
    return request;
  }

  /** What of a photo's own data goes into it. */
  public PhotoData data(byte[] photo) {
    PhotoData all = PhotoData.of(photo);
    return discreet ? all.discreet() : all;
  }
}
