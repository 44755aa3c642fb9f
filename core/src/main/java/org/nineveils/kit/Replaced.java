package org.nineveils.kit;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** What becomes of an effect when another takes its place under its name, told before it does. */
public final class Replaced {
  private static final int MOST_NAMED = 5;

  private Replaced() {}

  /** In sentences: the veils that go and come, and what becomes of dials and note. */
  public static String told(String name, Effect before, Effect after) {
    String dials =
        before.dials().size() == after.dials().size()
            ? ""
            : String.format(
                Locale.ROOT,
                " Its dials: %d instead of %d.",
                after.dials().size(),
                before.dials().size());
    String note = before.note().equals(after.note()) ? "" : " Its note changes.";
    return "“%s” loses %s and gets %s.%s%s Undo at the bench brings it back."
        .formatted(name, veils(before.veils()), veils(after.veils()), dials, note);
  }

  private static String veils(List<Veil> veils) {
    if (veils.isEmpty()) {
      return "nothing";
    }
    String names =
        veils.stream()
            .limit(MOST_NAMED)
            .map(v -> "“" + v.name() + "”")
            .collect(Collectors.joining(", "));
    int more = veils.size() - MOST_NAMED;
    return more > 0 ? String.format(Locale.ROOT, "%s and %d more", names, more) : names;
  }
}
