package org.nineveils.document;

import java.util.List;
import java.util.Map;
import org.nineveils.region.PhotoRegion;
import org.nineveils.region.PhotoRegions;

/** The regions of a photo as JSON; paint is kept apart. */
public final class RegionsJson {
  private RegionsJson() {}

  /** As JSON takes them. */
  public static Map<String, Object> format(PhotoRegions regions) {
    return Json.object("regions", regions.all().stream().map(RegionsJson::formatRegion).toList());
  }

  private static Map<String, Object> formatRegion(PhotoRegion region) {
    return Json.object(
        "id", region.id(),
        "name", region.name(),
        "mask", MaskJson.format(region.mask()),
        "picture", region.picture(),
        "left", region.left());
  }

  /**
   * Reads them.
   *
   * @throws DocumentException naming the place and the fault
   */
  public static PhotoRegions parse(Fields fields) {
    fields.only("regions");
    List<PhotoRegion> all = fields.objects("regions", RegionsJson::parseRegion);
    return fields.build(() -> new PhotoRegions(all));
  }

  private static PhotoRegion parseRegion(Fields f) {
    f.only("id", "name", "mask", "picture", "left");
    return f.build(
        () ->
            new PhotoRegion(
                f.text("id"),
                f.text("name"),
                MaskJson.parse(f.object("mask")),
                f.text("picture", ""),
                f.flag("left", false)));
  }
}
