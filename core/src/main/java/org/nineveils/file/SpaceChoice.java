package org.nineveils.file;

import org.nineveils.refusal.Ids;

/** Which colour space a result is written in. */
public enum SpaceChoice {
  /** IEC 61966-2-1, which every program takes. */
  SRGB("srgb", "sRGB"),
  /** The primaries of SMPTE EG 432-1 with the white and the curve of sRGB. */
  DISPLAY_P3("display-p3", "Display P3"),
  /** The RGB space that the photo came in; sRGB where it came in none. */
  OWN("own", "as the photo came");

  private final String id;
  private final String words;

  SpaceChoice(String id, String words) {
    this.id = id;
    this.words = words;
  }

  /** Name in requests and options. */
  public String id() {
    return id;
  }

  /** What it is, for the user. */
  public String words() {
    return words;
  }

  /**
   * The choice of that name.
   *
   * @throws PictureException with a sentence if there is none
   */
  public static SpaceChoice ofId(String id) {
    return Ids.find(values(), SpaceChoice::id, id)
        .orElseThrow(
            () ->
                new PictureException(
                    "Results are written in srgb, in display-p3, or own: as the photo came; not in “%s”."
                        .formatted(id)));
  }
}
