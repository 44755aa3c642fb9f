package org.nineveils.app;

import org.nineveils.app.start.StartFault;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** Starts the application. What keeps it from starting is one sentence, and exit status 1. */
@SpringBootApplication(proxyBeanMethods = false)
public class App {
  public static void main(String[] args) {
    try {
      ConfigurableApplicationContext running = SpringApplication.run(App.class, args);
      if (!running.getEnvironment().getProperty("nineveils.tidy", "").isEmpty()) {
        running.close(); // it came for that alone
      }
    } catch (RuntimeException | Error fault) {
      System.err.println(StartFault.sentence(fault));
      System.exit(1);
    }
  }
}
