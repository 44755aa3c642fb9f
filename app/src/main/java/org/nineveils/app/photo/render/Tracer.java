package org.nineveils.app.photo.render;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.proof.Culprits;
import org.nineveils.proof.Trace;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Stack;
import org.springframework.stereotype.Service;

/** Traces a spot of a photo through a stack, at the size at which the stage shows it. */
@Service
public class Tracer {
  /** A spot that was clicked, not drawn: this share of the long side on each side of it. */
  private static final double AROUND = 0.003;

  private final PhotoService photos;
  private final Manner manner;

  Tracer(PhotoService photos, PlacedPictures shelf) {
    this.photos = photos;
    this.manner = Manner.exact().picturesFrom(shelf);
  }

  /**
   * Traces what a request names.
   *
   * @param f longSide, and spot: x, y, width, height as shares of the long side
   */
  public Map<String, Object> trace(Photo photo, Fields f, Stack stack) {
    StageRequest request = StageRequest.parse(f);
    Picture source = photos.scaled(photo, request.longSide());
    Area area = area(f.object("spot"), source);
    Trace trace = Trace.of(source, area, stack, manner);
    List<Object> steps = new ArrayList<>();
    for (Trace.Step step : trace.steps()) {
      steps.add(
          Json.object(
              "bundle", step.bundle(),
              "veil", step.veil(),
              "name", step.name(),
              "after", values(step.after())));
    }
    return Json.object(
        "pixels", area.pixels(),
        "respects", respects(),
        "plain", values(trace.plain()),
        "steps", steps,
        "said", Culprits.of(trace));
  }

  private static List<Object> respects() {
    return Arrays.stream(Trace.Respect.values())
        .<Object>map(r -> Json.object("id", r.id(), "label", r.label(), "unit", r.unit()))
        .toList();
  }

  private static Map<String, Object> values(org.nineveils.colour.Lab lab) {
    Map<String, Object> out = new LinkedHashMap<>();
    for (Trace.Respect respect : Trace.Respect.values()) {
      out.put(respect.id(), respect.of(lab));
    }
    return out;
  }

  /** The pixels of a spot, at least one. */
  private static Area area(Fields spot, Picture source) {
    int longSide = source.longSide();
    double grow = spot.number("width") > 0 ? 0 : AROUND;
    int left = inside((spot.number("x") - grow) * longSide, source.width());
    int top = inside((spot.number("y") - grow) * longSide, source.height());
    double right = (spot.number("x") + spot.number("width") + grow) * longSide;
    double bottom = (spot.number("y") + spot.number("height") + grow) * longSide;
    return new Area(
        left,
        top,
        inside(right, source.width()) - left + 1,
        inside(bottom, source.height()) - top + 1);
  }

  private static int inside(double at, int size) {
    return (int) Math.max(0, Math.min(size - 1, Math.floor(at)));
  }
}
