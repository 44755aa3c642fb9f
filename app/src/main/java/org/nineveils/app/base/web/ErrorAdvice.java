package org.nineveils.app.base.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.Map;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.Faults;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.undo.Obstacle;
import org.nineveils.document.DocumentException;
import org.nineveils.file.PictureException;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.ReleaseException;
import org.nineveils.stack.Cancelled;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Turns every fault into a sentence: JSON for scripts, a page for people, never a stack trace. */
@ControllerAdvice
class ErrorAdvice {
  private static final Logger LOG = LoggerFactory.getLogger(ErrorAdvice.class);
  private static final String NO_MEMORY =
      "There was not enough memory for this. What was saved before is safe; wait for other work to end, then try again.";

  private final Budget budget;

  ErrorAdvice(Budget budget) {
    this.budget = budget;
  }

  @ExceptionHandler({
    DocumentException.class,
    PictureException.class,
    ReleaseException.class,
    Refusal.class
  })
  Object unusable(RuntimeException fault, HttpServletRequest request) {
    return answer(HttpStatus.UNPROCESSABLE_CONTENT, fault.getMessage(), request);
  }

  @ExceptionHandler(NotFound.class)
  Object missing(NotFound fault, HttpServletRequest request) {
    return answer(HttpStatus.NOT_FOUND, fault.getMessage(), request);
  }

  @ExceptionHandler(NoResourceFoundException.class)
  Object noPage(HttpServletRequest request) {
    return answer(HttpStatus.NOT_FOUND, "There is no page at this address.", request);
  }

  @ExceptionHandler(Conflict.class)
  Object conflict(Conflict fault, HttpServletRequest request) {
    return fault.sort() == Conflict.Sort.PLAIN
        ? answer(HttpStatus.CONFLICT, fault.getMessage(), request)
        : ResponseEntity.status(HttpStatus.CONFLICT)
            .contentType(MediaType.APPLICATION_JSON)
            .body(
                Map.of(
                    "sentence",
                    fault.getMessage(),
                    fault.sort().name().toLowerCase(Locale.ROOT),
                    true));
  }

  /** Something stands in the way of undo: the answer says what can be done about it. */
  @ExceptionHandler(Obstacle.class)
  ResponseEntity<Map<String, Object>> obstacle(Obstacle fault) {
    return ResponseEntity.status(HttpStatus.CONFLICT)
        .contentType(MediaType.APPLICATION_JSON)
        .body(Map.of("sentence", fault.getMessage(), "offers", fault.offers()));
  }

  /** The browser went away before the answer was written: nobody is left to tell. */
  @ExceptionHandler(AsyncRequestNotUsableException.class)
  void gone() {}

  /** A newer request took its place: there is nothing to say and nobody to read it. */
  @ExceptionHandler(Cancelled.class)
  ResponseEntity<Void> cancelled() {
    return ResponseEntity.noContent().build();
  }

  @ExceptionHandler(MaxUploadSizeExceededException.class)
  Object tooLarge(HttpServletRequest request) {
    return answer(
        HttpStatus.CONTENT_TOO_LARGE,
        "The file is larger than what is taken here; nothing was kept of it.",
        request);
  }

  @ExceptionHandler({
    MethodArgumentTypeMismatchException.class,
    MissingServletRequestParameterException.class,
    MultipartException.class,
    HttpRequestMethodNotSupportedException.class,
    HttpMediaTypeNotSupportedException.class,
    org.springframework.http.converter.HttpMessageNotReadableException.class
  })
  Object badRequest(HttpServletRequest request) {
    return answer(
        HttpStatus.BAD_REQUEST, "The request does not make sense; nothing was changed.", request);
  }

  /** Our own faults are logged and never shown, those of the machine said in words. */
  @ExceptionHandler(Exception.class)
  Object unexpected(Exception fault, HttpServletRequest request) {
    if (fault.getCause() instanceof OutOfMemoryError) {
      budget.giveWay();
      return answer(HttpStatus.SERVICE_UNAVAILABLE, NO_MEMORY, request);
    }
    String sentence = Faults.sentence(fault);
    if (!sentence.isEmpty()) {
      LOG.warn("{} {}: {}", request.getMethod(), request.getRequestURI(), fault.getMessage());
      boolean full = sentence.contains("full");
      HttpStatus status = full ? HttpStatus.INSUFFICIENT_STORAGE : HttpStatus.SERVICE_UNAVAILABLE;
      return answer(status, sentence, request);
    }
    LOG.error("unexpected fault at {} {}", request.getMethod(), request.getRequestURI(), fault);
    return answer(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "Something went wrong in the application. What was saved before is safe; try again.",
        request);
  }

  /** Where a page that cannot be shown leads to: from the desk and the shop to the desk. */
  private static String home(String path) {
    return path.matches("/(desk|folders|stall)(/.*)?") ? "/desk" : "/";
  }

  private static Object answer(HttpStatus status, String sentence, HttpServletRequest request) {
    if (request.getRequestURI().startsWith("/api/")) {
      return ResponseEntity.status(status)
          .contentType(MediaType.APPLICATION_JSON)
          .body(Map.of("sentence", sentence));
    }
    Map<String, String> told = Map.of("sentence", sentence, "home", home(request.getRequestURI()));
    return new ModelAndView("base/web/fault", told, status);
  }
}
