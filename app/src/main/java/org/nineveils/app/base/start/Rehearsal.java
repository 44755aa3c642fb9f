package org.nineveils.app.base.start;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.HttpURLConnection;
import java.net.InetAddress;
import java.net.URI;
import java.util.List;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.Environment;

/**
 * Asks the running application for its first pages, so that an archive of loaded classes, taken as
 * it ends, holds what they need too.
 */
public final class Rehearsal {
  private static final List<String> PAGES =
      List.of("/", "/kits", "/photos", "/kits/1", "/bench/1", "/collections");
  private static final int TIMEOUT_MS = 20_000;

  private Rehearsal() {}

  /** Visits each page once; one that cannot be had is left out. */
  public static void of(ConfigurableApplicationContext running) {
    Environment environment = running.getEnvironment();
    String port = environment.getProperty("local.server.port");
    String host = InetAddress.getLoopbackAddress().getHostAddress();
    for (String page : PAGES) {
      try {
        visit(URI.create("http://" + host + ":" + port + page));
      } catch (IOException e) {
        // what it needs is loaded when somebody asks for it
      }
    }
  }

  private static void visit(URI page) throws IOException {
    HttpURLConnection connection = (HttpURLConnection) page.toURL().openConnection();
    connection.setConnectTimeout(TIMEOUT_MS);
    connection.setReadTimeout(TIMEOUT_MS);
    try (InputStream in = connection.getInputStream()) {
      in.transferTo(OutputStream.nullOutputStream());
    } finally {
      connection.disconnect();
    }
  }
}
