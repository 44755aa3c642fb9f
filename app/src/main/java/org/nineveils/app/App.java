package org.nineveils.app;

import java.util.Locale;
import org.nineveils.app.base.start.LastResort;
import org.nineveils.app.base.start.Rehearsal;
import org.nineveils.app.base.start.StartFault;
import org.nineveils.app.base.web.Announcement;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** Starts the application. What keeps it from starting is one sentence, and exit status 1. */
@SpringBootApplication(proxyBeanMethods = false)
public class App {
  static {
    // What is stored and sent is the same whatever the machine is set to: digits, signs, letters.
    Locale.setDefault(Locale.ROOT);
  }

  public static void main(String[] args) {
    Thread.setDefaultUncaughtExceptionHandler(new LastResort());
    try {
      ConfigurableApplicationContext running = SpringApplication.run(App.class, args);
      boolean rehearsal = running.getEnvironment().containsProperty("nineveils.rehearsal");
      if (rehearsal) {
        Rehearsal.of(running);
      }
      if (rehearsal || Announcement.cameForOne(running.getEnvironment())) {
        running.close(); // it came for that alone
      }
    } catch (SpringApplication.AbandonedRunException built) {
      throw built; // the build only wanted to know of its beans
    } catch (RuntimeException | Error fault) {
      System.err.println(StartFault.sentence(fault));
      System.exit(1);
    }
  }
}
