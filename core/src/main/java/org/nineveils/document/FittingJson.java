package org.nineveils.document;

import java.util.LinkedHashMap;
import java.util.Map;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.nineveils.mask.Mask;

/** Fittings as JSON. */
public final class FittingJson {
  private FittingJson() {}

  /** The fitting as JSON takes it. */
  public static Map<String, Object> format(Fitting fitting) {
    return Json.object("worn", fitting.worn().stream().map(FittingJson::one).toList());
  }

  private static Map<String, Object> one(Worn w) {
    Map<String, Object> changes = new LinkedHashMap<>();
    w.changes().entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .forEach(e -> changes.put(e.getKey(), change(e.getValue())));
    Map<String, Object> masks = new java.util.TreeMap<>();
    w.masks().forEach((veil, mask) -> masks.put(veil, MaskJson.format(mask)));
    return Json.object(
        "effect", w.effect(),
        "opacity", w.opacity(),
        "lifted", w.lifted(),
        "veils", changes,
        "byBrush", w.byBrush(),
        "masks", masks,
        "paint", PaintJson.format(w.paint()));
  }

  private static Map<String, Object> change(Worn.VeilChange change) {
    Map<String, Object> out =
        Json.object(
            "opacity", change.opacity(),
            "lifted", change.lifted(),
            "dials", new java.util.TreeMap<>(change.dials()));
    if (change.doubled()) {
      out.put("doubled", true);
    }
    return out;
  }

  /**
   * Reads a fitting.
   *
   * @throws DocumentException naming the place and the fault
   */
  public static Fitting parse(Fields fields) {
    fields.only("worn");
    var worn = fields.objects("worn", FittingJson::parseWorn);
    return fields.build(() -> new Fitting(worn));
  }

  private static Worn parseWorn(Fields f) {
    f.only("effect", "opacity", "lifted", "veils", "byBrush", "masks", "paint");
    Fields veils = f.object("veils");
    Map<String, Worn.VeilChange> changes = new LinkedHashMap<>();
    for (String id : veils.names()) {
      Fields change = veils.object(id).only("opacity", "lifted", "dials", "doubled");
      changes.put(
          id,
          change.build(
              () ->
                  new Worn.VeilChange(
                      change.number("opacity"),
                      change.flag("lifted", false),
                      dials(change),
                      change.flag("doubled", false))));
    }
    return f.build(
        () ->
            new Worn(
                f.text("effect"),
                f.number("opacity"),
                f.flag("lifted", false),
                changes,
                PaintJson.parse(f.object("paint")),
                f.flag("byBrush", false),
                masks(f)));
  }

  private static Map<String, Mask> masks(Fields f) {
    Map<String, Mask> out = new LinkedHashMap<>();
    if (f.has("masks")) {
      Fields masks = f.object("masks");
      masks.names().forEach(veil -> out.put(veil, MaskJson.parse(masks.object(veil))));
    }
    return out;
  }

  private static Map<String, Double> dials(Fields change) {
    Map<String, Double> values = new LinkedHashMap<>();
    if (change.has("dials")) {
      Fields dials = change.object("dials");
      dials.names().forEach(key -> values.put(key, dials.number(key)));
    }
    return values;
  }
}
