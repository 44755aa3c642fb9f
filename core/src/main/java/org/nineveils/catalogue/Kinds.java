package org.nineveils.catalogue;

import java.util.List;
import java.util.stream.Collectors;
import org.nineveils.refusal.Ids;
import org.nineveils.setting.InvalidSetting;
import org.nineveils.veil.VeilKind;
import org.nineveils.veil.colour.Colour;
import org.nineveils.veil.crisp.Crisp;
import org.nineveils.veil.curve.Curve;
import org.nineveils.veil.edge.Edge;
import org.nineveils.veil.ink.Ink;
import org.nineveils.veil.light.Light;
import org.nineveils.veil.overlay.Overlay;
import org.nineveils.veil.soft.Soft;
import org.nineveils.veil.tint.Tint;

/** The kinds of veil that this build knows. */
public final class Kinds {
  private static final List<VeilKind> ALL =
      List.of(
          new Light(),
          new Curve(),
          new Colour(),
          new Ink(),
          new Tint(),
          new Soft(),
          new Crisp(),
          new Edge(),
          new Overlay());

  private Kinds() {}

  /** All kinds, in the order of the screens. */
  public static List<VeilKind> all() {
    return ALL;
  }

  /**
   * The kind of that id.
   *
   * @throws InvalidSetting naming the id and the kinds there are
   */
  public static VeilKind ofId(String id) {
    return Ids.find(ALL, VeilKind::id, id)
        .orElseThrow(
            () ->
                new InvalidSetting(
                    "There is no kind of veil “%s”; this program knows %s."
                        .formatted(
                            id, ALL.stream().map(VeilKind::id).collect(Collectors.joining(", ")))));
  }
}
