package org.nineveils.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the application. */
@SpringBootApplication(proxyBeanMethods = false)
public class App {
  public static void main(String[] args) {
    SpringApplication.run(App.class, args);
  }
}
