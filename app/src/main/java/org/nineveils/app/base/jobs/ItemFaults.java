package org.nineveils.app.base.jobs;

import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.Faults;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.document.DocumentException;
import org.nineveils.file.PictureException;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.ReleaseException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What is said of items of jobs that failed. */
public final class ItemFaults {
  private static final Logger LOG = LoggerFactory.getLogger(ItemFaults.class);

  private ItemFaults() {}

  /** What is said of an item that failed; what is a fault of ours is logged, never shown. */
  public static String sentence(String name, Throwable e) {
    boolean told =
        e instanceof PictureException
            || e instanceof ReleaseException
            || e instanceof DocumentException
            || e instanceof NotFound
            || e instanceof Conflict
            || e instanceof Refusal;
    if (told) {
      String machine = Faults.sentence(e.getCause()); // a full disk while a result is written
      return machine.isEmpty() ? e.getMessage() : machine;
    }
    LOG.warn("an item of a job failed: {}", name, e);
    String full = Faults.sentence(e);
    return full.isEmpty() ? "“%s” was not done: something went wrong.".formatted(name) : full;
  }
}
