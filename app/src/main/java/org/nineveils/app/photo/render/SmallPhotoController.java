package org.nineveils.app.photo.render;

import org.nineveils.app.photo.photos.PhotoService;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.context.request.WebRequest;

/** Small pictures of plain photos, for lists and strips. */
@Controller
class SmallPhotoController {
  private final PhotoService photos;
  private final Thumbnails thumbnails;

  SmallPhotoController(PhotoService photos, Thumbnails thumbnails) {
    this.photos = photos;
    this.thumbnails = thumbnails;
  }

  @GetMapping("/photos/{id}/small")
  ResponseEntity<byte[]> small(@PathVariable("id") long id, WebRequest request) {
    return Answers.jpeg(thumbnails.plain(photos.get(id)), request);
  }
}
