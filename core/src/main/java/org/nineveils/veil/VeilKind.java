package org.nineveils.veil;

import java.util.List;
import java.util.Map;
import org.nineveils.kernel.Adjustment;
import org.nineveils.kernel.Frame;
import org.nineveils.setting.Handle;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/** One of the sorts of adjustment. A kind is one folder and one line in the catalogue. */
public interface VeilKind {
  /** Name in files and style sheets; never changed once released. */
  String id();

  /** Name on screens. */
  String label();

  /** One line that says what it is for. */
  String purpose();

  /** Descriptors of its settings, in the order of the screen. */
  List<Setting<?>> settings();

  /** Values to begin with; none for most kinds. */
  default List<StartingPoint> startingPoints() {
    return List.of();
  }

  /** Settings that are set on the picture itself; none for most kinds. */
  default List<Handle> handles() {
    return List.of();
  }

  /** Values by key that show plainly what the kind does; for the small picture that offers it. */
  Map<String, Object> sample();

  /**
   * Makes the maths for given settings; tables are worked out here, once a render.
   *
   * @param values valid values of {@link #settings}
   * @param frame the whole picture that will be rendered, also when only a part of it is
   * @param edition of the engine that the effect was made with: what an edition makes of a picture
   *     never changes once it is closed
   */
  Adjustment prepare(SettingValues values, Frame frame, int edition);

  /**
   * Whether these settings make each pixel's colour from its own colour alone, wherever it lies.
   */
  default boolean isColourOnly(SettingValues values) {
    return false;
  }

  /**
   * Whether these settings make red from red, green from green and blue from blue alone; only asked
   * where {@link #isColourOnly} holds.
   */
  default boolean isPerChannel(SettingValues values) {
    return false;
  }

  /**
   * What these settings make of a picture that does not go with what others make of it. Common
   * practice, no published source.
   */
  default Leaning leaning(SettingValues values) {
    return Leaning.NONE;
  }

  /**
   * Share of the long side that these settings cover at every border with something that is no
   * longer the photo, such as a frame; 0 for none.
   */
  default double border(SettingValues values) {
    return 0;
  }

  /** Whether these settings leave every picture as it is. */
  default boolean isIdentity(SettingValues values) {
    return values.equals(SettingValues.start(settings()));
  }
}
