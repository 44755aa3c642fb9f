package org.nineveils.app.proof.sheet;

import java.util.List;
import java.util.Locale;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.proof.Judgement;
import org.nineveils.proof.Verdict;

/** The line at the foot of a proof on paper. */
public final class ProofWords {
  private ProofWords() {}

  /** Empty where it is within and nothing else is said of it. */
  public static String of(Cell cell, Judgement said) {
    List<Object> shown = ProofService.shown(cell, said);
    String words = (String) shown.get(6);
    if (said.state() == Verdict.State.NOT_JUDGED) {
      return words.isEmpty() ? said.state().word() : words; // its picture is pale
    }
    if (said.state() == Verdict.State.WITHIN) {
      return words;
    }
    Verdict worst = said.worst().orElseThrow();
    return String.format(
        Locale.ROOT,
        "%s · %s %.1f %s",
        worst.state().word(),
        worst.measure().word(),
        worst.reading().value(),
        worst.measure().unit());
  }
}
