package org.nineveils.app.render;

import java.nio.charset.StandardCharsets;
import org.nineveils.kit.Names;
import org.nineveils.picture.PictureFormat;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

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

  /** A small JPEG; the browser asks again each time, since its address does not change. */
  public static ResponseEntity<byte[]> jpeg(byte[] jpeg) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noCache())
        .body(jpeg);
  }

  /** A finished picture to keep. */
  public static ResponseEntity<byte[]> picture(byte[] bytes, PictureFormat format, String... name) {
    return download(
        bytes, MediaType.parseMediaType(format.mediaType()), named(name) + "." + format.ending());
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

  private static String named(String... parts) {
    return String.join("-", java.util.Arrays.stream(parts).map(Names::slug).toList());
  }
}
