package org.nineveils.stack;

import java.util.ArrayList;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.function.LongSupplier;
import org.nineveils.kernel.Frame;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;

/**
 * One view of a photo whose stack is changed again and again: only what is new is worked out.
 *
 * <p>States of the picture are kept where a leg of the way through the stack begins (see {@link
 * Plan}). 1. A change begins at the last state below it; the first time, a state is kept right
 * below the changed veil, so that the next change of the same veil, such as a slider being dragged,
 * begins there. 2. Where nothing but paint has changed, the change is carried from leg to leg: each
 * makes only the part that the strokes, or what veils see of them, can have touched, and it is put
 * into the state after it. 3. A veil hung last begins at the finished picture. The result does not
 * depend on what was shown before: in the exact manner it is, bit for bit, what {@link Renderer}
 * makes of the stack.
 */
public final class LiveView {
  /**
   * While newer pictures keep being asked for, one is finished at least this often, nanoseconds.
   */
  private static final long PATIENCE = 200_000_000L;

  private final LongSupplier clock;
  private long lastFinished;

  private List<Item> items = List.of();
  private OwnPictures own;
  private Workbench bench;
  private long turn;

  /** A view of nothing yet. */
  public LiveView() {
    this(System::nanoTime);
  }

  /** A view with a clock of its own, in nanoseconds. */
  LiveView(LongSupplier clock) {
    this.clock = clock;
    this.lastFinished = clock.getAsLong();
  }

  /**
   * A finished picture.
   *
   * @param picture the whole picture; it changes with the next call
   * @param changed the part that may differ from the picture of the turn before
   * @param turn number of this picture in this view, rising by one
   */
  public record Finished(Picture picture, Area changed, long turn) {}

  /**
   * Renders the whole picture. A caller who no longer wants it when its turn comes is sent away;
   * one who is overtaken while it is rendered is let through where nothing was finished for 200 ms,
   * so that a flood of requests never leaves the screen standing still.
   *
   * @param photo the plain photo; not changed
   * @throws Cancelled if the caller no longer wants the result; the view then shows what it showed
   */
  public synchronized Finished render(Picture photo, Stack stack, Manner wanted) {
    if (wanted.cancel().isCancelled()) {
      throw new Cancelled();
    }
    boolean starving = clock.getAsLong() - lastFinished > PATIENCE;
    Manner manner = starving ? wanted.cancelledBy(Cancel.NEVER) : wanted;
    if (own == null || !own.isOf(photo)) {
      own = new OwnPictures(photo);
      items = List.of();
      bench = Workbench.of(photo, manner);
    }
    try {
      Area changed = changed(Item.of(stack), manner);
      lastFinished = clock.getAsLong();
      return new Finished(own.finished(), changed, ++turn);
    } catch (Cancelled e) {
      throw e;
    } catch (RuntimeException | Error e) {
      own = null; // nobody knows how far it came: the next picture is made afresh
      throw e;
    }
  }

  /** Makes the finished picture that of a list of items, and says what of it is new. */
  private Area changed(List<Item> next, Manner manner) {
    Area changed = own.source().area();
    if (own.finished() == null) {
      renderFrom(0, next, manner);
    } else if (next.equals(items)) {
      changed = new Area(0, 0, 1, 1);
    } else {
      Changes paint = Changes.ofPaint(items, next, own.source().area());
      Area touched = paint == null ? null : renderTouched(next, paint, manner);
      if (touched == null) {
        renderFrom(Changes.same(items, next), next, manner);
      } else {
        changed = touched;
      }
    }
    items = next;
    return changed;
  }

  /** Bytes that the kept pictures take, the plain photo left out. */
  public synchronized long bytes() {
    return own == null ? 0 : own.bytes();
  }

  /** Renders the whole picture from the last state at or before the first item that changed. */
  private void renderFrom(int same, List<Item> next, Manner manner) {
    boolean behindAll = own.finished() != null && same == items.size() && same > 0;
    own.keepUpTo(same);
    int from = behindAll ? same : own.last(same);
    State begin = behindAll ? new State(Part.whole(own.finished()), null) : own.at(from);
    int stop = same > from && same < next.size() ? same : -1;
    NavigableMap<Integer, State> made = new TreeMap<>();
    Run run = new Run(own.source(), next, manner, bench);
    State end =
        run.run(
            begin,
            from,
            stop,
            own.source().area(),
            (index, state) -> {
              made.put(index, state);
              if (index <= same) {
                own.keep(index, state); // holds also if the rest is cancelled
              }
            });
    if (behindAll) {
      made.put(same, begin);
    }
    own.finish(end.now().picture(), made, next.size());
  }

  /** A leg between two states that are kept, and the part of it that must be made again. */
  private record Stretch(Leg leg, State in, Part out) {}

  /**
   * Carries changes of paint from leg to leg.
   *
   * @return what has changed of the finished picture; null where the whole must be rendered
   */
  private Area renderTouched(List<Item> next, Changes paint, Manner manner) {
    List<PreparedItem> prepared = next.stream().map(bench::prepare).toList();
    if (paint.inserted() >= 0 && own.liesBelowABundle(paint.inserted())) {
      return null; // the new item lies below that bundle too, in a picture that is not kept
    }
    NavigableMap<Integer, State> states = own.shifted(paint.inserted());
    List<Stretch> way = way(prepared, paint.boxes(), states, bench.frame());
    if (way == null) {
      return null;
    }
    Run run = new Run(own.source(), next, manner.cancelledBy(Cancel.NEVER), bench);
    Area changed = new Area(0, 0, 1, 1);
    for (Stretch s : way) {
      Part kept = s.leg.keeps() ? s.in.now() : s.in.kept();
      s.out.take(run.make(s.leg, s.in.now(), kept));
      changed = s.leg.area();
    }
    own.take(states);
    return changed;
  }

  /** Null where the whole picture must be rendered. */
  private List<Stretch> way(
      List<PreparedItem> items,
      List<Area> boxes,
      NavigableMap<Integer, State> states,
      Frame frame) {
    List<Stretch> way = new ArrayList<>();
    Area touched = null;
    for (int from : states.keySet()) {
      Integer after = states.higherKey(from);
      int to = after == null ? items.size() : after;
      for (int i = from; i < to; i++) {
        PreparedItem item = items.get(i);
        if ((item.looksAround() && i > from) || (item.looksAtWhole() && touched != null)) {
          return null;
        }
        touched = touched == null ? null : item.needs(touched, frame);
        touched = with(touched, boxes.get(i));
      }
      if (touched != null && from < to) {
        State in = states.get(from);
        if (in.kept() != null
            && states.values().stream().noneMatch(s -> s.now().equals(in.kept()))) {
          return null; // what lies below the open bundle is not among the states that are mended
        }
        boolean keeps = after != null && in.now().equals(states.get(after).kept());
        Leg leg = new Leg(touched, items.subList(from, to), from, keeps);
        way.add(
            new Stretch(
                leg, in, after == null ? Part.whole(own.finished()) : states.get(after).now()));
      }
    }
    return way;
  }

  private static Area with(Area a, Area b) {
    return a == null ? b : b == null ? a : a.with(b);
  }
}
