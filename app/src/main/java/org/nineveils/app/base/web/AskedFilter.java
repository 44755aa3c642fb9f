package org.nineveils.app.base.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.undo.Asked;
import org.nineveils.document.Json;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Takes up the names of requests, and answers each once. Source of the header: The Idempotency-Key
 * HTTP Header Field, IETF Internet-Draft of the HTTPAPI working group; its quotes may be left out
 * here.
 */
@Component
final class AskedFilter extends OncePerRequestFilter {
  private static final String HEADER = "Idempotency-Key";

  private final AnsweredOnce answers = new AnsweredOnce();

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
      if (name == null || name.isEmpty()) {
        chain.doFilter(request, response);
      } else {
        once(name, request, response, chain);
      }
    } finally {
      Asked.end();
    }
  }

  private void once(
      String name, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String key = "%s %s %s".formatted(request.getMethod(), request.getRequestURI(), name);
    AnsweredOnce.Answer before = before(key);
    if (before != null) {
      again(before, response);
      return;
    }
    ContentCachingResponseWrapper kept = new ContentCachingResponseWrapper(response);
    AnsweredOnce.Answer answer = null;
    try {
      chain.doFilter(request, kept);
      byte[] body =
          kept.getContentSize() > AnsweredOnce.LARGEST ? null : kept.getContentAsByteArray();
      answer = new AnsweredOnce.Answer(kept.getStatus(), kept.getContentType(), body);
    } finally {
      if (answer == null) {
        answers.failed(key);
      } else {
        answers.answered(key, answer);
      }
    }
    kept.copyBodyToResponse();
  }

  private AnsweredOnce.Answer before(String key) {
    try {
      return answers.before(key);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("the application ends", e);
    }
  }

  private static void again(AnsweredOnce.Answer answer, HttpServletResponse response)
      throws IOException {
    boolean whole = answer.body() != null;
    String done = Json.write(Map.of("sentence", Conflict.done().getMessage(), "done", true));
    response.setStatus(whole ? answer.status() : HttpServletResponse.SC_CONFLICT);
    response.setContentType(whole ? answer.type() : MediaType.APPLICATION_JSON_VALUE);
    response.getOutputStream().write(whole ? answer.body() : done.getBytes(StandardCharsets.UTF_8));
  }
}
