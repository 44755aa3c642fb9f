package org.nineveils.guide;

import com.openhtmltopdf.extend.FSStream;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.function.Function;

/**
 * Lays a page of XHTML out as a PDF: text that can be selected, fonts within, tagged for screen
 * readers. Families are “Instrument Sans”, “Newsreader” and, for letters that they lack,
 * “Instrument Sans Ext”, “Newsreader Ext” and “Liberation Sans”.
 */
public final class Paper {
  private static final String PICTURE = "picture";

  /** Of PDFBox's own; free (SIL Open Font Licence), for letters that the others lack. */
  private static final String WIDE_FONT =
      "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  static {
    XRLog.setLoggingEnabled(false);
  }

  private Paper() {}

  static void write(String page, OutputStream out) throws IOException {
    write(page, name -> new byte[0], out);
  }

  /**
   * Writes a PDF.
   *
   * @param pictures the file of each that the page names, asked for one at a time: “picture:” and
   *     its name is the address
   */
  public static void write(String page, Function<String, byte[]> pictures, OutputStream out)
      throws IOException {
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
        (base, uri) -> uri.matches("(?s)(data:|#|" + PICTURE + ":).*") ? uri : null);
    builder.useProtocolsStreamImplementation(
        address -> new Held(pictures.apply(address.substring(PICTURE.length() + 1))), PICTURE);
    builder.toStream(out);
    builder.run();
  }

  @SuppressWarnings("ArrayRecordComponent") // a file, handed over
  private record Held(byte[] file) implements FSStream {
    @Override
    public InputStream getStream() {
      return new ByteArrayInputStream(file);
    }

    @Override
    public Reader getReader() {
      return new InputStreamReader(getStream(), StandardCharsets.UTF_8);
    }
  }

  private static void wide(PdfRendererBuilder builder, int weight, FontStyle style) {
    builder.useFont(
        () -> Paper.class.getResourceAsStream(WIDE_FONT), "Liberation Sans", weight, style, true);
  }
}
