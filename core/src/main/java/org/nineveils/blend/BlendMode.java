package org.nineveils.blend;

import java.util.Locale;
import org.nineveils.kernel.Band;
import org.nineveils.refusal.Ids;
import org.nineveils.setting.InvalidSetting;

/**
 * The sixteen blend modes of W3C Compositing and Blending Level 1 (sections 9 and 10), on
 * sRGB-encoded values. The backdrop is what is below the veil, the source what the veil makes of
 * it.
 */
@SuppressWarnings("ImmutableEnumChecker") // the blends are loops without state
public enum BlendMode {
  NORMAL("Normal", BlendLoops::normal),
  DARKEN("Darken", BlendLoops::darken),
  MULTIPLY("Multiply", BlendLoops::multiply),
  COLOR_BURN("Colour burn", BlendLoops::colorBurn),
  LIGHTEN("Lighten", BlendLoops::lighten),
  SCREEN("Screen", BlendLoops::screen),
  COLOR_DODGE("Colour dodge", BlendLoops::colorDodge),
  OVERLAY("Overlay", BlendLoops::overlay),
  SOFT_LIGHT("Soft light", BlendLoops::softLight),
  HARD_LIGHT("Hard light", BlendLoops::hardLight),
  DIFFERENCE("Difference", BlendLoops::difference),
  EXCLUSION("Exclusion", BlendLoops::exclusion),
  HUE("Hue", WholeColourBlend::hue),
  SATURATION("Saturation", WholeColourBlend::saturation),
  COLOR("Colour", WholeColourBlend::color),
  LUMINOSITY("Luminosity", WholeColourBlend::luminosity);

  /** Blends a band: backdrop and source in, result out. */
  private interface BandBlend {
    void run(Band backdrop, Band source, Band out, int n);
  }

  private final String label;
  private final BandBlend blend;

  BlendMode(String label, BlendLoops.Plane plane) {
    this.label = label;
    this.blend =
        (backdrop, source, out, n) -> {
          plane.run(backdrop.r, source.r, out.r, n);
          plane.run(backdrop.g, source.g, out.g, n);
          plane.run(backdrop.b, source.b, out.b, n);
        };
  }

  BlendMode(String label, WholeColourBlend.Loop loop) {
    this.label = label;
    this.blend = loop::run;
  }

  /** Whether red, green and blue are blended each by itself. */
  public boolean isSeparable() {
    return compareTo(HUE) < 0;
  }

  /** Name in files: the standard's keyword, such as {@code soft-light}. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Name on screens. */
  public String label() {
    return label;
  }

  /**
   * Blends n pixels.
   *
   * @param backdrop 0…1, not changed
   * @param source 0…1, not changed
   * @param out receives values in 0…1; another band than the two
   * @param n how many pixels
   */
  public void blend(Band backdrop, Band source, Band out, int n) {
    blend.run(backdrop, source, out, n);
  }

  /**
   * The mode of that name.
   *
   * @throws InvalidSetting if there is none; an unknown mode is never taken for another
   */
  public static BlendMode ofId(String id) {
    return Ids.find(values(), BlendMode::id, id)
        .orElseThrow(() -> new InvalidSetting("There is no blend mode “%s”.".formatted(id)));
  }
}
