package org.nineveils.stack;

import java.util.List;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.veil.Frame;

/**
 * One view of a photo whose stack is changed again and again: only what is new is worked out.
 *
 * <p>1. The picture just below the first item that changed is kept, so that the next change of the
 * same veil, such as a slider being dragged, begins there. 2. Where nothing but paint has changed,
 * only the part of the picture that the strokes can have touched is rendered, with what veils above
 * see of it. 3. A veil hung last begins at the finished picture. Not even then does the result
 * depend on what was shown before: it is, bit for bit, what {@link Renderer} makes of the stack in
 * the exact manner.
 */
public final class LiveView {
  private Picture source;
  private Workbench bench;
  private List<Item> items = List.of();
  private Picture finished;
  private long turn;

  /** Items below a state that is kept, and the state; null for none. */
  private List<Item> below;

  private State kept;

  /**
   * A finished picture.
   *
   * @param picture the whole picture; it changes with the next call
   * @param changed the part that may differ from the picture of the turn before
   * @param turn number of this picture in this view, rising by one
   */
  public record Finished(Picture picture, Area changed, long turn) {}

  /**
   * Renders the whole picture.
   *
   * @param photo the plain photo; not changed
   * @throws Cancelled if the caller no longer wants the result; the view is then as it was
   */
  public synchronized Finished render(Picture photo, Stack stack, Manner manner) {
    if (photo != source) {
      forget(photo);
    }
    List<Item> next = Item.of(stack);
    Area whole = photo.area();
    if (finished != null && next.equals(items)) {
      return new Finished(finished, new Area(0, 0, 1, 1), ++turn);
    }
    Area touched = finished == null ? whole : Changes.touched(items, next, bench);
    if (touched.equals(whole)) {
      renderWhole(next, manner);
    } else {
      renderPart(next, touched, manner);
    }
    items = next;
    return new Finished(finished, touched, ++turn);
  }

  private void forget(Picture photo) {
    source = photo;
    bench = new Workbench(new Frame(photo.width(), photo.height()));
    items = List.of();
    finished = null;
    below = null;
    kept = null;
  }

  private void renderWhole(List<Item> next, Manner manner) {
    int same = finished == null ? 0 : Changes.same(items, next);
    if (finished != null && same == items.size() && same > 0) {
      below = items; // hung behind all others: the finished picture is what lies below
      kept = new State(Part.whole(finished), null);
    }
    boolean usable = canBeginAtKept(next);
    int from = usable ? below.size() : 0;
    int stop = same > from && same < next.size() ? same : -1;
    State begin = usable ? kept : State.plain(source);
    State[] states = new Run(source, next, manner, bench).run(begin, from, stop, source.area());
    if (stop >= 0) {
      below = List.copyOf(next.subList(0, stop));
      kept = states[0];
    }
    finished = states[1].now().picture();
  }

  private void renderPart(List<Item> next, Area touched, Manner manner) {
    boolean usable = canBeginAtKept(next);
    int from = usable ? below.size() : 0;
    State begin = usable ? kept : State.plain(source);
    State end = new Run(source, next, manner, bench).run(begin, from, -1, touched)[1];
    Part own = Part.whole(isShared() ? copy(finished) : finished);
    own.take(end.now());
    finished = own.picture();
  }

  /** Whether the finished picture is also something else, which must stay as it is. */
  private boolean isShared() {
    return finished == source
        || (kept != null
            && (kept.now().picture() == finished
                || (kept.kept() != null && kept.kept().picture() == finished)));
  }

  private boolean canBeginAtKept(List<Item> next) {
    return below != null
        && next.size() >= below.size()
        && next.subList(0, below.size()).equals(below)
        && kept.holds(source.area());
  }

  private static Picture copy(Picture p) {
    return new Picture(p.width(), p.height(), p.r().clone(), p.g().clone(), p.b().clone());
  }
}
