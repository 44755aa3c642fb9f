package org.nineveils.app.photo.render;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.nineveils.release.Checksums;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/** Which build of the engine this is: small pictures that another one made are not shown. */
@Component
class EngineBuild {
  private static final String[] ROOMS = {
    "catalogue", "colour", "filter", "kit", "mask", "picture", "setting", "stack", "veil"
  };

  private final String name;

  EngineBuild() {
    StringBuilder all = new StringBuilder();
    PathMatchingResourcePatternResolver found = new PathMatchingResourcePatternResolver();
    try {
      for (String room : ROOMS) {
        List<Resource> classes =
            new ArrayList<>(
                List.of(found.getResources("classpath*:org/nineveils/" + room + "/**/*.class")));
        classes.sort(Comparator.comparing(r -> String.valueOf(r.getFilename())));
        for (Resource one : classes) {
          all.append(Checksums.sha256(one.getContentAsByteArray()));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("the engine's own classes cannot be read", e);
    }
    name = Checksums.sha256(all.toString().getBytes(java.nio.charset.StandardCharsets.US_ASCII));
  }

  /** A name that changes with the engine. */
  String name() {
    return name;
  }
}
