package org.nineveils.kit;

import java.util.List;
import java.util.Optional;

/**
 * What a maker has noted of an effect for herself: it goes along in copies and kit files, and in no
 * release. Whoever adds a part here adds it to the JSON of kit files; what stores, copies and
 * carries effects takes it along as it is.
 *
 * @param tags words to find it by, in the order given
 * @param favourite among those that she likes best
 * @param mark a sign, where she put one
 */
public record MakersOwn(List<String> tags, boolean favourite, Optional<Mark> mark) {
  /** Nothing noted. */
  public static final MakersOwn NONE = new MakersOwn(List.of(), false, Optional.empty());

  public MakersOwn {
    tags = List.copyOf(tags);
  }
}
