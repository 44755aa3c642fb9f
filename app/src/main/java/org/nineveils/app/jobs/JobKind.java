package org.nineveils.app.jobs;

import java.io.IOException;

/** A sort of long work, brought by the feature that knows how to do it. */
public interface JobKind {
  /** Name in the database; never changed once used. */
  String id();

  /** Whether somebody waits for it: such work does not stand behind long runs. */
  default boolean isQuick() {
    return false;
  }

  /** Whether it goes on after a restart; otherwise it says that it was cut off. */
  boolean goesOn();

  /**
   * Does the work. What fails for one item is told by {@link JobRun#item}; an exception ends the
   * job.
   *
   * @throws IOException where results could not be kept
   */
  void run(JobRun run) throws IOException;
}
