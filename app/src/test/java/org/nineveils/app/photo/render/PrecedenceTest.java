package org.nineveils.app.photo.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;

class PrecedenceTest {
  @Test
  void aSmallPictureIsBegunOnceTheStageIsDone() throws InterruptedException {
    Precedence precedence = new Precedence();
    List<String> order = new CopyOnWriteArrayList<>();
    CountDownLatch rendering = new CountDownLatch(1);
    CountDownLatch asked = new CountDownLatch(1);
    CompletableFuture<Boolean> stage =
        CompletableFuture.supplyAsync(
            () ->
                precedence.stage(
                    () -> {
                      rendering.countDown();
                      await(asked);
                      return order.add("stage");
                    }));
    rendering.await();
    CompletableFuture<Boolean> list =
        CompletableFuture.supplyAsync(
            () -> {
              asked.countDown();
              return precedence.list(() -> order.add("list"));
            });
    stage.join();
    list.join();
    assertThat(order).containsExactly("stage", "list");
  }

  private static void await(CountDownLatch latch) {
    try {
      latch.await();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
