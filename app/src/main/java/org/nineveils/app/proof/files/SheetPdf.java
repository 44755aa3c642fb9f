package org.nineveils.app.proof.files;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.sheet.ProofWords;
import org.nineveils.proof.Verdict;

/**
 * A sheet on paper: photos down, effects across, each with its verdict. The PNG is the same on one
 * page of its own size, so that both say the same.
 */
final class SheetPdf {
  /** Of PDFBox's own; free (SIL Open Font Licence), with Greek letters and a minus sign. */
  private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  /** A4, lying; points. */
  private static final PDRectangle PAPER = new PDRectangle(841.89f, 595.276f);

  private static final float MARGIN = 28;
  private static final float SIDE = 96;
  private static final float HEAD = 44;
  private static final float GAP = 4;
  private static final float CELL = 86;
  private static final float HIGH = 74;
  private static final float FOOT = 11;

  /** Pixels of the largest PNG; a sheet beyond them is drawn smaller. */
  private static final double MOST_PIXELS = 30e6;

  private static final float POINTS_AN_INCH = 72;

  private static final PDExtendedGraphicsState WHOLLY = opaque(1);

  /** What is not judged is drawn paler. */
  private static final PDExtendedGraphicsState PALE = opaque(0.42f);

  private static PDExtendedGraphicsState opaque(float share) {
    PDExtendedGraphicsState state = new PDExtendedGraphicsState();
    state.setNonStrokingAlphaConstant(share);
    return state;
  }

  private final Function<Cell, byte[]> jpeg;

  SheetPdf(Function<Cell, byte[]> jpeg) {
    this.jpeg = jpeg;
  }

  /** A part of a sheet that goes onto one page. */
  private record Part(List<Rows.Head> effects, List<Photo> photos) {}

  private static final class Pen implements AutoCloseable {
    final PDPageContentStream on;
    final PDFont font;

    Pen(PDDocument doc, PDPage page, PDFont font) throws IOException {
      this.on = new PDPageContentStream(doc, page);
      this.font = font;
    }

    /** Writes a line, cut where it is longer than there is room. */
    void write(String text, float x, float y, float size, float room) throws IOException {
      String fits = fitting(text, size, room);
      on.beginText();
      on.setFont(font, size);
      on.newLineAtOffset(x, y);
      on.showText(fits);
      on.endText();
    }

    private String fitting(String text, float size, float room) throws IOException {
      String known = known(text);
      String cut = known;
      for (int n = known.length() - 1; n > 0 && width(cut, size) > room; n--) {
        cut = known.substring(0, n).strip() + "…";
      }
      return cut;
    }

    /** What the font has no letter for becomes a question mark. */
    private String known(String text) {
      StringBuilder out = new StringBuilder();
      text.codePoints().forEach(c -> out.append(has(c) ? Character.toString(c) : "?"));
      return out.toString();
    }

    private boolean has(int letter) {
      try {
        font.encode(Character.toString(letter));
        return true;
      } catch (IOException | IllegalArgumentException e) {
        return false;
      }
    }

    private float width(String text, float size) throws IOException {
      return font.getStringWidth(text) / 1000 * size;
    }

    @Override
    public void close() throws IOException {
      on.close();
    }
  }

  /** Writes a PDF of as many pages as the sheet takes. */
  void pages(Sheet sheet, OutputStream out) throws IOException {
    int across = (int) ((PAPER.getWidth() - 2 * MARGIN - SIDE + GAP) / (CELL + GAP));
    int down = (int) ((PAPER.getHeight() - 2 * MARGIN - HEAD - 20 + GAP) / (HIGH + GAP));
    List<Part> parts = new ArrayList<>();
    for (Rows.FilledSection section : sheet.sections()) {
      for (List<Rows.Head> effects : cut(section.effects(), across)) {
        for (List<Photo> photos : cut(sheet.photos(), down)) {
          parts.add(new Part(effects, photos));
        }
      }
    }
    write(sheet, parts, PAPER, out);
  }

  /** Writes a PNG of the whole sheet. */
  void picture(Sheet sheet, Path file) throws IOException {
    List<Rows.Head> effects = sheet.sections().stream().flatMap(s -> s.effects().stream()).toList();
    float width = 2 * MARGIN + SIDE + effects.size() * (CELL + GAP);
    float height = 2 * MARGIN + HEAD + 20 + sheet.photos().size() * (HIGH + GAP);
    ByteArrayOutputStream pdf = new ByteArrayOutputStream();
    write(sheet, List.of(new Part(effects, sheet.photos())), new PDRectangle(width, height), pdf);
    try (PDDocument doc = Loader.loadPDF(pdf.toByteArray())) {
      double dots = Math.min(2, Math.sqrt(MOST_PIXELS / ((double) width * height)));
      BufferedImage drawn =
          new PDFRenderer(doc).renderImageWithDPI(0, (float) (dots * POINTS_AN_INCH));
      ImageIO.write(drawn, "png", file.toFile());
    }
  }

  private static <T> List<List<T>> cut(List<T> all, int most) {
    List<List<T>> out = new ArrayList<>();
    for (int from = 0; from < all.size(); from += most) {
      out.add(all.subList(from, Math.min(all.size(), from + most)));
    }
    return out;
  }

  private void write(Sheet sheet, List<Part> parts, PDRectangle size, OutputStream out)
      throws IOException {
    Map<List<Long>, Sheet.Line> lines = sheet.byPlace();
    try (PDDocument doc = new PDDocument();
        InputStream ttf = PDFont.class.getResourceAsStream(FONT)) {
      doc.getDocumentInformation().setTitle("Proof sheet of " + sheet.kit());
      PDFont font = PDType0Font.load(doc, ttf);
      for (int i = 0; i < parts.size(); i++) {
        PDPage page = new PDPage(size);
        doc.addPage(page);
        try (Pen pen = new Pen(doc, page, font)) {
          float top = size.getHeight() - MARGIN;
          String title = "Proof sheet of %s".formatted(sheet.kit());
          pen.write(title, MARGIN, top - 10, 12, size.getWidth() / 2);
          pen.write(
              String.format(Locale.ROOT, "%d of %d", i + 1, parts.size()),
              size.getWidth() - 80,
              top - 10,
              8,
              60);
          draw(doc, pen, sheet, parts.get(i), lines, top - 20);
        }
      }
      doc.save(out);
    }
  }

  private void draw(
      PDDocument doc, Pen pen, Sheet sheet, Part part, Map<List<Long>, Sheet.Line> lines, float top)
      throws IOException {
    String section = "";
    for (int c = 0; c < part.effects().size(); c++) {
      Rows.Head head = part.effects().get(c);
      float x = MARGIN + SIDE + c * (CELL + GAP);
      String own = sheet.section(head);
      if (!own.equals(section)) {
        pen.write(own, x, top - 14, 7.5f, 2 * CELL);
        section = own;
      }
      pen.write(head.name(), x, top - 26, 8.5f, CELL);
    }
    for (int r = 0; r < part.photos().size(); r++) {
      Photo photo = part.photos().get(r);
      float y = top - HEAD - (r + 1) * (HIGH + GAP) + GAP;
      pen.write(photo.name(), MARGIN, y + HIGH / 2, 8, SIDE - 6);
      for (int c = 0; c < part.effects().size(); c++) {
        Sheet.Line line = lines.get(List.of(photo.id(), part.effects().get(c).id()));
        if (line != null) {
          cell(doc, pen, line, MARGIN + SIDE + c * (CELL + GAP), y);
        }
      }
    }
  }

  private void cell(PDDocument doc, Pen pen, Sheet.Line line, float x, float y) throws IOException {
    pen.on.setNonStrokingColor(0.6f);
    pen.on.addRect(x, y, CELL, HIGH);
    pen.on.fill();
    PDImageXObject image = JPEGFactory.createFromByteArray(doc, jpeg.apply(line.cell()));
    float scale = Math.min(CELL / image.getWidth(), (HIGH - FOOT) / image.getHeight());
    float w = image.getWidth() * scale;
    float h = image.getHeight() * scale;
    boolean judged = line.said().state() != Verdict.State.NOT_JUDGED;
    pen.on.setGraphicsStateParameters(judged ? WHOLLY : PALE);
    pen.on.drawImage(image, x + (CELL - w) / 2, y + FOOT + (HIGH - FOOT - h) / 2, w, h);
    pen.on.setGraphicsStateParameters(WHOLLY);
    String words = ProofWords.of(line.cell(), line.said());
    if (!words.isEmpty()) {
      pen.on.setNonStrokingColor(1f);
      pen.on.addRect(x, y, CELL, FOOT);
      pen.on.fill();
      pen.on.setNonStrokingColor(0f);
      pen.write(words, x + 2, y + 3, 6.5f, CELL - 4);
    }
    pen.on.setNonStrokingColor(0f);
  }
}
