package org.nineveils.app.proofs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ProofRunTest {
  private static List<ProofRun.Cell> cells(int n) {
    return IntStream.range(0, n).mapToObj(i -> new ProofRun.Cell(i, 1, "key" + i)).toList();
  }

  /** A run over the first cells of a sheet, the others being there before. */
  private static ProofRun run(int missing, int before) {
    return new ProofRun(cells(missing + before), cells(missing));
  }

  @Test
  void everyCellIsGivenOutOnce() {
    ProofRun run = run(3, 2);
    assertThat(List.of(run.take(), run.take(), run.take()))
        .extracting(ProofRun.Cell::effect)
        .containsExactly(0L, 1L, 2L);
    assertThat(run.take()).isNull();
  }

  @Test
  void progressCountsWhatWasThereBefore() {
    ProofRun run = run(4, 6);
    run.take();
    run.finished();
    ProofRun.Progress p = run.progress();
    assertThat(p.done()).isEqualTo(7);
    assertThat(p.total()).isEqualTo(10);
    assertThat(p.running()).isTrue();
    assertThat(p.secondsLeft()).isPositive();
  }

  @Test
  void timeLeftIsNotGuessedBeforeTheFirstCell() {
    assertThat(run(4, 0).progress().secondsLeft()).isZero();
  }

  @Test
  void aStoppedRunGivesNothingOutAnyMore() {
    ProofRun run = run(4, 0);
    run.take();
    run.stop();
    assertThat(run.take()).isNull();
    assertThat(run.isRunning()).isFalse();
    assertThat(run.wasStopped()).isTrue();
  }

  @Test
  void aRunWithNothingMissingIsDoneAtOnce() {
    assertThat(run(0, 5).isRunning()).isFalse();
  }
}
