package org.nineveils.region;

import java.util.List;

/** The regions that a photo is looked at by; a maker adds names of her own. Words of our own. */
public final class Regions {
  public static final String SKIN = "skin";
  public static final String EYES = "eyes";
  public static final String LIPS = "lips";
  public static final String LASHES = "brows and lashes";
  public static final String HAIR = "hair";
  public static final String NOSE = "nose";
  public static final String FUR = "fur";
  public static final String STAIN = "stain";
  public static final String BLANKET = "blanket";
  public static final String CLOTHING = "clothing";
  public static final String GRASS = "grass";
  public static final String FINGER_TIPS = "finger tips";
  public static final String BACKGROUND = "background";

  private static final List<String> ALL =
      List.of(
          SKIN,
          EYES,
          LIPS,
          LASHES,
          HAIR,
          NOSE,
          FUR,
          STAIN,
          BLANKET,
          CLOTHING,
          GRASS,
          FINGER_TIPS,
          BACKGROUND);

  private Regions() {}

  /** All, in the order of the screens. */
  public static List<String> all() {
    return ALL;
  }
}
