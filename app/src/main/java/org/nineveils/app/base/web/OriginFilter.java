package org.nineveils.app.base.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers pages of other sites with a refusal: they may link to a page of ours, but neither change
 * anything nor make the application render for them. Source: Fetch Metadata Request Headers, W3C
 * Working Draft; browsers that do not send them are let through to the other checks.
 */
final class OriginFilter extends OncePerRequestFilter {
  private static final Set<String> OURS = Set.of("", "same-origin", "none");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (OURS.contains(header(request, "Sec-Fetch-Site")) || isLinkToAPage(request)) {
      chain.doFilter(request, response);
    } else {
      Forbidden.answer(
          request, response, "This was asked for by a page of another site; nothing was done.");
    }
  }

  /** Somebody follows a link from elsewhere to a page that only shows. */
  private static boolean isLinkToAPage(HttpServletRequest request) {
    return SitePage.isLinked(request.getRequestURI())
        && request.getMethod().equals("GET")
        && header(request, "Sec-Fetch-Mode").equals("navigate")
        && header(request, "Sec-Fetch-Dest").equals("document");
  }

  private static String header(HttpServletRequest request, String name) {
    String value = request.getHeader(name);
    return value == null ? "" : value;
  }
}
