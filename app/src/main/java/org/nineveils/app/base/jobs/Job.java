package org.nineveils.app.base.jobs;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.document.Json;

/**
 * A piece of long work, and how far it is.
 *
 * @param kind id of its kind
 * @param subject what it is about, such as “fitting:7”; the last job of a subject is what its page
 *     shows
 * @param request what is to be done, JSON
 * @param done items that are finished, with or without a fault
 * @param total items, as far as they are known
 * @param faults sentences, one for each item that failed
 * @param said what came of it, in a sentence
 * @param file result in the job's folder; empty for none
 * @param fileName under which the result is fetched
 * @param secondsLeft at the pace so far; 0 where there is none yet
 */
public record Job(
    long id,
    String kind,
    String subject,
    String title,
    String request,
    State state,
    int done,
    int total,
    List<String> faults,
    String said,
    String file,
    String fileName,
    String madeAt,
    long secondsLeft) {

  /** How a job stands. */
  public enum State {
    WAITING,
    RUNNING,
    DONE,
    STOPPED,
    FAILED,
    CUT_OFF;

    /** Whether it is to be done or under way. */
    public boolean isOpen() {
      return this == WAITING || this == RUNNING;
    }
  }

  /** The same without what was asked for, which nobody needs once it is done. */
  Job withoutRequest() {
    return new Job(
        id, kind, subject, title, "{}", state, done, total, faults, said, file, fileName, madeAt,
        0);
  }

  /** Whether there is something to fetch. */
  public boolean hasResult() {
    return !file.isEmpty();
  }

  /** The state in a word, for people. */
  public String stateWord() {
    return switch (state) {
      case WAITING -> "waits";
      case RUNNING -> "runs";
      case DONE -> faults.isEmpty() ? "done" : "done, with faults";
      case STOPPED -> "stopped";
      case FAILED -> "failed";
      case CUT_OFF -> "cut off by a restart";
    };
  }

  /** A job as pages take it. */
  public Map<String, Object> shown() {
    return Json.object(
        "id", id,
        "kind", kind,
        "subject", subject,
        "title", title,
        "state", state.name().toLowerCase(Locale.ROOT).replace('_', ' '),
        "open", state.isOpen(),
        "word", stateWord(),
        "done", done,
        "total", total,
        "secondsLeft", secondsLeft,
        "faults", faults,
        "madeAt", madeAt,
        "said", said,
        "result", hasResult());
  }
}
