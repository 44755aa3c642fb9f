package org.nineveils.app.base.start;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What is done where a thread ends by a fault that nobody caught. A thread that does a piece of
 * work is replaced by its pool; one by which the application is reached is not, and without it
 * nobody is answered any more: then the process ends with a sentence, and the launcher starts it
 * again.
 */
public final class LastResort implements Thread.UncaughtExceptionHandler {
  /** Exit status by which the launcher is asked to start the application again. */
  public static final int START_AGAIN = 70;

  private static final Logger LOG = LoggerFactory.getLogger(LastResort.class);
  private static final String SENTENCE =
      "Nine Veils ran out of memory where it cannot go on, and ends itself. What was saved is safe; work that was cut off says so.";

  @Override
  public void uncaughtException(Thread thread, Throwable fault) {
    if (isVital(thread.getName()) && fault instanceof VirtualMachineError) {
      try {
        System.err.println(SENTENCE);
      } finally {
        Runtime.getRuntime().halt(START_AGAIN); // an orderly end needs memory too
      }
    }
    LOG.warn("a thread ended: {}", thread.getName(), fault);
  }

  /** Threads of the web server that take connections and share them out. */
  static boolean isVital(String thread) {
    return thread.endsWith("-Acceptor") || thread.endsWith("-Poller");
  }
}
