package org.nineveils.app.photo.render;

import java.util.Locale;
import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.SpaceChoice;
import org.nineveils.file.data.PhotoData;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.refusal.InputLimits;
import org.nineveils.refusal.Refusal;
import org.nineveils.stack.Stack;
import org.nineveils.veil.crisp.OutputSharpening;

/**
 * How a finished picture is written.
 *
 * @param quality of a JPEG, per cent
 * @param discreet without the place where the photo was taken and without serial numbers
 * @param longSide pixels at the most; 0 for as many as the photo has
 * @param sharpening for where it is looked at
 * @param space that its colours are told in
 */
public record Result(
    PictureFormat format,
    int quality,
    boolean discreet,
    int longSide,
    OutputSharpening sharpening,
    SpaceChoice space) {
  private static final int LEAST_SIDE = 100;

  public Result {
    PictureFormat.checkQuality(quality);
    if (longSide != 0 && (longSide < LEAST_SIDE || longSide > InputLimits.PICTURE_SIDE)) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "The long side of a result is %d to %d pixels, but %d were asked for.",
              LEAST_SIDE,
              InputLimits.PICTURE_SIDE,
              longSide));
    }
  }

  /** At full size, as it is, in sRGB. */
  public Result(PictureFormat format, int quality, boolean discreet) {
    this(format, quality, discreet, 0, OutputSharpening.NONE, SpaceChoice.SRGB);
  }

  /** The photo at the size of the result: sizes of veils are shares of it, so it looks the same. */
  Picture sized(Picture photo) {
    return longSide == 0 ? photo : Scaling.toLongSide(photo, longSide);
  }

  /** As a job's request says it; see {@link #put}. */
  public static Result of(Fields request) {
    return new Result(
        PictureFormat.ofId(request.text("format", PictureFormat.JPEG.id())),
        request.has("quality") ? request.whole("quality") : PictureFormat.QUALITY,
        request.flag("discreet", false),
        request.has("longSide") ? request.whole("longSide") : 0,
        OutputSharpening.ofId(request.text("sharpening", OutputSharpening.NONE.id())),
        SpaceChoice.ofId(request.text("space", SpaceChoice.SRGB.id())));
  }

  /**
   * As a page asks for one picture.
   *
   * @param format name of the format
   * @param wishes the rest as {@link #of} reads it, without the format
   */
  public static Result asked(String format, Fields wishes) {
    Result rest = of(wishes);
    return new Result(
        PictureFormat.ofId(format),
        rest.quality,
        rest.discreet,
        rest.longSide,
        rest.sharpening,
        rest.space);
  }

  /** For a job's request. */
  public Map<String, Object> put(Map<String, Object> request) {
    request.putAll(
        Json.object(
            "format",
            format.id(),
            "quality",
            quality,
            "discreet",
            discreet,
            "longSide",
            longSide,
            "sharpening",
            sharpening.id(),
            "space",
            space.id()));
    return request;
  }

  /**
   * What the photo wears, and the sharpening above it.
   *
   * @param size of the result
   */
  Stack worn(Stack stack, Picture size) {
    return sharpening.veil(size.longSide()).map(stack::under).orElse(stack);
  }

  /** What of a photo's own data goes into it. */
  public PhotoData data(byte[] photo) {
    PhotoData all = PhotoData.of(photo);
    return discreet ? all.discreet() : all;
  }
}
