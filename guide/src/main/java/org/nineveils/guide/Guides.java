package org.nineveils.guide;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import org.nineveils.release.Release;

/** Makes guides and contact sheets of releases. */
public final class Guides {
  private Guides() {}

  /**
   * Writes one.
   *
   * @param release with the pictures that came with it; what has none is told in words alone
   * @param out stays open
   */
  public static void write(Release release, GuideFormat format, OutputStream out)
      throws IOException {
    boolean pdf = format.isPdf();
    String page =
        format.isGuide() ? new Guide(release, pdf).page() : new ContactSheet(release, pdf).page();
    if (pdf) {
      Paper.write(page, out);
    } else {
      out.write(page.getBytes(StandardCharsets.UTF_8));
    }
  }
}
