package org.nineveils.app.proof.searches;

import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.document.Fields;

/** Something about proofs that takes its time to be found; each sort is one class. */
public interface Search {
  /** Name in requests. */
  String id();

  /** What is looked for, for people. */
  String title(Fields request);

  /**
   * Looks for it.
   *
   * @param run told of every item that is done; where it was stopped, what is there is given
   * @return what was found, as JSON takes it
   */
  Object find(JobRun run, Fields request);
}
