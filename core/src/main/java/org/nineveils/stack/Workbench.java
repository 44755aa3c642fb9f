package org.nineveils.stack;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;

/**
 * Items made ready for one photo at one size, and the quick ways through runs of them that were
 * tried on it.
 */
final class Workbench {
  private static final int MOST_RUNS = 20;

  private final Frame frame;
  private final Preparations preparations;
  private final Map<List<Item>, Optional<Kernel>> colourRuns = new HashMap<>();

  /** For a photo. */
  static Workbench of(Picture photo, Manner manner) {
    Frame frame = new Frame(photo.width(), photo.height(), manner.shelf());
    return new Workbench(frame, manner.preparations());
  }

  private Workbench(Frame frame, Preparations preparations) {
    this.frame = frame;
    this.preparations = preparations;
  }

  Frame frame() {
    return frame;
  }

  /**
   * The quick way through a run of veils that are functions of colour.
   *
   * @param in what they run over; tried on the first time
   * @return nothing where it would stray too far
   */
  Optional<Kernel> colourRun(List<PreparedItem> items, Part in) {
    List<Item> key = items.stream().map(PreparedItem::item).toList();
    if (colourRuns.size() > MOST_RUNS) {
      colourRuns.clear();
    }
    return colourRuns.computeIfAbsent(key, k -> Optional.ofNullable(ColourRun.of(items, in)));
  }

  /** An item with its maths; the end of a bundle has none. */
  PreparedItem prepare(Item item) {
    return new PreparedItem(
        item, item.closes() ? null : preparations.prepare(item.kind(), item.settings(), frame));
  }
}
