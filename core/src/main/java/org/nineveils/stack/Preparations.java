package org.nineveils.stack;

import java.util.List;
import java.util.function.Supplier;
import org.nineveils.kernel.Adjustment;
import org.nineveils.kernel.Frame;
import org.nineveils.picture.PictureShelf;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Editions;
import org.nineveils.veil.VeilKind;

/**
 * Keeps the maths prepared for the settings met last: tables of tones cost more to make than a
 * small picture costs to render. Shared between threads.
 */
public final class Preparations {
  private static final long MOST_BYTES = 32_000_000;

  private record Key(VeilKind kind, SettingValues settings, Frame frame, int edition) {}

  private record Run(List<VeilItem> veils, PictureShelf shelf) {}

  private final Keep<Object, Adjustment> kept;

  /** Keeps within a bound of its own. */
  public Preparations() {
    this(Keep.upTo(MOST_BYTES));
  }

  /** Keeps in a place that is given. */
  public Preparations(Keep<Object, Adjustment> kept) {
    this.kept = kept;
  }

  /** The maths of a veil for a size of picture. */
  Adjustment prepare(VeilItem veil, Frame frame) {
    VeilKind kind = veil.kind();
    SettingValues settings = veil.settings();
    int edition = veil.edition();
    return kept(
        new Key(kind, settings, frame, edition),
        () -> Editions.prepare(kind, settings, frame, edition));
  }

  /**
   * The quick way through veils that make each colour from that colour alone, which serves pictures
   * of every size.
   */
  ColourRun colourRun(List<PreparedVeil> items, PictureShelf shelf) {
    List<VeilItem> veils = items.stream().map(PreparedVeil::item).toList();
    return (ColourRun) kept(new Run(veils, shelf), () -> ColourRun.of(items));
  }

  private Adjustment kept(Object key, Supplier<Adjustment> make) {
    Adjustment found = kept.find(key);
    if (found != null) {
      return found;
    }
    Adjustment made = make.get();
    kept.put(key, made, made.bytes());
    return made;
  }
}
