package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;

class WrongPasswordsTest {
  private final Clock clock = mock(Clock.class);
  private final WrongPasswords wrong =
      new WrongPasswords(
          clock,
          new InMemoryUserDetailsManager(
              User.withUsername("maker").password("{noop}right").roles("MAKER").build()));

  @BeforeEach
  void begin() {
    at(0);
  }

  private void at(int second) {
    when(clock.instant()).thenReturn(Instant.ofEpochSecond(1_000_000 + second));
  }

  private boolean isIn(String password) {
    return wrong
        .authenticate(UsernamePasswordAuthenticationToken.unauthenticated("maker", password))
        .isAuthenticated();
  }

  @Test
  void afterEachWrongPasswordTheNextOneWaitsLongerUpToAMinute() {
    assertThat(wrong.secondsLeft()).isZero();
    long[] waits = new long[9];
    int now = 0;
    for (int i = 0; i < waits.length; i++) {
      at(now);
      assertThatThrownBy(() -> isIn("guess")).isInstanceOf(BadCredentialsException.class);
      waits[i] = wrong.secondsLeft();
      now += (int) waits[i];
    }
    assertThat(waits).containsExactly(1, 2, 4, 8, 16, 32, 60, 60, 60);
    at(now - 1);
    assertThatThrownBy(() -> isIn("right"))
        .as("not even looked at")
        .isInstanceOf(LockedException.class);
    at(now);
    assertThat(isIn("right")).isTrue();
    assertThat(wrong.secondsLeft()).isZero();
  }

  /** Forty at once were all looked at. */
  @Test
  void ofManyPasswordsAtOnceOneIsLookedAt() throws Exception {
    AtomicInteger lookedAt = new AtomicInteger();
    AtomicInteger waited = new AtomicInteger();
    CountDownLatch go = new CountDownLatch(1);
    List<Thread> threads = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      Thread thread =
          new Thread(
              () -> {
                try {
                  go.await();
                  isIn("guess");
                } catch (LockedException e) {
                  waited.incrementAndGet();
                } catch (AuthenticationException e) {
                  lookedAt.incrementAndGet();
                } catch (InterruptedException e) {
                  Thread.currentThread().interrupt();
                }
              });
      threads.add(thread);
      thread.start();
    }
    go.countDown();
    for (Thread thread : threads) {
      thread.join();
    }
    assertThat(List.of(lookedAt.get(), waited.get())).containsExactly(1, 39);
  }
}
