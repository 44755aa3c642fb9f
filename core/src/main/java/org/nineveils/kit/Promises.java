package org.nineveils.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.nineveils.setting.Handle;
import org.nineveils.setting.NumberSetting;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** What a note promises the photographer, held against the dials that she gets. */
public final class Promises {
  private static final Pattern MOVES = Pattern.compile("(?i)\\b(move|drag|aim)\\b");
  private static final Pattern DIALS = Pattern.compile("(?i)\\b(dials?|sliders?)\\b");

  private Promises() {}

  /**
   * What the note promises and no dial keeps.
   *
   * @return a sentence each; empty where all is kept
   */
  public static List<String> broken(Effect effect) {
    List<String> out = new ArrayList<>();
    if (DIALS.matcher(effect.note()).find() && effect.dials().isEmpty()) {
      out.add("The note speaks of a dial, but no setting is left to the photographer.");
    }
    if (MOVES.matcher(effect.note()).find() && !isAnyLeft(effect)) {
      for (Veil veil : effect.veils()) {
        for (Handle handle : veil.kind().handles()) {
          if (isUsed(handle, veil) && !isLeft(handle, veil, effect)) {
            out.add(
                "The note lets the photographer move something, but “%s” of “%s” has no dial for its place."
                    .formatted(handle.label(), veil.name()));
          }
        }
      }
    }
    return out;
  }

  private static boolean isUsed(Handle handle, Veil veil) {
    return handle.shown() == null
        || !veil.settings().get(handle.shown()).equals(handle.shown().start());
  }

  /** One place that can be moved keeps what the note says of moving. */
  private static boolean isAnyLeft(Effect effect) {
    return effect.veils().stream()
        .anyMatch(v -> v.kind().handles().stream().anyMatch(h -> isLeft(h, v, effect)));
  }

  private static boolean isLeft(Handle handle, Veil veil, Effect effect) {
    return isDial(handle.x(), veil, effect) || isDial(handle.y(), veil, effect);
  }

  private static boolean isDial(NumberSetting setting, Veil veil, Effect effect) {
    return effect.dials().stream()
        .anyMatch(d -> d.veil().equals(veil.id()) && d.key().equals(setting.key()));
  }
}
