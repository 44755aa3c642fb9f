package org.nineveils.app.web;

import java.net.InetAddress;
import org.nineveils.app.start.CannotStart;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Refuses to start on an address that others reach while no password is set. */
@Component
class LoopbackGuard implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private final InetAddress address;
  private final Password password;

  LoopbackGuard(@Value("${server.address}") InetAddress address, Password password) {
    this.address = address;
    this.password = password;
  }

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    if (!address.isLoopbackAddress() && !password.isSet()) {
      throw new CannotStart(
          "Set NINEVEILS_PASSWORD before listening on %s: other machines reach that address."
              .formatted(address.getHostAddress()));
    }
  }
}
