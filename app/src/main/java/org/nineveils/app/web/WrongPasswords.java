package org.nineveils.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * After each wrong password the next try waits longer: one second, two, four … at most a minute.
 * The waiting is for everybody, since there is one maker and guesses may come from many addresses.
 */
@Component
class WrongPasswords extends OncePerRequestFilter {
  private static final int LONGEST_POWER = 6;

  private final Clock clock;
  private int wrong;
  private Instant until = Instant.EPOCH;

  WrongPasswords(Clock clock) {
    this.clock = clock;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean tries =
        request.getMethod().equals("POST") && request.getRequestURI().equals(SecurityConfig.LOG_IN);
    if (tries && secondsLeft() > 0) {
      response.sendRedirect(SecurityConfig.LOG_IN + "?wait");
    } else {
      chain.doFilter(request, response);
    }
  }

  /** Seconds until a password is looked at again. */
  synchronized long secondsLeft() {
    return Math.max(0, (Duration.between(clock.instant(), until).toMillis() + 999) / 1000);
  }

  synchronized void count() {
    long seconds = 1L << Math.min(wrong, LONGEST_POWER);
    wrong++;
    until = clock.instant().plusSeconds(Math.min(60, seconds));
  }

  private synchronized void forget() {
    wrong = 0;
    until = Instant.EPOCH;
  }

  AuthenticationFailureHandler onFailure() {
    return (request, response, fault) -> {
      count();
      response.sendRedirect(SecurityConfig.LOG_IN + "?wrong");
    };
  }

  AuthenticationSuccessHandler onSuccess() {
    SavedRequestAwareAuthenticationSuccessHandler go =
        new SavedRequestAwareAuthenticationSuccessHandler();
    go.setDefaultTargetUrl("/kits");
    return (request, response, who) -> {
      forget();
      go.onAuthenticationSuccess(request, response, who);
    };
  }

  /** It works within the security chain alone. */
  @Bean
  static FilterRegistrationBean<WrongPasswords> notByItself(WrongPasswords filter) {
    FilterRegistrationBean<WrongPasswords> registration = new FilterRegistrationBean<>(filter);
    registration.setEnabled(false);
    return registration;
  }
}
