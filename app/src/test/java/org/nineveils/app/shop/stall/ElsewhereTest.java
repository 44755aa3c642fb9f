package org.nineveils.app.shop.stall;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.nineveils.app.base.start.CannotStart;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.code.StallCode;

/** A stall of another house that is slow, closed, or talks nonsense. */
class ElsewhereTest {
  private static final StallCode CODE = StallCode.draw(new java.security.SecureRandom());

  private HttpServer house;
  private Elsewhere elsewhere;
  private final AtomicInteger asked = new AtomicInteger();

  /** How the other house answers. */
  @FunctionalInterface
  private interface Answer {
    void to(HttpExchange exchange) throws IOException;
  }

  private volatile Answer answer;

  @BeforeEach
  void open() throws IOException {
    house = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    house.setExecutor(
        Executors.newCachedThreadPool(
            work -> {
              Thread thread = new Thread(work);
              thread.setDaemon(true);
              return thread;
            }));
    house.createContext(
        "/",
        exchange -> {
          asked.incrementAndGet();
          answer.to(exchange);
        });
    house.start();
    String address = "http://127.0.0.1:" + house.getAddress().getPort() + "/";
    elsewhere = new Elsewhere(address, Duration.ofMillis(700));
  }

  @AfterEach
  void close() {
    elsewhere.close();
    house.stop(0);
  }

  private static Answer saying(int status, String text) {
    return exchange -> {
      byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
      exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
      exchange.getResponseBody().write(bytes);
      exchange.close();
    };
  }

  /** A byte now and then, without end. */
  private static Answer dripping() {
    return exchange -> {
      exchange.sendResponseHeaders(200, 0);
      try {
        for (int i = 0; i < 200; i++) {
          exchange.getResponseBody().write(' ');
          exchange.getResponseBody().flush();
          LockSupport.parkNanos(50_000_000);
        }
      } catch (IOException e) {
        // it was hung up
      }
      exchange.close();
    };
  }

  @Test
  void whatIsNewIsKnownAndAskedForOnce() {
    answer = saying(200, "{\"version\": \"1.2\"}");
    assertThat(elsewhere.newest("ABCD")).contains("1.2");
    assertThat(elsewhere.newest("ABCD")).contains("1.2");
    assertThat(asked.get()).isEqualTo(1);
  }

  /** Each of these brought all of the desk to 422. */
  @Test
  void anAnswerThatIsNoneSaysNothingOfWhatIsNew() {
    for (String text :
        new String[] {"[]", "no json", "{}", "{\"version\": 7}", "{\"version\": \"newest\"}", ""}) {
      answer = saying(200, text);
      assertThat(elsewhere.newest("N" + text.hashCode())).as(text).isEmpty();
    }
    answer = saying(500, "oh");
    assertThat(elsewhere.newest("FIVE")).isEmpty();
  }

  @Test
  void ofAListWhatMakesNoSenseIsLeftOut() {
    answer =
        saying(
            200,
            """
            {"out": [
              {"code": "%s", "name": "Low Light", "version": "1.2", "mark": "", "effects": 3, "price": "Free"},
              {"code": "1", "name": "Low Light", "version": "1.2", "effects": 3},
              {"name": 7}, {}, 5
            ]}"""
                .formatted(CODE.shown()));
    assertThat(elsewhere.out())
        .containsExactly(new StallService.Out(CODE.shown(), "Low Light", "1.2", "", 3, "Free"));
    for (String text : new String[] {"", "[]", "{}", "{\"out\": 5}"}) {
      answer = saying(200, text);
      assertThatThrownBy(elsewhere::out).as(text).hasMessageContaining("does not tell what is out");
    }
    answer = saying(404, "no");
    assertThatThrownBy(elsewhere::out).hasMessageContaining("does not tell what is out");
    answer = dripping();
    assertThatThrownBy(elsewhere::out).hasMessageContaining("does not answer");
  }

  @Test
  void aHouseThatDripsKeepsNoPageAndNoFetchForEver() {
    answer = dripping();
    assertThat(elsewhere.newest("A")).isEmpty();
    long before = asked.get();
    for (int i = 0; i < 30; i++) {
      assertThat(elsewhere.newest("B" + i)).as("it is slow: nothing is waited for").isEmpty();
    }
    assertThat(before).isEqualTo(1);
    assertThatThrownBy(() -> elsewhere.fetch("A"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("nothing was fetched");
  }

  @Test
  void aHouseWithAPasswordIsNotOneWhereNothingWasEverPutOut() {
    answer =
        exchange -> {
          exchange.getResponseHeaders().add("Location", "/log-in");
          exchange.sendResponseHeaders(302, -1);
          exchange.close();
        };
    assertThatThrownBy(() -> elsewhere.fetch("ABCD"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("asks for a password");
    answer = saying(404, "none");
    assertThat(elsewhere.fetch("ABCD")).isEmpty();
    answer = saying(500, "oh");
    assertThatThrownBy(() -> elsewhere.fetch("ABCD")).hasMessageContaining("answered 500");
  }

  @Test
  void anAddressElsewhereOrNoneIsSaidAtTheStart() {
    for (String address :
        new String[] {"http://192.0.2.1/", "no address at all", "ftp://localhost"}) {
      assertThatThrownBy(() -> new Elsewhere(address, Duration.ofSeconds(1)))
          .isInstanceOf(CannotStart.class)
          .hasMessageContaining(address);
    }
  }
}
