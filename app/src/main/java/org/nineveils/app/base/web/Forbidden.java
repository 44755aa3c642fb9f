package org.nineveils.app.base.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.nineveils.document.Json;
import org.springframework.http.MediaType;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.web.access.AccessDeniedHandler;

/** What is refused before any controller is asked gets a sentence too. */
final class Forbidden implements AccessDeniedHandler {
  private static final String UNTRUSTED =
      "The page that asked for this is no longer trusted, and nothing was changed. Reload it and try again.";

  @Override
  public void handle(
      HttpServletRequest request, HttpServletResponse response, AccessDeniedException fault)
      throws IOException {
    answer(request, response, UNTRUSTED);
  }

  static void answer(HttpServletRequest request, HttpServletResponse response, String sentence)
      throws IOException {
    answer(request, response, HttpServletResponse.SC_FORBIDDEN, sentence);
  }

  static void answer(
      HttpServletRequest request, HttpServletResponse response, int status, String sentence)
      throws IOException {
    response.setStatus(status);
    response.setCharacterEncoding(StandardCharsets.UTF_8);
    if (request.getRequestURI().startsWith("/api/")) {
      response.setContentType(MediaType.APPLICATION_JSON_VALUE);
      response.getWriter().write(Json.write(Map.of("sentence", sentence)));
    } else {
      response.setContentType(MediaType.TEXT_PLAIN_VALUE);
      response.getWriter().write(sentence);
    }
  }
}
