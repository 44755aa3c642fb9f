package org.nineveils.app.proof.files;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.sheet.ProofService;
import org.nineveils.proof.Verdict;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Reading;

/** A sheet as comma-separated values, as RFC 4180 has them: a line a proof, a column a measure. */
final class SheetCsv {
  private SheetCsv() {}

  static String of(Sheet sheet) {
    StringWriter text = new StringWriter();
    try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.RFC4180)) {
      csv.printRecord(heads());
      for (Sheet.Line line : sheet.lines()) {
        csv.printRecord(row(sheet, line));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e); // a string takes all
    }
    return text.toString();
  }

  private static List<String> heads() {
    List<String> heads =
        new ArrayList<>(List.of("Section", "Effect", "Photo", "Verdict", "For", "Remark"));
    for (Measure m : Measures.all()) {
      heads.add("%s, %s".formatted(m.label(), m.unit()));
    }
    return heads;
  }

  private static List<Object> row(Sheet sheet, Sheet.Line line) {
    Cell cell = line.cell();
    List<Object> shown = ProofService.shown(cell, line.said());
    List<Object> row = new ArrayList<>();
    row.add(sheet.section(cell.head()));
    row.add(cell.head().name());
    row.add(cell.photo().name());
    row.add(shown.get(2));
    row.add(line.said().worst().map(Verdict::measure).map(Measure::label).orElse(""));
    row.add(shown.get(6));
    for (Measure m : Measures.all()) {
      Reading reading = line.readings().byMeasure().get(m.id());
      row.add(reading != null && reading.isJudged() ? number(reading.value()) : "");
    }
    return row;
  }

  private static String number(double value) {
    return BigDecimal.valueOf(value)
        .setScale(3, RoundingMode.HALF_EVEN)
        .stripTrailingZeros()
        .toPlainString();
  }
}
