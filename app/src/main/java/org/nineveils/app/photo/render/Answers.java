package org.nineveils.app.photo.render;

import java.nio.charset.StandardCharsets;
import org.nineveils.name.Names;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.context.request.WebRequest;

/** HTTP answers that carry pictures and files. */
public final class Answers {
  private Answers() {}

  /** A packet for a stage. */
  public static ResponseEntity<byte[]> packet(byte[] packet) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .cacheControl(CacheControl.noStore())
        .body(packet);
  }

  /**
   * A small JPEG; the browser asks each time whether it is still the same, and it is neither made
   * nor read where it is.
   */
  public static ResponseEntity<byte[]> jpeg(Thumbnails.Small small, WebRequest request) {
    if (request.checkNotModified("\"" + small.key() + "\"")) {
      return null;
    }
    return jpeg(small.picture(), small.key());
  }

  /** A JPEG whose name changes with its content. */
  public static ResponseEntity<byte[]> jpeg(byte[] jpeg, String key) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noCache())
        .eTag("\"" + key + "\"")
        .body(jpeg);
  }

  /** A file to keep. */
  public static ResponseEntity<byte[]> download(byte[] bytes, MediaType type, String fileName) {
    ContentDisposition as =
        ContentDisposition.attachment().filename(fileName, StandardCharsets.UTF_8).build();
    return ResponseEntity.ok()
        .contentType(type)
        .header(HttpHeaders.CONTENT_DISPOSITION, as.toString())
        .cacheControl(CacheControl.noStore())
        .body(bytes);
  }

  static String named(String... parts) {
    return String.join("-", java.util.Arrays.stream(parts).map(Names::slug).toList());
  }
}
