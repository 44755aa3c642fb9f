package org.nineveils.app.base.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import org.nineveils.file.PictureReader;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What every page's frame needs. */
@ControllerAdvice
class CommonModel {
  private static final Map<String, List<SitePage>> HEADS =
      Map.of(
          "maker", SitePage.of(SitePage.Head.MAKER),
          "desk", SitePage.of(SitePage.Head.DESK),
          "stall", SitePage.of(SitePage.Head.STALL));

  private final Password password;
  private final KeptFiles kept;

  CommonModel(Password password, KeptFiles kept) {
    this.password = password;
    this.kept = kept;
  }

  /** What stands before the addresses of scripts and styles. */
  @ModelAttribute("kept")
  String kept() {
    return kept.address();
  }

  /** Whether there is a log-in, and so a log-out. */
  @ModelAttribute("locked")
  boolean locked() {
    return password.isSet();
  }

  /** The rooms that the heads of pages list. */
  @ModelAttribute("heads")
  Map<String, List<SitePage>> heads() {
    return HEADS;
  }

  /** What choosers of photos offer. */
  @ModelAttribute("photoTypes")
  String photoTypes() {
    return String.join(",", PictureReader.MEDIA_TYPES)
        + ",."
        + String.join(",.", PictureReader.RAW_ENDINGS);
  }

  /** First part of the path, by which the frame marks the room that one is in. */
  @ModelAttribute("room")
  String room(HttpServletRequest request) {
    String[] parts = request.getRequestURI().split("/", -1);
    return parts.length > 1 ? parts[1] : "kits";
  }
}
