package org.nineveils.app.photo.photos;

import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/**
 * Makes photos ready that may be looked at next: decoded and scaled for a stage, one after the
 * other. What was asked for first is forgotten first.
 */
@Component
class Readying implements DisposableBean {
  private static final int MOST_WAITING = 4;
  private static final int LARGEST = 26_000_000; // pixels

  private final PhotoService photos;
  private final ThreadPoolExecutor worker =
      new ThreadPoolExecutor(
          0,
          1,
          10,
          TimeUnit.SECONDS,
          new ArrayBlockingQueue<>(MOST_WAITING),
          work -> {
            Thread thread = new Thread(work, "readying");
            thread.setDaemon(true);
            return thread;
          },
          new ThreadPoolExecutor.DiscardOldestPolicy());

  Readying(PhotoService photos) {
    this.photos = photos;
  }

  /**
   * Makes a photo ready at the size of lists and at that of a stage; a very large one is left until
   * it is wanted, since others would wait for its decoding.
   */
  void makeReady(Photo photo, int longSide) {
    if ((long) photo.width() * photo.height() > LARGEST) {
      return;
    }
    worker.execute(
        () -> {
          photos.once(photo, longSide);
          photos.once(photo, PhotoService.SMALL);
        });
  }

  @Override
  public void destroy() {
    worker.shutdownNow();
  }
}
