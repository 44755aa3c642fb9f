package org.nineveils.table;

import java.util.List;
import java.util.Locale;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.Outside;
import org.nineveils.refusal.Refusal;

/**
 * Reads colour tables in the text format with the ending .cube: keywords, then one line with red,
 * green and blue for each entry, red running fastest. Source: Cube LUT Specification, version 1.0.
 * Tables of three axes over 0…1 are taken; values outside 0…1 are cut there, as every veil's are.
 */
public final class CubeFile {
  private CubeFile() {}

  /**
   * The table as a picture of side² × side pixels; see {@link ColourTable}.
   *
   * @param name of the file, for messages
   * @throws Refusal with a sentence naming the line and the fault
   */
  public static Picture read(String text, String name) {
    return Outside.read(
        () -> new Reading(name).all(unmarked(text).lines().toList()),
        Refusal.class,
        fault -> new Refusal("“%s” is damaged: it cannot be read as a table.".formatted(name)));
  }

  /** The text without the mark that some programs begin files with (Unicode, byte order mark). */
  private static String unmarked(String text) {
    return text.startsWith("\uFEFF") ? text.substring(1) : text;
  }

  private static final class Reading {
    /** Most characters of a word that a message repeats. */
    private static final int SHOWN = 80;

    private final String name;
    private Picture table;
    private int side;
    private int entries;

    Reading(String name) {
      this.name = name;
    }

    Picture all(List<String> lines) {
      for (int i = 0; i < lines.size(); i++) {
        String line = lines.get(i);
        int comment = line.indexOf('#');
        String said = (comment < 0 ? line : line.substring(0, comment)).strip();
        if (!said.isEmpty()) {
          line(said, i + 1);
        }
      }
      if (table == null) {
        throw fault(lines.size(), "no size is given; a line “LUT_3D_SIZE 33” is missing");
      }
      if (entries != table.r().length) {
        throw new Refusal(
            String.format(
                Locale.ROOT,
                "“%s” has %d entries, but a table of %d × %d × %d has %d.",
                name,
                entries,
                side,
                side,
                side,
                table.r().length));
      }
      return table;
    }

    private void line(String line, int number) {
      String[] words = line.split("\\s+", -1);
      switch (words[0].toUpperCase(Locale.ROOT)) {
        case "TITLE" -> {}
        case "LUT_1D_SIZE" ->
            throw fault(number, "it is a table of one axis; set it as a Curve instead");
        case "LUT_3D_SIZE" -> size(words, number);
        case "LUT_3D_INPUT_RANGE" -> range(words, number);
        case "DOMAIN_MIN" -> domain(words, number, 0);
        case "DOMAIN_MAX" -> domain(words, number, 1);
        default -> entry(words, number);
      }
    }

    private void size(String[] words, int number) {
      if (table != null) {
        throw fault(number, "the size is given a second time");
      }
      side = words.length == 2 && words[1].matches("[0-9]{1,4}") ? Integer.parseInt(words[1]) : 0;
      if (side < 2 || side > ColourTable.MOST) {
        throw fault(
            number, String.format(Locale.ROOT, "the size must be 2 to %d", ColourTable.MOST));
      }
      table = Picture.blank(side * side, side);
    }

    /** The range of all axes at once, as files before the specification give it. */
    private void range(String[] words, int number) {
      if (words.length != 3 || number(words[1], number) != 0 || number(words[2], number) != 1) {
        throw fault(number, "only tables over 0 to 1 are taken");
      }
    }

    private void domain(String[] words, int number, double wanted) {
      for (double v : numbers(words, 1, number)) {
        if (v != wanted) {
          throw fault(number, "only tables over 0 to 1 are taken");
        }
      }
    }

    private void entry(String[] words, int number) {
      if (table == null) {
        throw fault(number, "“%s” stands where a keyword must be".formatted(shown(words[0])));
      }
      double[] rgb = numbers(words, 0, number);
      if (entries >= table.r().length) {
        throw fault(number, "there are more entries than the size says");
      }
      table.r()[entries] = inRange(rgb[0]);
      table.g()[entries] = inRange(rgb[1]);
      table.b()[entries] = inRange(rgb[2]);
      entries++;
    }

    private double[] numbers(String[] words, int from, int number) {
      if (words.length != from + 3) {
        throw fault(number, "three numbers must stand here");
      }
      double[] values = new double[3];
      for (int i = 0; i < 3; i++) {
        values[i] = number(words[from + i], number);
      }
      return values;
    }

    private double number(String word, int number) {
      double value;
      try {
        value = Double.parseDouble(word);
      } catch (NumberFormatException e) {
        value = Double.NaN;
      }
      if (!Double.isFinite(value)) {
        throw fault(number, "“%s” is no number".formatted(shown(word)));
      }
      return value;
    }

    private static String shown(String word) {
      return word.length() <= SHOWN ? word : word.substring(0, SHOWN) + "…";
    }

    private Refusal fault(int line, String what) {
      return new Refusal(String.format(Locale.ROOT, "“%s”, line %d: %s.", name, line, what));
    }

    private static float inRange(double v) {
      return (float) Math.min(1, Math.max(0, v));
    }
  }
}
