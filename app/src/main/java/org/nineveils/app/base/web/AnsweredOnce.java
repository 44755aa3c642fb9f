package org.nineveils.app.base.web;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/**
 * Answers of requests that changed something, by the names that pages gave them: what is sent
 * again, since its answer was lost or a log-in ran out, is answered as it was. One that is still
 * being answered is waited for. What was refused or failed is not kept; it may be tried again.
 */
final class AnsweredOnce {
  private static final int KEPT = 400;
  private static final int LONGEST_WAIT_SECONDS = 100;

  /** Answers larger than this are not kept whole, only that they were given. */
  static final int LARGEST = 64 * 1024;

  /**
   * An answer.
   *
   * @param body null where it was too large to be kept
   */
  @SuppressWarnings("ArrayRecordComponent") // as it was sent
  record Answer(int status, String type, byte[] body) {
    boolean isGood() {
      return status >= 200 && status < 300;
    }
  }

  private final Map<String, CompletableFuture<Answer>> all = new LinkedHashMap<>();

  /**
   * Looks for the answer of a request, or for whoever is answering it.
   *
   * @return null where it is to be answered now: then {@link #answered} or {@link #failed} follows
   */
  Answer before(String name) throws InterruptedException {
    while (true) {
      CompletableFuture<Answer> other;
      synchronized (this) {
        other = all.get(name);
        if (other == null) {
          all.put(name, new CompletableFuture<>());
          forgetOldest();
          return null;
        }
      }
      try {
        Answer answer = other.get(LONGEST_WAIT_SECONDS, TimeUnit.SECONDS);
        if (answer != null) {
          return answer;
        }
      } catch (TimeoutException e) {
        return new Answer(409, "", null);
      } catch (ExecutionException e) {
        throw new IllegalStateException(e);
      }
    }
  }

  private void forgetOldest() {
    Iterator<Map.Entry<String, CompletableFuture<Answer>>> oldest = all.entrySet().iterator();
    while (all.size() > KEPT && oldest.hasNext()) {
      if (oldest.next().getValue().isDone()) {
        oldest.remove();
      }
    }
  }

  /**
   * Keeps an answer that was given, and gives it to those who wait; what is no good one is let go.
   */
  synchronized void answered(String name, Answer answer) {
    CompletableFuture<Answer> mine = answer.isGood() ? all.get(name) : all.remove(name);
    if (mine != null) {
      mine.complete(answer.isGood() ? answer : null);
    }
  }

  /** Nothing was answered. */
  synchronized void failed(String name) {
    CompletableFuture<Answer> mine = all.remove(name);
    if (mine != null) {
      mine.complete(null);
    }
  }
}
