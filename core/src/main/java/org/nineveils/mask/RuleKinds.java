package org.nineveils.mask;

import java.util.List;
import org.nineveils.refusal.Ids;
import org.nineveils.setting.InvalidSetting;

/** The sorts of rule that this build knows. */
public final class RuleKinds {
  private static final List<RuleKind> ALL =
      List.of(
          new BrightnessRule(),
          new ColourRule(),
          new PickedRule(),
          new SkinRule(),
          new ShapeRule());

  private RuleKinds() {}

  /** All sorts, in the order of the screens. */
  public static List<RuleKind> all() {
    return ALL;
  }

  /**
   * The sort of that id.
   *
   * @throws InvalidSetting naming the id
   */
  public static RuleKind ofId(String id) {
    return Ids.find(ALL, RuleKind::id, id)
        .orElseThrow(
            () -> new InvalidSetting("There is no rule of a mask called “%s”.".formatted(id)));
  }
}
