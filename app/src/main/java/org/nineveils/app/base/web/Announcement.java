package org.nineveils.app.base.web;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Prints, once all is ready, where the application is and how to stop it. */
@Component
public class Announcement implements ApplicationListener<ApplicationReadyEvent> {
  /** Whether the application was started for one piece of work, and ends when that is done. */
  public static boolean cameForOne(Environment environment) {
    return !environment.getProperty("nineveils.tidy", "").isEmpty()
        || !environment.getProperty("nineveils.backup", "").isEmpty();
  }

  @Override
  public void onApplicationEvent(ApplicationReadyEvent event) {
    Environment environment = event.getApplicationContext().getEnvironment();
    if (cameForOne(environment)) {
      return; // it does not stay
    }
    System.out.printf(
        "%nNine Veils is ready: http://%s:%s/%nStop it with Ctrl+C; everything is saved as it is made.%n",
        environment.getProperty("server.address"), environment.getProperty("local.server.port"));
  }
}
