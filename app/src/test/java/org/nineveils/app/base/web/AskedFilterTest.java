package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.FilterChain;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** A start of long work, a variant, a hand-out: sent twice since an answer was lost, done once. */
class AskedFilterTest {
  private final AskedFilter filter = new AskedFilter();
  private final AtomicInteger done = new AtomicInteger();

  private MockHttpServletResponse ask(String name, String path, FilterChain chain) {
    try {
      MockHttpServletRequest request = new MockHttpServletRequest("POST", path);
      if (!name.isEmpty()) {
        request.addHeader("Idempotency-Key", name);
      }
      MockHttpServletResponse response = new MockHttpServletResponse();
      filter.doFilter(request, response, chain);
      return response;
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  private FilterChain answering(int status, String text) {
    return (request, response) -> {
      done.incrementAndGet();
      ((HttpServletResponse) response).setStatus(status);
      response.setContentType("application/json");
      response.getWriter().write(text);
    };
  }

  @Test
  void whatIsSentAgainIsAnsweredAsItWasAndNotDoneAgain() throws Exception {
    MockHttpServletResponse first = ask("a", "/api/x", answering(200, "{\"job\": 7}"));
    MockHttpServletResponse again = ask("a", "/api/x", answering(200, "{\"job\": 8}"));
    assertThat(List.of(first.getContentAsString(), again.getContentAsString()))
        .containsOnly("{\"job\": 7}");
    assertThat(again.getContentType()).startsWith("application/json");
    assertThat(done.get()).isEqualTo(1);
    ask("b", "/api/x", answering(200, "{}"));
    ask("", "/api/x", answering(200, "{}"));
    ask("", "/api/x", answering(200, "{}"));
    ask("a", "/api/y", answering(200, "{}"));
    assertThat(done.get()).as("other names, none, and other places").isEqualTo(5);
  }

  @Test
  void whatWasRefusedOrFailedMayBeTriedAgain() throws Exception {
    assertThat(ask("a", "/api/x", answering(507, "{}")).getStatus()).isEqualTo(507);
    assertThat(ask("a", "/api/x", answering(200, "{\"ok\": 1}")).getContentAsString())
        .isEqualTo("{\"ok\": 1}");
    assertThat(done.get()).isEqualTo(2);
  }

  @Test
  void whatIsStillBeingDoneIsWaitedFor() throws Exception {
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch go = new CountDownLatch(1);
    FilterChain slow =
        (request, response) -> {
          begun.countDown();
          try {
            go.await();
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
          answering(200, "{\"slow\": 1}").doFilter(request, response);
        };
    CompletableFuture<MockHttpServletResponse> first =
        CompletableFuture.supplyAsync(() -> ask("a", "/api/x", slow));
    begun.await();
    CompletableFuture<MockHttpServletResponse> second =
        CompletableFuture.supplyAsync(() -> ask("a", "/api/x", answering(200, "{}")));
    go.countDown();
    assertThat(first.get().getContentAsString()).isEqualTo("{\"slow\": 1}");
    assertThat(second.get().getContentAsString()).isEqualTo("{\"slow\": 1}");
    assertThat(done.get()).isEqualTo(1);
  }

  @Test
  void anAnswerThatIsTooLargeToBeKeptIsToldToHaveBeenGiven() throws Exception {
    String large = "\"" + "x".repeat(AnsweredOnce.LARGEST) + "\"";
    assertThat(ask("a", "/api/x", answering(200, large)).getContentAsString()).isEqualTo(large);
    MockHttpServletResponse again = ask("a", "/api/x", answering(200, large));
    assertThat(again.getStatus()).isEqualTo(409);
    assertThat(again.getContentAsString()).contains("\"done\"");
  }
}
