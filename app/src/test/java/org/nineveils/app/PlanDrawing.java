package org.nineveils.app;

import com.tngtech.archunit.core.domain.JavaClasses;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * The plan of the application as a drawing: its wings from the ground up with their rooms, and
 * which wing knows which.
 */
final class PlanDrawing {
  private static final int LEFT = 300;
  private static final int WIDTH = 1120;
  private static final int ROW = 64;
  private static final int HIGH = 40;
  private static final int LETTER = 9;

  private PlanDrawing() {}

  static String of(JavaClasses all) {
    Map<String, Set<String>> rooms = Wings.rooms(all);
    int rows = Wings.UPWARDS.size();
    StringBuilder out = new StringBuilder();
    add(
        out,
        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" font-family=\"sans-serif\""
            + " font-size=\"14\" role=\"img\" aria-label=\"Wings of the application\">",
        WIDTH,
        rows * ROW + 24);
    add(out, "<rect width=\"100%%\" height=\"100%%\" fill=\"#faf8f4\"/>");
    Wings.arrows(all).keySet().forEach(arrow -> arrow(out, arrow.split(" ", -1)));
    for (String wing : Wings.UPWARDS) {
      int y = top(wing);
      add(
          out,
          "<rect x=\"%d\" y=\"%d\" width=\"%d\" height=\"%d\" rx=\"5\" fill=\"#efe9ee\"/>",
          LEFT,
          y,
          WIDTH - LEFT - 12,
          HIGH);
      add(
          out,
          "<text x=\"%d\" y=\"%d\" font-weight=\"bold\" fill=\"#5b2452\">%s</text>",
          LEFT + 12,
          y + 25,
          wing);
      int x = LEFT + 92;
      for (String room : rooms.getOrDefault(wing, Set.of())) {
        int wide = room.length() * LETTER + 14;
        add(
            out,
            "<rect x=\"%d\" y=\"%d\" width=\"%d\" height=\"26\" rx=\"4\" fill=\"#fff\""
                + " stroke=\"#d8cfd6\"/><text x=\"%d\" y=\"%d\" text-anchor=\"middle\" fill=\"#332\">%s</text>",
            x,
            y + 7,
            wide,
            x + wide / 2,
            y + 25,
            room);
        x += wide + 6;
      }
    }
    return out.append("</svg>\n").toString();
  }

  /** From the wing that knows to the one that is known, on its left; farther ends reach wider. */
  private static void arrow(StringBuilder out, String[] ends) {
    int from = top(ends[0]) + 14;
    int to = top(ends[1]) + 26;
    int floors = Wings.UPWARDS.indexOf(ends[0]) - Wings.UPWARDS.indexOf(ends[1]);
    int reach = LEFT - 20 - 32 * floors;
    add(
        out,
        "<path d=\"M%d %d C%d %d %d %d %d %d\" fill=\"none\" stroke=\"#7a4a72\" stroke-opacity=\"0.45\""
            + " stroke-width=\"2\"><title>%s knows %s</title></path>"
            + "<circle cx=\"%d\" cy=\"%d\" r=\"4\" fill=\"#7a4a72\"/>",
        LEFT,
        from,
        reach,
        from,
        reach,
        to,
        LEFT - 4,
        to,
        ends[0],
        ends[1],
        LEFT - 4,
        to);
  }

  private static int top(String wing) {
    return 12 + (Wings.UPWARDS.size() - 1 - Wings.UPWARDS.indexOf(wing)) * ROW;
  }

  private static void add(StringBuilder out, String line, Object... values) {
    out.append(String.format(Locale.ROOT, line, values)).append('\n');
  }
}
