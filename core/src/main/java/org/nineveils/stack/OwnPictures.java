package org.nineveils.stack;

import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.NavigableMap;
import java.util.Set;
import java.util.TreeMap;
import org.nineveils.picture.Picture;

/**
 * The pictures that a live view owns and strokes are put into: states before items of its list, and
 * the finished picture. No two of them share planes, and none shares any with the plain photo,
 * which is never written to; a picture that would is copied as it comes in. What lay below an open
 * bundle is the picture of the state that it was taken from, and changes with that.
 */
final class OwnPictures {
  /** Most states kept: 12 bytes a pixel each. */
  private static final int MOST_STATES = 8;

  private final Picture source;
  private Picture finished;

  /** The plain photo is the state before item 0, and stays for ever. */
  private final NavigableMap<Integer, State> states = new TreeMap<>();

  OwnPictures(Picture photo) {
    source = photo;
    states.put(0, State.plain(photo));
  }

  /** Whether they are of that photo: of the same planes. */
  boolean isOf(Picture photo) {
    return source.equals(photo);
  }

  Picture source() {
    return source;
  }

  /** Null until there is one. */
  Picture finished() {
    return finished;
  }

  State at(int index) {
    return states.get(index);
  }

  /** The last index up to which there is a state. */
  int last(int most) {
    return states.floorKey(most);
  }

  /** Lets states behind an index go. */
  void keepUpTo(int index) {
    states.tailMap(index, false).clear();
  }

  /** Keeps a state that a run has just made, and so nobody else has. */
  void keep(int index, State made) {
    if (index > 0) {
      states.put(index, made);
    }
  }

  /**
   * Takes a finished picture over, with the states on the way to it. There is none behind the last
   * item: that is the finished picture itself.
   *
   * @param end may be the very picture of a state
   * @param items how many there are
   */
  void finish(Picture end, NavigableMap<Integer, State> made, int items) {
    finished = null; // it may have become a state
    made.forEach(this::keep);
    keepUpTo(Math.max(0, items - 1));
    while (states.size() > MOST_STATES) {
      states.remove(states.higherKey(0));
    }
    boolean shared = states.values().stream().anyMatch(s -> s.now().picture().equals(end));
    finished = shared ? copy(end) : end;
  }

  /**
   * The states as they stand before a list with one more item.
   *
   * @param inserted index of that item; −1 for none
   */
  NavigableMap<Integer, State> shifted(int inserted) {
    NavigableMap<Integer, State> out = new TreeMap<>();
    states.forEach(
        (index, state) -> out.put(inserted >= 0 && index > inserted ? index + 1 : index, state));
    return out;
  }

  /** Whether the picture before an item is what lay below a bundle that a later state is in. */
  boolean liesBelowABundle(int index) {
    State below = states.get(index);
    return below != null && states.values().stream().anyMatch(s -> below.now().equals(s.kept()));
  }

  /** Takes the same states at other indices. */
  void take(NavigableMap<Integer, State> shifted) {
    states.clear();
    states.putAll(shifted);
  }

  /** Bytes that they take, the plain photo left out. */
  long bytes() {
    Set<Object> planes = Collections.newSetFromMap(new IdentityHashMap<>());
    List<Picture> pictures = new ArrayList<>();
    if (finished != null) {
      pictures.add(finished);
    }
    for (State state : states.values()) {
      pictures.add(state.now().picture());
      if (state.kept() != null) {
        pictures.add(state.kept().picture());
      }
    }
    long pixels = 0;
    for (Picture p : pictures) {
      if (!p.equals(source) && planes.add(p.r())) {
        pixels += p.area().pixels();
      }
    }
    return pixels * 3 * Float.BYTES;
  }

  private static Picture copy(Picture p) {
    return new Picture(p.width(), p.height(), p.r().clone(), p.g().clone(), p.b().clone());
  }
}
