package org.nineveils.stack;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.nineveils.kernel.Adjustment;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.picture.CloseUp;
import org.nineveils.picture.Picture;

/**
 * Items made ready for one photo at one size, and which quick ways were found near enough on it.
 */
final class Workbench {
  private static final int MOST_RUNS = 20;

  private final Frame frame;

  /** The whole photo, and where in it the picture lies that is rendered. */
  private final Frame photo;

  private final int x;
  private final int y;
  private final Preparations preparations;
  private final Map<List<Item>, Boolean> near = new HashMap<>();

  /** For a photo. */
  static Workbench of(Picture photo, Manner manner) {
    Frame frame = new Frame(photo.width(), photo.height(), manner.shelf());
    return new Workbench(frame, manner.preparations());
  }

  /** For a close-up that is rendered by itself. */
  static Workbench of(CloseUp cut, Manner manner) {
    Frame own =
        new Frame(cut.pixels().width(), cut.pixels().height(), cut.longSide(), manner.shelf());
    Frame photo = new Frame(cut.width(), cut.height(), manner.shelf());
    return new Workbench(own, photo, cut.x(), cut.y(), manner.preparations());
  }

  private Workbench(Frame frame, Preparations preparations) {
    this(frame, frame, 0, 0, preparations);
  }

  private Workbench(Frame frame, Frame photo, int x, int y, Preparations preparations) {
    this.frame = frame;
    this.photo = photo;
    this.x = x;
    this.y = y;
    this.preparations = preparations;
  }

  Frame frame() {
    return frame;
  }

  /**
   * The quick way through a run of veils that are functions of colour. Tried on what the run meets
   * the first time, and anew where anything below it has changed but paint.
   *
   * @param upTo all items from the plain photo to the end of the run
   * @param met colours that it runs over
   * @return nothing where it would stray too far
   */
  Optional<Kernel> colourRun(List<Item> upTo, List<PreparedVeil> items, Supplier<Picture> met) {
    ColourRun run = preparations.colourRun(items, frame.shelf());
    if (near.size() > MOST_RUNS) {
      near.clear();
    }
    List<Item> key = upTo.stream().map(Item::unpainted).toList();
    Boolean known = near.get(key);
    boolean is = known != null ? known : run.isNear(met);
    near.put(key, is);
    return is ? Optional.of(run) : Optional.empty();
  }

  /** An item with its maths; the end of a bundle has none. */
  PreparedItem prepare(Item item) {
    return item instanceof VeilItem veil
        ? new PreparedVeil(veil, adjustment(veil))
        : new PreparedEnd((EndItem) item);
  }

  /** Veils that look around see the picture that is rendered, the others know their place. */
  private Adjustment adjustment(VeilItem item) {
    Adjustment made = preparations.prepare(item, photo);
    if (frame.equals(photo)) {
      return made;
    }
    return made instanceof Kernel kernel
        ? new Shifted(kernel, x, y)
        : preparations.prepare(item, frame);
  }
}
