package org.nineveils.app.photo.render;

import java.util.Locale;
import org.nineveils.document.Fields;
import org.nineveils.picture.Area;
import org.nineveils.refusal.Refusal;
import org.nineveils.stack.Stack;

/**
 * A picture that a stage asks for.
 *
 * @param longSide of the whole picture, pixels; larger than the photo means the photo's own size
 * @param area part of it that is wanted; null for all of it
 * @param view name of the asking stage and of its picture, and after a point how fine that one is:
 *     a newer request for the same picture cancels an older one, however fine
 * @param plain without any veil
 * @param soon that the picture comes soon counts more than what it is made from
 * @param have turn of the view's picture that the stage has; −1 for none
 */
public record StageRequest(
    int longSide, Area area, String view, boolean plain, boolean soon, int have) {
  private static final int MAX_LONG_SIDE = 20_000;

  /** Reads the request's own fields; the stack comes from elsewhere. */
  public static StageRequest parse(Fields f) {
    int longSide = f.whole("longSide");
    if (longSide < 1 || longSide > MAX_LONG_SIDE) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "The long side must be 1 to %d pixels, but was %d.",
              MAX_LONG_SIDE,
              longSide));
    }
    Area area = null;
    if (f.has("area")) {
      Fields a = f.object("area");
      area = area(a.whole("x"), a.whole("y"), a.whole("width"), a.whole("height"));
    }
    return new StageRequest(
        longSide,
        area,
        f.text("view", ""),
        f.flag("plain", false),
        f.flag("soon", false),
        f.has("have") ? f.whole("have") : -1);
  }

  private static Area area(int x, int y, int width, int height) {
    if (x < 0 || y < 0 || width < 1 || height < 1) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "The wanted part of the picture must hold a pixel and begin within it, but was %d, %d, %d × %d.",
              x,
              y,
              width,
              height));
    }
    return new Area(x, y, width, height);
  }

  /** The stack to render: the given one, or none where the plain photo is wanted. */
  Stack wanted(Stack stack) {
    return plain ? Stack.plain() : stack;
  }
}
