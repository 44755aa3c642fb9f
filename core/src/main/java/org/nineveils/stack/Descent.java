package org.nineveils.stack;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;

/**
 * A way down a picture: the whole of it through a stack, strip by strip from the top. Every leg
 * makes each of its rows once; of these it holds the ones that the legs after it have still to see,
 * so that margins are neither rendered twice nor held longer than needed. The same bits as the
 * whole render. A strip that is asked for out of turn begins a new way.
 */
final class Descent implements Strips {
  private final Picture source;
  private final List<Item> items;
  private final Workbench bench;
  private final Run run;
  private final int rows;

  /** Top of the strip that carries on; −1 before the first. */
  private int next = -1;

  /** Of each leg, the rows that are still needed; null where there are none. */
  private Part[] held;

  /** Of each leg, the first row that it has not made. */
  private int[] made;

  /**
   * Prepares the way.
   *
   * @param source the whole plain picture; not changed
   * @param rows of a strip
   */
  Descent(Picture source, Stack stack, Manner manner, int rows) {
    this.source = source;
    this.items = Item.of(stack);
    this.bench = Workbench.of(source, manner);
    this.run = new Run(source, items, manner, bench);
    this.rows = rows;
  }

  @Override
  public int width() {
    return source.width();
  }

  @Override
  public int height() {
    return source.height();
  }

  @Override
  public int rows() {
    return rows;
  }

  @Override
  public Picture strip(int top) {
    Area area = rows(top, Math.min(top + rows, source.height()));
    List<Leg> legs = Plan.of(items, 0, -1, bench, area);
    if (top != next) {
      held = new Part[legs.size()];
      made = legs.stream().mapToInt(leg -> leg.area().y()).toArray();
    }
    next = -1; // whoever is cancelled half-way begins anew
    State state = State.plain(source);
    int[] since = since(legs);
    for (int i = 0; i < legs.size(); i++) {
      state = carriedOn(i, legs.get(i), state);
      if (i > 0) {
        held[i - 1] = below(held[i - 1], since[i - 1]); // at once, or all legs' rows would be held
      }
    }
    Picture strip = state.now().cut(area).picture();
    if (!legs.isEmpty()) {
      held[legs.size() - 1] = below(held[legs.size() - 1], area.bottom());
    }
    next = area.bottom();
    return strip;
  }

  /** Pixels that are held for the strips to come. */
  long heldPixels() {
    return Arrays.stream(held).filter(Objects::nonNull).mapToLong(p -> p.area().pixels()).sum();
  }

  /** Makes the rows of a leg that are new, below those that it holds. */
  private State carriedOn(int i, Leg leg, State before) {
    if (made[i] < leg.area().bottom()) {
      Area fresh = rows(made[i], leg.area().bottom());
      Part kept = leg.keeps() ? before.now() : before.kept();
      Leg rest = new Leg(fresh, leg.items(), leg.index(), leg.keeps());
      held[i] = joined(held[i], run.make(rest, before.now(), kept));
      made[i] = fresh.bottom();
    }
    return run.state(leg, before, held[i]);
  }

  /**
   * For each leg, the first of its rows that the legs after it will ask for with the next strip.
   */
  private int[] since(List<Leg> legs) {
    int[] since = new int[legs.size()];
    Arrays.fill(since, source.height());
    int kept = -1; // the leg that made what lies below the bundle that is open
    for (int i = 0; i < legs.size(); i++) {
      Leg leg = legs.get(i);
      int own = leg.area().bottom();
      if (leg.keeps()) {
        kept = i - 1;
      }
      if (own < source.height()) {
        if (i > 0) {
          Area seen = leg.items().get(0).needs(rows(own, own + 1), bench.frame());
          since[i - 1] = Math.min(since[i - 1], seen.y());
        }
        if (kept >= 0) {
          since[kept] = Math.min(since[kept], own);
        }
      }
      if (leg.items().stream().anyMatch(p -> p.item() instanceof EndItem)) {
        kept = -1;
      }
    }
    return since;
  }

  private Area rows(int from, int to) {
    return Area.between(0, from, source.width(), to);
  }

  private Part joined(Part above, Part fresh) {
    if (above == null) {
      return fresh;
    }
    Part out = Part.blank(rows(above.area().y(), fresh.area().bottom()));
    out.take(above);
    out.take(fresh);
    return out;
  }

  private Part below(Part part, int from) {
    if (part == null || from >= part.area().bottom()) {
      return null;
    }
    return from <= part.area().y() ? part : part.cut(rows(from, part.area().bottom()));
  }
}
