package org.nineveils.app.proof.files;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.proof.sheet.ProofWords;
import org.nineveils.guide.Markup;

/** A sheet as XHTML: tables of photos down and effects across, each cell with its verdict. */
final class SheetPage {
  /** Points. */
  static final double MARGIN = 28;

  static final double SIDE = 96;
  static final double GAP = 4;
  static final double CELL = 86;
  static final double HIGH = 64;
  static final double FOOT = 12;
  static final double HEAD = 64;

  /** A part of a sheet that stands in one table. */
  record Part(List<Rows.Head> effects, List<Photo> photos) {}

  private final Sheet sheet;
  private final Map<List<Long>, Sheet.Line> lines;

  SheetPage(Sheet sheet) {
    this.sheet = sheet;
    this.lines = sheet.byPlace();
  }

  /** Name by which a page asks for the picture of a cell. */
  static String picture(Sheet.Line line) {
    return line.cell().photo().id() + "-" + line.cell().head().id();
  }

  /**
   * The page.
   *
   * @param width of the paper, points
   * @param height of the paper, points
   */
  String of(List<Part> parts, double width, double height) {
    String title = "Proof sheet of " + sheet.kit();
    Markup out =
        new Markup()
            .add("<!DOCTYPE html>\n<html lang=\"en-GB\" xmlns=\"http://www.w3.org/1999/xhtml\">")
            .add("<head><meta charset=\"UTF-8\" /><title>%s</title>", title)
            .add("<meta name=\"subject\" content=\"%s\" />", title)
            .add("<meta name=\"description\" content=\"%s\" />", title)
            .add("<style>" + style(width, height) + "</style></head><body>")
            .add("<h1>%s</h1>", title);
    for (Part part : parts) {
      table(part, out);
    }
    return out.add("</body></html>").toString();
  }

  private static String style(double width, double height) {
    return String.format(
        Locale.ROOT,
        """
        @page { size: %spt %spt; margin: %spt; @top-right { content: counter(page) " of " counter(pages); \
        font: 8pt "Instrument Sans"; } }
        body { font: 8pt "Instrument Sans", "Instrument Sans Ext", "Liberation Sans"; margin: 0; }
        h1 { font-size: 12pt; margin: 0 0 6pt; }
        table { border-collapse: separate; border-spacing: %spt; table-layout: fixed; }
        table + table { page-break-before: always; }
        th { text-align: left; font-weight: 600; vertical-align: bottom; overflow: hidden; }
        tbody th { vertical-align: middle; width: %spt; font-weight: 400; }
        th span { display: block; font-weight: 400; font-size: 7pt; color: #555; }
        td { width: %spt; vertical-align: top; padding: 0; }
        tr { page-break-inside: avoid; }
        .picture { background: #999; height: %spt; text-align: center; }
        .verdict { height: %spt; font-size: 6.5pt; overflow: hidden; }
        """,
        width,
        height,
        MARGIN,
        GAP,
        SIDE,
        CELL,
        HIGH,
        FOOT);
  }

  private void table(Part part, Markup to) {
    double width = SIDE + part.effects().size() * (CELL + GAP) + 2 * GAP;
    to.add("<table style=\"width:%spt\"><thead><tr><th>Photo</th>", width);
    String section = "";
    for (Rows.Head head : part.effects()) {
      String own = sheet.section(head);
      to.add("<th><span>%s</span>%s</th>", own.equals(section) ? "" : own, head.name());
      section = own;
    }
    to.add("</tr></thead><tbody>");
    for (Photo photo : part.photos()) {
      to.add("<tr><th>%s</th>", photo.name());
      for (Rows.Head head : part.effects()) {
        Sheet.Line line = lines.get(List.of(photo.id(), head.id()));
        if (line == null) {
          to.add("<td></td>");
        } else {
          cell(line, to);
        }
      }
      to.add("</tr>");
    }
    to.add("</tbody></table>");
  }

  private static void cell(Sheet.Line line, Markup to) {
    Photo photo = line.cell().photo();
    double scale = Math.min(CELL / photo.width(), HIGH / photo.height());
    to.add(
        "<td><div class=\"picture\"><img src=\"picture:%s\" alt=\"%s on %s\" style=\"width:%spt;height:%spt\" /></div>",
        picture(line),
        line.cell().head().name(),
        photo.name(),
        points(photo.width() * scale),
        points(photo.height() * scale));
    to.add("<div class=\"verdict\">%s</div></td>", ProofWords.of(line.cell(), line.said()));
  }

  private static String points(double length) {
    return String.format(Locale.ROOT, "%.2f", length);
  }
}
