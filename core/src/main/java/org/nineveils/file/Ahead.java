package org.nineveils.file;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.nineveils.picture.OverStrips;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;

/**
 * Strips that are made while the one before is being written: an encoder works on one processor,
 * which leaves the others idle.
 */
public final class Ahead extends OverStrips {
  private CompletableFuture<Picture> next;
  private int nextTop;

  private Ahead(Strips strips) {
    super(strips);
  }

  /** The same strips, one made ahead; as they are where there is just one. */
  public static Strips of(Strips strips) {
    return strips.rows() < strips.height() ? new Ahead(strips) : strips;
  }

  /**
   * {@inheritDoc}
   *
   * @throws RuntimeException whatever making it threw
   */
  @Override
  public Picture strip(int top) {
    Picture strip = next == null ? null : awaited();
    if (strip == null || nextTop != top) {
      strip = strips.strip(top);
    }
    next = null;
    nextTop = top + strips.rows();
    if (nextTop < strips.height()) {
      int row = nextTop;
      next = CompletableFuture.supplyAsync(() -> strips.strip(row), Ahead::start);
    }
    return strip;
  }

  /** A thread of its own: one of the common pool would not be helped by the others. */
  private static void start(Runnable work) {
    Thread thread = new Thread(work, "strip");
    thread.setDaemon(true);
    thread.start();
  }

  private Picture awaited() {
    try {
      return next.join();
    } catch (CompletionException e) {
      next = null;
      if (e.getCause() instanceof Error error) {
        throw error;
      }
      throw e.getCause() instanceof RuntimeException cause ? cause : e;
    }
  }
}
