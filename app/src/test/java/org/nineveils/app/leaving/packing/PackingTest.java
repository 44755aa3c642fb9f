package org.nineveils.app.leaving.packing;

import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import org.junit.jupiter.api.Test;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.leaving.collections.Drafts;
import org.nineveils.refusal.Refusal;

class PackingTest {
  private final Drafts drafts = mock(Drafts.class);
  private final LeavingService leaving = mock(LeavingService.class);
  private final PackingService packing =
      new PackingService(null, null, drafts, leaving, null, null, null, null, null, null, null);

  private static JobRun run(long collection, int seen) {
    JobRun run = mock(JobRun.class);
    when(run.asked(PackingService.Packing.class))
        .thenReturn(new PackingService.Packing(collection, seen));
    return run;
  }

  /** It was checked at the click, and what was packed was taken later, when its turn came. */
  @Test
  void whatIsPackedIsWhatIsChecked() {
    Drafts.Snapshot snapshot = mock(Drafts.Snapshot.class);
    when(drafts.snapshot(7)).thenReturn(snapshot);
    when(leaving.check(snapshot)).thenThrow(new Refusal("Nothing was packed. Milk: no veil."));
    JobRun run = run(7, 9);
    assertThatThrownBy(() -> packing.run(run)).hasMessageContaining("Milk: no veil");
    verify(run, never()).result(any(), any());
  }

  @Test
  void whatIsWorthALookAndWasNotSeenIsNotPacked() {
    Drafts.Snapshot snapshot = mock(Drafts.Snapshot.class);
    when(drafts.snapshot(7)).thenReturn(snapshot);
    when(leaving.check(snapshot)).thenReturn(3);
    JobRun run = run(7, 2);
    assertThatThrownBy(() -> packing.run(run))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("since you looked");
  }
}
