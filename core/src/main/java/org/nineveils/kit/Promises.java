package org.nineveils.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.nineveils.mask.Rule;
import org.nineveils.mask.RuleNumber;
import org.nineveils.setting.Handle;
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
        places(veil).forEach(place -> out.add(unmoved(place, veil)));
      }
    }
    return out;
  }

  private static String unmoved(String place, Veil veil) {
    return "The note lets the photographer move something, but “%s” of “%s” has no dial for its place."
        .formatted(place, veil.name());
  }

  /** What of a veil has a place, in words. */
  private static Stream<String> places(Veil veil) {
    return Stream.concat(
            veil.kind().handles().stream().filter(h -> isUsed(h, veil)),
            veil.mask().rules().stream().flatMap(r -> r.kind().handles().stream()))
        .map(Handle::label);
  }

  private static boolean isUsed(Handle handle, Veil veil) {
    return handle.shown() == null
        || !veil.settings().get(handle.shown()).equals(handle.shown().start());
  }

  /** One place that can be moved keeps what the note says of moving. */
  private static boolean isAnyLeft(Effect effect) {
    return effect.veils().stream()
        .anyMatch(
            v ->
                isRuleLeft(v, effect)
                    || v.kind().handles().stream().anyMatch(h -> isLeft(h, v, effect)));
  }

  private static boolean isLeft(Handle handle, Veil veil, Effect effect) {
    return isDial(handle.x().key(), veil, effect) || isDial(handle.y().key(), veil, effect);
  }

  private static boolean isRuleLeft(Veil veil, Effect effect) {
    List<Rule> rules = veil.mask().rules();
    return IntStream.range(0, rules.size())
        .anyMatch(
            i ->
                rules.get(i).kind().handles().stream()
                    .flatMap(h -> Stream.of(h.x(), h.y()))
                    .anyMatch(s -> isDial(new RuleNumber(i, s.key()).written(), veil, effect)));
  }

  private static boolean isDial(String key, Veil veil, Effect effect) {
    return effect.dials().stream().anyMatch(d -> d.veil().equals(veil.id()) && d.key().equals(key));
  }
}
