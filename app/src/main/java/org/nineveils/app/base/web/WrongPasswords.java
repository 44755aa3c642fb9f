package org.nineveils.app.base.web;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;

/**
 * Looks at passwords, one at a time. After each wrong one the next try waits longer: one second,
 * two, four … at most a minute; what comes meanwhile is not looked at, however it is addressed. The
 * waiting is for everybody, since there is one maker and guesses may come from many addresses.
 */
class WrongPasswords implements AuthenticationProvider {
  private static final int LONGEST_POWER = 6;

  private final Clock clock;
  private final AuthenticationProvider passwords;
  private int wrong;
  private Instant until = Instant.EPOCH;

  WrongPasswords(Clock clock, UserDetailsService users) {
    this.clock = clock;
    this.passwords = new DaoAuthenticationProvider(users);
  }

  @Override
  public synchronized Authentication authenticate(Authentication tried) {
    if (secondsLeft() > 0) {
      throw new LockedException("after a wrong password the next one waits");
    }
    try {
      Authentication right = passwords.authenticate(tried);
      wrong = 0;
      until = Instant.EPOCH;
      return right;
    } catch (AuthenticationException e) {
      count();
      throw e;
    }
  }

  @Override
  public boolean supports(Class<?> authentication) {
    return UsernamePasswordAuthenticationToken.class.isAssignableFrom(authentication);
  }

  /** Seconds until a password is looked at again. */
  synchronized long secondsLeft() {
    return Math.max(0, (Duration.between(clock.instant(), until).toMillis() + 999) / 1000);
  }

  private void count() {
    long seconds = 1L << Math.min(wrong, LONGEST_POWER);
    wrong++;
    until = clock.instant().plusSeconds(Math.min(60, seconds));
  }

  static AuthenticationFailureHandler onFailure() {
    return (request, response, fault) ->
        response.sendRedirect(
            SecurityConfig.LOG_IN + (fault instanceof LockedException ? "?wait" : "?wrong"));
  }
}
