package org.nineveils.testing;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Tables of published values; each file's first line names its source. */
public final class CheckValues {
  private CheckValues() {}

  /** One row of a table, by column name. */
  public record Row(Map<String, String> cells) {
    public String text(String column) {
      return cells.get(column);
    }

    public boolean has(String column) {
      return cells.get(column) != null && !cells.get(column).isEmpty();
    }

    public double number(String column) {
      return Double.parseDouble(cells.get(column));
    }
  }

  /** The rows of a table in {@code check-values/}. */
  public static List<Row> table(String file) {
    try (InputStream in = CheckValues.class.getResourceAsStream("/check-values/" + file);
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      lines.readLine(); // the source
      String[] columns = lines.readLine().split(",", -1);
      List<Row> rows = new ArrayList<>();
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        String[] values = line.split(",", -1);
        Map<String, String> cells = new HashMap<>();
        for (int i = 0; i < values.length; i++) {
          cells.put(columns[i], values[i]);
        }
        rows.add(new Row(cells));
      }
      return rows;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** All numbers of a table without headings, row after row. */
  public static float[] plane(String file) {
    try (InputStream in = CheckValues.class.getResourceAsStream("/check-values/" + file)) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      List<Float> values = new ArrayList<>();
      text.lines()
          .filter(line -> !line.startsWith("#") && !line.isBlank())
          .forEach(line -> List.of(line.split(",", -1)).forEach(v -> values.add(Float.valueOf(v))));
      float[] out = new float[values.size()];
      for (int i = 0; i < out.length; i++) {
        out[i] = values.get(i);
      }
      return out;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
