package org.nineveils.app.base.jobs;

import java.io.IOException;

/** A sort of long work, brought by the feature that knows how to do it. */
public interface JobKind {
  /**
   * What the room of jobs knows of a sort.
   *
   * @param id name in the database; never changed once used
   * @param turn when it comes to its turn
   * @param restart what becomes of it where the application ends meanwhile
   */
  record Nature(String id, Turn turn, Restart restart) {}

  /** In which queue work waits. */
  enum Turn {
    /** Somebody waits for it: it does not stand behind long runs. */
    QUICK,
    PATIENT
  }

  /** What becomes of work that was under way. */
  enum Restart {
    GOES_ON,
    /** It says that it was cut off. */
    CUT_OFF
  }

  Nature nature();

  /**
   * Does the work. What fails for one item is told by {@link JobRun#item}; an exception ends the
   * job.
   *
   * @throws IOException where results could not be kept
   */
  void run(JobRun run) throws IOException;
}
