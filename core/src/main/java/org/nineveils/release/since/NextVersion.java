package org.nineveils.release.since;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.nineveils.name.Names;

/**
 * Which version a release is at least: the last number counts on where everything looks as before,
 * the middle one where something is new, the first where a look changed or is gone. So Semantic
 * Versioning 2.0.0 (semver.org) does with interfaces: what one can rely on decides.
 */
public final class NextVersion {
  private NextVersion() {}

  /**
   * The least version.
   *
   * @param last the version before, such as 1.0 or 1.0.2
   * @param changes since then
   * @return the version before where nothing changed
   */
  public static String after(String last, List<Change> changes) {
    int[] numbers = numbers(last);
    if (changes.isEmpty()) {
      return last;
    }
    if (!trial(last).isEmpty()) {
      return last.substring(0, last.indexOf('-')); // what was only on trial is not relied on yet
    }
    Change.Sort most =
        changes.stream().map(Change::sort).max(Comparator.naturalOrder()).orElseThrow();
    return switch (most) {
      case SAME_LOOK ->
          String.format(Locale.ROOT, "%d.%d.%d", numbers[0], numbers[1], numbers[2] + 1);
      case NEW -> String.format(Locale.ROOT, "%d.%d", numbers[0], numbers[1] + 1);
      case LOOK, GONE -> String.format(Locale.ROOT, "%d.0", numbers[0] + 1);
    };
  }

  /** Whether a version is at least another one; what stands behind a hyphen goes before none. */
  public static boolean isAtLeast(String version, String least) {
    return compare(version, least) >= 0;
  }

  /** Orders versions by their numbers. */
  public static int compare(String one, String two) {
    int[] a = numbers(one);
    int[] b = numbers(two);
    for (int i = 0; i < a.length; i++) {
      if (a[i] != b[i]) {
        return Integer.compare(a[i], b[i]);
      }
    }
    String first = trial(one);
    String second = trial(two);
    return first.isEmpty() || second.isEmpty()
        ? Boolean.compare(first.isEmpty(), second.isEmpty())
        : first.compareTo(second);
  }

  /** What stands behind the hyphen; empty for none. */
  private static String trial(String version) {
    return version.contains("-") ? version.substring(version.indexOf('-') + 1) : "";
  }

  private static int[] numbers(String version) {
    String[] parts = Names.checkVersion(version).split("-", 2)[0].split("\\.", -1);
    int[] out = new int[3];
    for (int i = 0; i < parts.length; i++) {
      out[i] = Integer.parseInt(parts[i]);
    }
    return out;
  }
}
