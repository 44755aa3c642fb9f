package org.nineveils.benchmarks;

import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.stack.CoverageCache;
import org.nineveils.stack.LiveView;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;

/** One megapixel: what the bench and the fitting show. */
final class Previews {
  private static final int WARM_UP = 12;
  private static final int ROUNDS = 21;

  /** Largest difference of a value where both sides do the same in every step. */
  private static final double SAME = 0.5 / 255;

  /** Where grids and cut windows come in: mean difference of all values. */
  private static final double ALIKE = 1.0 / 255;

  private Previews() {}

  static void run(Picture photo, Table table) {
    OpenCvRecipes other = new OpenCvRecipes(photo);
    Stack thirty = Recipes.thirty();
    Stack twelve = Recipes.twelve(Recipes.LESS_STOPS);
    compare(photo, thirty, twelve, other, table);

    Manner quick = Manner.exact().quick(true);
    double[] t =
        Timing.medians(
            WARM_UP,
            ROUNDS,
            () -> Renderer.render(photo, thirty),
            () -> Renderer.render(photo, photo.area(), thirty, quick),
            () -> Renderer.render(photo, Recipes.single()),
            other::thirty);
    table.row("30 pointwise veils, exact, 1 MP", t[0], t[3], 0.22);
    table.row("30 pointwise veils by tables, 1 MP", t[1], t[3], 1 / 8.0);
    table.row("30 veils by tables ÷ one veil, 1 MP", t[1], t[2], 6);
    twelve(photo, other, table);
    radii(photo, table);
    costs(photo, table);
  }

  /** What was made right costs something: each beside what it was compared with. */
  private static void costs(Picture photo, Table table) {
    double[] t =
        Timing.medians(
            3,
            7,
            () -> Renderer.render(photo, Recipes.one("colour", "saturation", 50)),
            () -> Renderer.render(photo, Recipes.one("colour", "saturation", -50)),
            () -> Renderer.render(photo, Recipes.haze(35)),
            () -> Renderer.render(photo, Recipes.one("light", "exposure", 0.3)),
            () -> Renderer.render(photo, Recipes.skin()));
    table.row("more colour, brought into range ÷ less colour", t[0], t[1], 1.3);
    table.row("35 veils of haze removal, ms, against a second", t[2], 1000, 1);
    table.row("a veil by rule ÷ the same everywhere", t[4], t[3], 6);
  }

  private static void compare(
      Picture photo, Stack thirty, Stack twelve, OpenCvRecipes other, Table table) {
    other.thirty();
    double[] exact = other.apart(Renderer.render(photo, thirty));
    other.twelve();
    double[] near = other.apart(Renderer.render(photo, twelve));
    table.note(
        "Ours and OpenCV's differ by %.5f at most over 30 veils, %.5f on average over 12 (of 1)",
        exact[1], near[0]);
    if (!(exact[1] <= SAME && near[0] <= ALIKE)) {
      throw new IllegalStateException("the two sides do not do the same work");
    }
  }

  private static void twelve(Picture photo, OpenCvRecipes other, Table table) {
    Manner exact = Manner.exact().masksFrom(new CoverageCache(24_000_000));
    Manner preview = exact.quick(true);
    Stack stack = Recipes.twelve(Recipes.LESS_STOPS);
    LiveView sliding = new LiveView();
    LiveView painting = new LiveView();
    double[] stops = {0};
    Stroke[] last = {null};
    painting.render(photo, stack, preview);
    double[] t =
        Timing.medians(
            WARM_UP,
            ROUNDS,
            () -> Renderer.render(photo, photo.area(), stack, exact),
            () -> Renderer.render(photo, photo.area(), stack, preview),
            () -> {
              stops[0] += 0.01;
              sliding.render(photo, Recipes.twelve(stops[0] % 1), preview);
            },
            () -> {
              last[0] = moved(last[0]);
              painting.render(photo, Recipes.twelve(Recipes.LESS_STOPS, last[0]), preview);
            },
            other::twelve);
    table.row("12 veils, two painted, exact, 1 MP", t[0], t[4], 1 / 2.0);
    table.row("12 veils, two painted, as a preview, 1 MP", t[1], t[4], 1 / 2.0);
    table.row("… one setting in the middle changed ÷ preview", t[2], t[1], 1 / 4.0);
    table.row("… a stroke of 200 pixels ÷ preview", t[3], t[1], 0.08);
  }

  /** The stroke under the hand: the same place, a little stronger or weaker each time. */
  private static Stroke moved(Stroke last) {
    double strength = last == null || last.strength() < 0.6 ? 1 : last.strength() - 0.05;
    Stroke d = Recipes.DAB;
    return new Stroke(d.points(), d.size(), d.softness(), strength, d.flow(), d.reveal());
  }

  private static void radii(Picture photo, Table table) {
    double[] t =
        Timing.medians(
            WARM_UP,
            ROUNDS,
            () -> Renderer.render(photo, Recipes.blur(2)),
            () -> Renderer.render(photo, Recipes.blur(50)),
            () -> Renderer.render(photo, Recipes.smoothing(2)),
            () -> Renderer.render(photo, Recipes.smoothing(30)));
    table.row("blur of 5 % ÷ blur of 0.2 % of the long side, 1 MP", t[1], t[0], 1.3);
    table.row("smoothing of 3 % ÷ smoothing of 0.2 %, 1 MP", t[3], t[2], 1.3);
  }
}
