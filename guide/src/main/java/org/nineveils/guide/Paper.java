package org.nineveils.guide;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.io.OutputStream;

/** Lays a page out as a PDF: text that can be selected, fonts within, tagged for screen readers. */
final class Paper {
  /** Of PDFBox's own; free (SIL Open Font Licence), for letters that the others lack. */
  private static final String WIDE_FONT =
      "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  static {
    XRLog.setLoggingEnabled(false);
  }

  private Paper() {}

  static void write(String page, OutputStream out) throws IOException {
    PdfRendererBuilder builder = new PdfRendererBuilder();
    for (Fonts font : Fonts.values()) {
      FontStyle style = font.italic ? FontStyle.ITALIC : FontStyle.NORMAL;
      builder.useFont(font::openPlain, font.family, font.weight, style, true);
    }
    wide(builder, 400, FontStyle.NORMAL);
    wide(builder, 600, FontStyle.NORMAL);
    wide(builder, 400, FontStyle.ITALIC);
    builder.usePdfUaAccessibility(true);
    builder.useColorProfile(ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData());
    builder.withHtmlContent(page, null);
    builder.useUriResolver(
        (base, uri) -> uri.startsWith("data:") || uri.startsWith("#") ? uri : null);
    builder.toStream(out);
    builder.run();
  }

  private static void wide(PdfRendererBuilder builder, int weight, FontStyle style) {
    builder.useFont(
        () -> Paper.class.getResourceAsStream(WIDE_FONT), "Liberation Sans", weight, style, true);
  }
}
