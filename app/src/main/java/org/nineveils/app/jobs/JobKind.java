package org.nineveils.app.jobs;

import java.io.IOException;

/** A sort of long work, brought by the feature that knows how to do it. */
public interface JobKind {
  /**
   * What the room of jobs knows of a sort.
   *
   * @param id name in the database; never changed once used
   * @param isQuick somebody waits for it: such work does not stand behind long runs
   * @param goesOn it goes on after a restart; otherwise it says that it was cut off
   */
  record Nature(String id, boolean isQuick, boolean goesOn) {}

  Nature nature();

  /**
   * Does the work. What fails for one item is told by {@link JobRun#item}; an exception ends the
   * job.
   *
   * @throws IOException where results could not be kept
   */
  void run(JobRun run) throws IOException;
}
