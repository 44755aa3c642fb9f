package org.nineveils.app.base.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.stereotype.Component;

/** Requests under a foreign name, or with an address that makes no sense, are told so. */
@Component
class RejectedRequests implements RequestRejectedHandler {
  @Override
  public void handle(
      HttpServletRequest request, HttpServletResponse response, RequestRejectedException fault)
      throws IOException {
    Forbidden.answer(
        request,
        response,
        HttpServletResponse.SC_BAD_REQUEST,
        String.format(
            Locale.ROOT,
            "Nine Veils does not answer at this address. Open it as http://127.0.0.1:%d/ on this machine.",
            request.getLocalPort()));
  }
}
