package org.nineveils.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.FilterChain;
import java.time.Clock;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class WrongPasswordsTest {
  private final Clock clock = mock(Clock.class);
  private final WrongPasswords wrong = new WrongPasswords(clock);

  private void at(int second) {
    when(clock.instant()).thenReturn(Instant.ofEpochSecond(1_000_000 + second));
  }

  private boolean isLookedAt(String method, String path) throws Exception {
    MockHttpServletResponse response = new MockHttpServletResponse();
    FilterChain chain = new MockFilterChain();
    wrong.doFilter(new MockHttpServletRequest(method, path), response, chain);
    return response.getRedirectedUrl() == null;
  }

  @Test
  void afterEachWrongPasswordTheNextOneWaitsLongerUpToAMinute() throws Exception {
    at(0);
    assertThat(wrong.secondsLeft()).isZero();
    long[] waits = new long[9];
    int now = 0;
    for (int i = 0; i < waits.length; i++) {
      at(now);
      wrong.count();
      waits[i] = wrong.secondsLeft();
      now += (int) waits[i];
    }
    assertThat(waits).containsExactly(1, 2, 4, 8, 16, 32, 60, 60, 60);
    at(now - 1);
    assertThat(isLookedAt("POST", "/log-in")).isFalse();
    assertThat(isLookedAt("GET", "/log-in")).as("the page itself is shown").isTrue();
    at(now);
    assertThat(isLookedAt("POST", "/log-in")).isTrue();
  }
}
