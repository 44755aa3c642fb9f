package org.nineveils.app.base.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.Function;
import org.nineveils.app.base.memory.Permits;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** Files that come in by a page, read into memory only when there is room for them. */
@Component
public class Uploads {
  private final Permits permits;

  Uploads(Permits permits) {
    this.permits = permits;
  }

  /** What is made of a file; it is begun anew where memory ran out, so it must bear that. */
  public <T> T read(MultipartFile file, Function<byte[], T> make) {
    return permits.unpacking(file.getSize(), () -> make.apply(bytes(file)));
  }

  private static byte[] bytes(MultipartFile file) {
    try {
      return file.getBytes();
    } catch (IOException e) {
      throw new UncheckedIOException("a file that came in could not be read", e);
    }
  }
}
