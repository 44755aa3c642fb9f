package org.nineveils.app.base.web;

import org.nineveils.app.base.start.CannotStart;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.PropertySource;
import org.springframework.stereotype.Component;

/**
 * The password, as it was set, letter by letter. It is never read as a pattern of settings, so that
 * one with a dollar sign in it is neither taken apart nor printed in a message.
 */
@Component
public final class Password {
  static final String PROPERTY = "nineveils.password";
  static final String VARIABLE = "NINEVEILS_PASSWORD";

  private final String value;

  Password(ConfigurableEnvironment environment) {
    String found = "";
    for (PropertySource<?> source : environment.getPropertySources()) {
      if (source.getProperty(PROPERTY) instanceof String own && !own.isEmpty()) {
        found = own;
        break;
      }
    }
    String variable = System.getenv(VARIABLE);
    value = found.isEmpty() && variable != null ? variable : found;
    if (!value.isEmpty() && value.isBlank()) {
      throw new CannotStart(
          "Nine Veils cannot start: the password in NINEVEILS_PASSWORD is blank. Set a real one, or none.");
    }
  }

  /** Empty where none is set. */
  String value() {
    return value;
  }

  boolean isSet() {
    return !value.isEmpty();
  }

  @Override
  public String toString() {
    return isSet() ? "a password" : "no password";
  }
}
