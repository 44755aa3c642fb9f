package org.nineveils.stack;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.nineveils.blend.BlendMode;
import org.nineveils.filter.Level;
import org.nineveils.filter.Plane;
import org.nineveils.filter.Stretched;
import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Around;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;
import org.nineveils.mask.Coverage;
import org.nineveils.picture.Area;
import org.nineveils.picture.CloseUp;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;

/** One way through a stack, leg by leg. */
final class Run {
  /** Pixels on which a quick way is tried, in stretches of so many. */
  private static final int TRIED = 1600;

  private static final int STRETCH = 2;

  /** How many times what it needs a veil may be given to see. */
  private static final double ROOMY = 1.25;

  private final Picture source;
  private final List<Item> items;
  private final Manner manner;
  private final Workbench bench;
  private Overviews overviews;

  /** Where in a photo the source lies; null where it is one. */
  private Stretched.Place place;

  /**
   * Prepares a run.
   *
   * @param bench for the size of the source
   */
  Run(Picture source, List<Item> items, Manner manner, Workbench bench) {
    this(source, items, manner, bench, null);
  }

  /** A run with small pictures from elsewhere; null where they are its own. */
  Run(Picture source, List<Item> items, Manner manner, Workbench bench, Overviews overviews) {
    this.source = source;
    this.items = items;
    this.manner = manner;
    this.bench = bench;
    this.overviews = overviews;
  }

  /**
   * A run over a close-up by itself.
   *
   * @param overviews of its photo
   */
  static Run over(CloseUp cut, List<Item> items, Manner manner, Overviews overviews) {
    Run run = new Run(cut.pixels(), items, manner, Workbench.of(cut, manner), overviews);
    run.place = new Stretched.Place(cut.x(), cut.y(), cut.width(), cut.height());
    return run;
  }

  Run(Picture source, List<Item> items, Manner manner) {
    this(source, items, manner, Workbench.of(source, manner));
  }

  /** Told of every state of the picture where a leg begins, but the first. */
  interface Passing {
    Passing NOBODY = (index, state) -> {};

    /**
     * Takes a state.
     *
     * @param index of the item that it lies before
     */
    void at(int index, State state);
  }

  /**
   * Runs from a state on.
   *
   * @param begin the picture before item {@code from}; holds what the plan asks for
   * @param from index of the first item to run
   * @param stop index before which the picture is wanted as well; −1 for none
   * @param area what is wanted in the end
   * @return the state after the last item
   */
  State run(State begin, int from, int stop, Area area, Passing passing) {
    State state = begin;
    for (Leg leg : Plan.of(items, from, stop, bench, area)) {
      if (leg.index() > from) {
        passing.at(leg.index(), state);
      }
      state = after(leg, state);
    }
    return state;
  }

  /**
   * Runs over the whole picture from a state up to an item.
   *
   * @return the state before that item, with what the way on needs
   */
  State upTo(int index, State begin, int from, Passing passing) {
    State state = begin;
    for (Leg leg : Plan.of(items, from, index, bench, source.area())) {
      if (leg.index() >= index) {
        break;
      }
      if (leg.index() > from) {
        passing.at(leg.index(), state);
      }
      state = after(leg, state);
    }
    return state;
  }

  private State after(Leg leg, State before) {
    Part kept = leg.keeps() ? before.now() : before.kept();
    return state(leg, before, make(leg, before.now(), kept));
  }

  /** The state after a leg that has made a part. */
  State state(Leg leg, State before, Part made) {
    Part kept = leg.keeps() ? before.now() : before.kept();
    boolean open = kept != null && leg.items().stream().noneMatch(i -> i.item() instanceof EndItem);
    return new State(made, open ? kept : null);
  }

  /**
   * Runs one leg.
   *
   * @param in the picture before it; holds what its first item needs
   * @param kept what lies below the bundle that is open, or null
   */
  Part make(Leg leg, Part in, Part kept) {
    List<Step> steps = steps(leg, in, kept);
    Part out = Part.blank(leg.area());
    Area area = leg.area();
    IntStream.range(area.y(), area.bottom())
        .parallel()
        .forEach(
            y -> {
              checkCancel();
              row(in, steps, y, out);
            });
    return out;
  }

  private static void row(Part in, List<Step> steps, int y, Part out) {
    Workspace w = Workspace.ofThread();
    Area area = out.area();
    boolean read = steps.isEmpty() || steps.get(0).readsBelow();
    for (int x = area.x(); x < area.right(); x += Band.CAPACITY) {
      int n = Math.min(Band.CAPACITY, area.right() - x);
      if (read) {
        w.now.load(in.picture(), in.index(x, y), n);
      }
      for (Step step : steps) {
        step.run(w, n, x, y);
      }
      w.now.store(out.picture(), out.index(x, y), n);
    }
  }

  private List<Step> steps(Leg leg, Part in, Part kept) {
    List<Step> steps = new ArrayList<>();
    boolean inBand = false;
    List<PreparedItem> own = leg.items();
    for (int i = 0; i < own.size(); i++) {
      Item item = own.get(i).item();
      boolean opens = item.opens() && !(i == 0 && leg.keeps());
      inBand |= opens;
      if (!(own.get(i) instanceof PreparedVeil veil)) {
        steps.add(
            new EndStep((float) item.opacity(), mask(item, leg.area()), inBand ? null : kept));
        inBand = false;
        continue;
      }
      int alike = manner.quick() ? quickRun(own, i) : 0;
      Kernel quick = alike == 0 ? null : quick(leg, i, alike, () -> met(in, steps, leg.area()));
      if (quick != null) {
        steps.add(new VeilStep(quick, BlendMode.NORMAL, 1, null, opens));
        i += alike - 1;
      } else {
        Kernel kernel = kernel(veil, leg.index() + i, in, leg.area());
        Coverage mask = mask(item, leg.area());
        steps.add(new VeilStep(kernel, veil.item().blend(), (float) item.opacity(), mask, opens));
      }
    }
    return steps;
  }

  /** The quick way through so many items of a leg from one on; null where it would stray. */
  private Kernel quick(Leg leg, int from, int alike, Supplier<Picture> met) {
    return bench
        .colourRun(
            items.subList(0, leg.index() + from + alike),
            leg.items().subList(from, from + alike).stream().map(PreparedVeil.class::cast).toList(),
            met)
        .orElse(null);
  }

  /**
   * What comes out of the steps of a leg so far, in short stretches of rows spread over an area.
   *
   * @return one row of at most {@link #TRIED} pixels
   */
  private static Picture met(Part in, List<Step> steps, Area area) {
    int length = Math.min(STRETCH, area.width());
    int stretches = Math.max(1, Math.min(TRIED, area.pixels()) / length);
    Picture out = Picture.blank(stretches * length, 1);
    Workspace w = Workspace.ofThread();
    for (int i = 0; i < stretches; i++) {
      long at = (long) i * area.pixels() / stretches;
      int y = area.y() + (int) (at / area.width());
      int x = area.x() + (int) Math.min(at % area.width(), area.width() - length);
      w.now.load(in.picture(), in.index(x, y), length);
      for (Step step : steps) {
        step.run(w, length, x, y);
      }
      w.now.store(out, i * length, length);
    }
    return out;
  }

  /** How many items from i on go through tables: a long run of any colour, or some per channel. */
  private static int quickRun(List<PreparedItem> items, int i) {
    int alike = 0;
    while (i + alike < items.size()
        && items.get(i + alike).item().isColourOnly()
        && (alike == 0 || !items.get(i + alike).item().opens())) {
      alike++;
    }
    if (alike >= ColourRun.FEWEST) {
      return alike;
    }
    int perChannel = 0;
    while (perChannel < alike && items.get(i + perChannel).item().isPerChannel()) {
      perChannel++;
    }
    return perChannel >= ColourRun.FEWEST_PER_CHANNEL ? perChannel : 0;
  }

  private Kernel kernel(PreparedVeil prepared, int index, Part in, Area area) {
    if (prepared.adjustment() instanceof AreaKernel k) {
      return k.over(seen(in, k.needs(area, source.area())), area, around(index));
    }
    return (Kernel) prepared.adjustment();
  }

  /** What a veil is given to see: no more than it needs, unless that saves a copy. */
  private static Part seen(Part in, Area needed) {
    return in.area().pixels() > ROOMY * needed.pixels() ? in.cut(needed) : in;
  }

  private Coverage mask(Item item, Area area) {
    return item.isEverywhere()
        ? null
        : manner.masks().coverage(item.mask(), item.paint(), source, area);
  }

  private Around around(int index) {
    return new Around() {
      @Override
      public Picture overview() {
        if (overviews == null) {
          overviews = new Overviews(source, items, manner);
        }
        return overviews.below(index);
      }

      @Override
      public Plane stretched(Level level, Area cells, Plane small) {
        return place == null
            ? Stretched.to(level, cells, small)
            : Stretched.to(place, level.factor(), cells, small);
      }

      @Override
      public void carryOn() {
        checkCancel();
      }
    };
  }

  private void checkCancel() {
    if (manner.cancel().isCancelled()) {
      throw new Cancelled();
    }
  }
}
