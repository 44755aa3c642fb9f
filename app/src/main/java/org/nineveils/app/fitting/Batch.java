package org.nineveils.app.fitting;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.nineveils.stack.Stack;

/**
 * One applying of what a photo wears to more photos: a queue that grows while files come in, and
 * results in the order in which they were finished.
 */
final class Batch {
  /**
   * A photo that waits.
   *
   * @param name of the photo or of its file
   * @param photo id of a photo of the wall, or 0 where the bytes came with the request
   * @param file uploaded file, or null
   */
  record Item(String name, long photo, Path file) {}

  /**
   * A finished photo.
   *
   * @param file the result, or null where it failed
   * @param fault a sentence, empty where there is a result
   */
  record Result(String name, Path file, String fault) {}

  private final Stack stack;
  private final Path folder;
  private final List<Item> items = new ArrayList<>();
  private final List<Result> results = new ArrayList<>();
  private final long started = System.nanoTime();
  private int taken;
  private boolean stopped;

  Batch(Stack stack, Path folder) {
    this.stack = stack;
    this.folder = folder;
  }

  Stack stack() {
    return stack;
  }

  Path folder() {
    return folder;
  }

  synchronized void add(Item item) {
    items.add(item);
  }

  /** The next photo to do, or null where none waits or the batch was stopped. */
  synchronized Item take() {
    return stopped || taken >= items.size() ? null : items.get(taken++);
  }

  synchronized void finished(Result result) {
    results.add(result);
  }

  synchronized void stop() {
    stopped = true;
  }

  synchronized boolean isRunning() {
    int wanted = stopped ? taken : items.size();
    return results.size() < wanted;
  }

  synchronized List<Result> results() {
    return List.copyOf(results);
  }

  /**
   * How far it has come.
   *
   * @param secondsLeft from the pace so far; 0 where there is none yet
   */
  record Progress(
      int done,
      int total,
      boolean running,
      boolean stopped,
      long secondsLeft,
      List<String> faults) {}

  synchronized Progress progress() {
    int done = results.size();
    double seconds = (System.nanoTime() - started) / 1e9;
    int left = items.size() - done;
    long secondsLeft = done == 0 || stopped ? 0 : (long) Math.ceil(seconds / done * left);
    List<String> faults =
        results.stream().map(Result::fault).filter(fault -> !fault.isEmpty()).toList();
    return new Progress(done, items.size(), isRunning(), stopped, secondsLeft, faults);
  }
}
