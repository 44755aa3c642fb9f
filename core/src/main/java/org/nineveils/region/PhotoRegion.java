package org.nineveils.region;

import java.util.Locale;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.setting.PictureSetting;

/**
 * A named area of one photo: painted, found by rules or read from a picture, and mended with the
 * brush; or what others leave.
 *
 * @param id stays with the region; paint goes by it
 * @param name one of {@link Regions#all} or the maker's own
 * @param mask where it lies before anything is painted: by rules, or nowhere
 * @param picture SHA-256 of a grey picture, white where the region lies, that paint comes on top
 *     of; empty for none, which it is by rules
 * @param left it is what all other regions leave; its mask and its paint have no meaning
 */
public record PhotoRegion(String id, String name, Mask mask, String picture, boolean left) {
  /** Longest id, in characters. */
  public static final int MAX_ID = 40;

  public PhotoRegion {
    if (id.isBlank() || id.length() > MAX_ID) {
      throw new Refusal(
          String.format(Locale.ROOT, "A region must have an id of 1 to %d characters.", MAX_ID));
    }
    name = Names.check("A region", name);
    if (mask.cover() != Cover.BRUSH_ON && mask.cover() != Cover.BY_RULE) {
      throw new Refusal("A region is painted or found by rules.");
    }
    if (!picture.matches(PictureSetting.PATTERN)
        || (!picture.isEmpty() && mask.cover() == Cover.BY_RULE)) {
      throw new Refusal("A region by rule has no picture, and a picture is named by its SHA-256.");
    }
  }

  /** A region without a picture. */
  public PhotoRegion(String id, String name, Mask mask, boolean left) {
    this(id, name, mask, "", left);
  }

  /** The same region from a grey picture. */
  public PhotoRegion read(String sha) {
    return new PhotoRegion(id, name, Mask.BRUSH_ON, sha, false);
  }
}
