package org.nineveils.veil;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.nineveils.mask.Mask;
import org.nineveils.setting.InvalidSetting;

/** Veils that cover where another veil of their effect does. */
public final class Following {
  private Following() {}

  private static Optional<Veil> of(String id, List<Veil> veils) {
    return veils.stream().filter(v -> v.id().equals(id)).findFirst();
  }

  /**
   * Refuses a veil that follows one that is not there, itself, or one that follows another.
   *
   * @throws InvalidSetting naming both
   */
  static void check(List<Veil> veils) {
    for (Veil veil : veils) {
      if (veil.mask().follows()) {
        Veil other =
            of(veil.mask().as(), veils)
                .orElseThrow(
                    () ->
                        new InvalidSetting(
                            "“%s” covers as a veil that is not there.".formatted(veil.name())));
        if (other.mask().follows()) {
          throw new InvalidSetting(
              other.equals(veil)
                  ? "“%s” cannot cover as itself.".formatted(veil.name())
                  : "“%s” cannot cover as “%s”, which follows a veil itself."
                      .formatted(veil.name(), other.name()));
        }
      }
    }
  }

  /** The mask that a veil has, its own or that of the veil that it follows. */
  public static Mask mask(Veil veil, List<Veil> veils) {
    Mask own = veil.mask();
    return own.follows() ? of(own.as(), veils).map(Veil::mask).orElse(Mask.BRUSH_ON) : own;
  }

  /** A veil with the mask of the one that it followed, where that one is not among those kept. */
  static Veil freed(Veil veil, Set<String> kept, List<Veil> before) {
    boolean gone = veil.mask().follows() && !kept.contains(veil.mask().as());
    return gone ? veil.withMask(mask(veil, before)) : veil;
  }
}
