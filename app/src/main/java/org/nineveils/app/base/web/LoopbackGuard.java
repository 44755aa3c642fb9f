package org.nineveils.app.base.web;

import java.net.InetAddress;
import java.net.UnknownHostException;
import org.nineveils.app.base.start.CannotStart;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Refuses to start on an address that others reach while no password is set. */
@Component
class LoopbackGuard implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private static final int HIGHEST_PORT = 65535;

  private final InetAddress address;
  private final Password password;

  private final int port;

  LoopbackGuard(
      @Value("${server.address}") String address,
      @Value("${server.port}") String port,
      Password password) {
    this.address = parsed(address);
    this.port = number(port);
    this.password = password;
  }

  private static int number(String port) {
    try {
      return Integer.parseInt(port.strip());
    } catch (NumberFormatException e) {
      throw new CannotStart(
          "Nine Veils cannot start: what is set as server.port makes no sense: “%s” is no number."
              .formatted(port),
          e);
    }
  }

  private static InetAddress parsed(String address) {
    try {
      return InetAddress.getByName(address);
    } catch (UnknownHostException e) {
      throw new CannotStart(
          "Nine Veils cannot start: NINEVEILS_ADDRESS is “%s”, which is no address of this machine."
              .formatted(address),
          e);
    }
  }

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    if (port < 0 || port > HIGHEST_PORT) {
      throw new CannotStart(
          "Nine Veils cannot start: NINEVEILS_PORT is %s, but a port is a number from 1 to %s."
              .formatted(port, HIGHEST_PORT));
    }
    if (!address.isLoopbackAddress() && !password.isSet()) {
      throw new CannotStart(
          "Set NINEVEILS_PASSWORD before listening on %s: other machines reach that address."
              .formatted(address.getHostAddress()));
    }
  }
}
