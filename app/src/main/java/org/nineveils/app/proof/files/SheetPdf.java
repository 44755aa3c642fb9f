package org.nineveils.app.proof.files;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.guide.Paper;

/** A sheet on paper. The PNG is the same on one page of its own size, so that both say the same. */
final class SheetPdf {
  /** A4, lying; points. */
  private static final double WIDE = 841.89;

  private static final double HIGH = 595.276;

  /** Pixels of the largest PNG; a sheet beyond them is drawn smaller. */
  private static final double MOST_PIXELS = 30e6;

  private static final double POINTS_AN_INCH = 72;
  private static final double ROW = SheetPage.HIGH + SheetPage.FOOT + SheetPage.GAP;
  private static final double COLUMN = SheetPage.CELL + SheetPage.GAP;
  private static final double EDGES = 2 * SheetPage.MARGIN + 3 * SheetPage.GAP;

  private final Function<Cell, byte[]> jpeg;

  SheetPdf(Function<Cell, byte[]> jpeg) {
    this.jpeg = jpeg;
  }

  /** Writes a PDF of as many pages as the sheet takes. */
  void pages(Sheet sheet, OutputStream out) throws IOException {
    int across = (int) ((WIDE - EDGES - SheetPage.SIDE) / COLUMN);
    int down = (int) ((HIGH - EDGES - SheetPage.HEAD) / ROW);
    List<SheetPage.Part> parts = new ArrayList<>();
    for (Rows.FilledSection section : sheet.sections()) {
      for (List<Rows.Head> effects : cut(section.effects(), across)) {
        for (List<Photo> photos : cut(sheet.photos(), down)) {
          parts.add(new SheetPage.Part(effects, photos));
        }
      }
    }
    write(sheet, parts, WIDE, HIGH, out);
  }

  /** Writes a PNG of the whole sheet. */
  void picture(Sheet sheet, Path file) throws IOException {
    List<Rows.Head> effects = sheet.sections().stream().flatMap(s -> s.effects().stream()).toList();
    double width = EDGES + SheetPage.SIDE + effects.size() * COLUMN;
    double height = EDGES + SheetPage.HEAD + sheet.photos().size() * ROW;
    ByteArrayOutputStream pdf = new ByteArrayOutputStream();
    write(sheet, List.of(new SheetPage.Part(effects, sheet.photos())), width, height, pdf);
    try (PDDocument doc = Loader.loadPDF(pdf.toByteArray())) {
      double dots = Math.min(2, Math.sqrt(MOST_PIXELS / (width * height)));
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

  private void write(
      Sheet sheet, List<SheetPage.Part> parts, double width, double height, OutputStream out)
      throws IOException {
    Map<String, Cell> cells =
        sheet.lines().stream().collect(Collectors.toMap(SheetPage::picture, Sheet.Line::cell));
    String page = new SheetPage(sheet).of(parts, width, height);
    Paper.write(page, name -> jpeg.apply(cells.get(name)), out);
  }
}
