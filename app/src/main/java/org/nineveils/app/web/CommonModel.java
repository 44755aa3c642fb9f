package org.nineveils.app.web;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What every page's frame needs. */
@ControllerAdvice
class CommonModel {
  private final Password password;

  CommonModel(Password password) {
    this.password = password;
  }

  /** Whether there is a log-in, and so a log-out. */
  @ModelAttribute("locked")
  boolean locked() {
    return password.isSet();
  }

  /** First part of the path, by which the frame marks the room that one is in. */
  @ModelAttribute("room")
  String room(HttpServletRequest request) {
    String[] parts = request.getRequestURI().split("/", -1);
    return parts.length > 1 ? parts[1] : "kits";
  }
}
