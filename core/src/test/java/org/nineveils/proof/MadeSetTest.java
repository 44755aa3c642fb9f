package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Reading;

/**
 * Effects made to harm are found, effects that do none are left alone: every sixth cell of the set,
 * all of it in {@code ./nv bench proofs}. The set is ours and the limits were chosen by it; it
 * shows that what was found once is not lost, not how strangers' effects fare.
 */
class MadeSetTest {
  private static final Path HELD =
      Path.of("src/main/resources/org/nineveils/proof/measure/held.txt");

  private static List<MadeSet.Cell> cells;

  @BeforeAll
  static void judge() {
    cells = MadeSet.judge(Path.of("../demo"), 6);
  }

  @Test
  void harmIsFoundAndWhatDoesNoneIsLeftAlone() {
    String table = String.join("\n", MadeSet.table(cells));
    assertThat(share(true)).as(table).isGreaterThanOrEqualTo(0.85);
    assertThat(share(false)).as(table).isLessThanOrEqualTo(0.035);
  }

  private static double share(boolean harm) {
    List<MadeSet.Cell> some = cells.stream().filter(c -> c.harm() == harm).toList();
    assertThat(some).hasSizeGreaterThan(60);
    return some.stream().filter(MadeSet.Cell::isOver).count() / (double) some.size();
  }

  /** Else readings that were kept would be taken for those of today: see {@link Measures#BUILD}. */
  @Test
  void whatMeasuresGiveIsWhatIsHeldAndMakesTheirBuild() throws IOException {
    List<String> now = Measures.all().stream().map(MadeSetTest::line).toList();
    if (Boolean.getBoolean("nineveils.writeDocs")) {
      Files.write(HELD, now);
    }
    List<String> held = Files.readAllLines(HELD);
    assertThat(held).as("one line a measure").hasSameSizeAs(now);
    for (int i = 0; i < now.size(); i++) {
      String[] then = held.get(i).split(" ", -1);
      String[] today = now.get(i).split(" ", -1);
      assertThat(today).hasSameSizeAs(then);
      assertThat(today[0]).isEqualTo(then[0]);
      for (int k = 1; k < then.length; k++) {
        String what = "%s in cell %d; ./nv docs holds it anew".formatted(then[0], k);
        if (then[k].equals("-") || today[k].equals("-")) {
          assertThat(today[k]).as(what).isEqualTo(then[k]);
        } else {
          double value = Double.parseDouble(then[k]);
          assertThat(Double.parseDouble(today[k]))
              .as(what)
              .isCloseTo(value, within(2e-3 + 1e-3 * Math.abs(value)));
        }
      }
    }
  }

  private static String line(Measure measure) {
    return cells.stream()
        .map(c -> c.readings().byMeasure().get(measure.id()))
        .map(MadeSetTest::number)
        .collect(Collectors.joining(" ", measure.id() + " ", ""));
  }

  private static String number(Reading reading) {
    return reading.isJudged() ? String.format(Locale.ROOT, "%.3f", reading.value()) : "-";
  }
}
