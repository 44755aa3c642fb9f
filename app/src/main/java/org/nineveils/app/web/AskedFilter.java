package org.nineveils.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.nineveils.app.undo.Asked;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Takes up the names of requests. Source of the header: The Idempotency-Key HTTP Header Field, IETF
 * Internet-Draft of the HTTPAPI working group; its quotes may be left out here.
 */
@Component
final class AskedFilter extends OncePerRequestFilter {
  private static final String HEADER = "Idempotency-Key";

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String name = request.getHeader(HEADER);
    if (name != null && name.length() > Asked.LONGEST) {
      Forbidden.answer(
          request,
          response,
          HttpServletResponse.SC_BAD_REQUEST,
          "The name of the request is too long; nothing was changed.");
      return;
    }
    Asked.begin(name == null ? "" : name);
    try {
      chain.doFilter(request, response);
    } finally {
      Asked.end();
    }
  }
}
