package org.nineveils.release.table;

import java.util.ArrayList;
import java.util.List;
import org.nineveils.blend.BlendMode;
import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Frame;
import org.nineveils.mask.Cover;
import org.nineveils.picture.PictureShelf;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * What of an effect is a function of colour alone.
 *
 * @param how much of it travels
 * @param veils those that do, in the order in which they hang
 * @param left those that stay behind, of all that show
 */
public record Travel(How how, List<Veil> veils, List<Left> left) {
  public Travel {
    veils = List.copyOf(veils);
    left = List.copyOf(left);
  }

  /** How much of an effect travels. */
  public enum How {
    WHOLE("whole"),
    /** All of it, but the table does not come near enough to it. */
    ROUGHLY("roughly"),
    IN_PART("in part"),
    NOT_AT_ALL("not at all");

    private final String words;

    How(String words) {
      this.words = words;
    }

    /** As screens and files say it. */
    public String words() {
      return words;
    }
  }

  /** Why a veil stays behind. */
  public enum Why {
    MASK("it covers only a part of the picture"),
    PLACE("what it does depends on the place"),
    NEIGHBOURHOOD("it looks at the neighbourhood");

    private final String words;

    Why(String words) {
      this.words = words;
    }

    /** As screens and files say it. */
    public String words() {
      return words;
    }
  }

  /** A veil that stays behind. */
  public record Left(String name, Why why) {}

  /** Looks at an effect; veils that are lifted, or do nothing, are neither. */
  public static Travel of(Effect effect) {
    List<Veil> veils = new ArrayList<>();
    List<Left> left = new ArrayList<>();
    for (Veil veil : effect.veils()) {
      if (!shows(veil)) {
        continue;
      }
      if (veil.mask().cover() != Cover.EVERYWHERE) {
        left.add(new Left(veil.name(), Why.MASK));
      } else if (veil.kind().isColourOnly(veil.settings())) {
        veils.add(veil);
      } else {
        left.add(new Left(veil.name(), why(veil, effect.edition())));
      }
    }
    How how = veils.isEmpty() ? How.NOT_AT_ALL : left.isEmpty() ? How.WHOLE : How.IN_PART;
    return new Travel(how, veils, left);
  }

  /** The same once it was measured: what strays visibly does not travel whole. */
  public Travel measured(Fit fit) {
    return how == How.WHOLE && !fit.isClose() ? new Travel(How.ROUGHLY, veils, left) : this;
  }

  private static boolean shows(Veil veil) {
    boolean nothing = veil.blend() == BlendMode.NORMAL && veil.kind().isIdentity(veil.settings());
    return !veil.lifted() && veil.opacity() > 0 && !nothing;
  }

  private static Why why(Veil veil, int edition) {
    Frame frame = new Frame(64, 64, PictureShelf.EMPTY);
    return veil.kind().prepare(veil.settings(), frame, edition) instanceof AreaKernel
        ? Why.NEIGHBOURHOOD
        : Why.PLACE;
  }
}
