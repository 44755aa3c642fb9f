package org.nineveils.document;

import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.proof.ApprovedSheet;
import org.nineveils.proof.measure.Samples;

/** Approved sheets as JSON. */
public final class ApprovedJson {
  private ApprovedJson() {}

  /** As JSON takes it. */
  public static Map<String, Object> format(ApprovedSheet sheet) {
    List<Object> cells = new ArrayList<>();
    sheet
        .cells()
        .forEach(
            (place, cell) ->
                cells.add(
                    Json.object(
                        "effect", place.effect(),
                        "photo", place.photo(),
                        "effectName", cell.effectName(),
                        "photoName", cell.photoName(),
                        "picture", cell.picture(),
                        "readings", ReadingsJson.format(cell.readings()),
                        "colours", Base64.getEncoder().encodeToString(cell.colours().bytes()))));
    return Json.object("edition", sheet.edition(), "cells", cells);
  }

  /**
   * Reads one.
   *
   * @throws DocumentException naming the place and the fault
   */
  public static ApprovedSheet parse(Fields f) {
    Map<ApprovedSheet.Place, ApprovedSheet.Cell> cells = new LinkedHashMap<>();
    f.objects(
        "cells",
        c ->
            cells.put(
                new ApprovedSheet.Place(c.whole("effect"), c.whole("photo")),
                new ApprovedSheet.Cell(
                    c.text("effectName"),
                    c.text("photoName"),
                    c.text("picture"),
                    ReadingsJson.parse(c.object("readings")),
                    Samples.read(Base64.getDecoder().decode(c.text("colours"))))));
    return new ApprovedSheet(f.whole("edition"), cells);
  }
}
