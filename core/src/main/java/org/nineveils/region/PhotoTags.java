package org.nineveils.region;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.nineveils.name.Names;

/** Tags of test photos: ready-made ones in groups, and the maker's own. Words of our own. */
public final class PhotoTags {
  /** Most tags of a photo. */
  public static final int MOST = 16;

  /** What a ready-made tag tells. */
  public enum Group {
    SORT("Sort", "newborn", "portrait", "pet"),
    LIGHT("Light", "even light", "window light", "back light", "high key"),
    TROUBLE("Trouble", "too dark", "too light", "colour cast", "blotchy skin", "stain"),
    /** Not judged: it shows what a picture does to charts and ramps. */
    OTHER("Other", PhotoTags.CHART);

    private final String label;

    @SuppressWarnings("ImmutableEnumChecker") // made by List.of
    private final List<String> tags;

    Group(String label, String... tags) {
      this.label = label;
      this.tags = List.of(tags);
    }

    /** Name on screens. */
    public String label() {
      return label;
    }

    /** Its tags, in the order of the screens. */
    public List<String> tags() {
      return tags;
    }
  }

  /** Tag of charts: they are shown on sheets and never judged. */
  public static final String CHART = "chart";

  private static final String OWN = "own";

  private PhotoTags() {}

  /**
   * A tag as it is kept.
   *
   * @throws org.nineveils.refusal.Refusal with a sentence if it is empty, too long or no line
   */
  public static String check(String tag) {
    return Names.cut(Names.check("A tag", tag), org.nineveils.veil.Effect.MAX_TAG);
  }

  /**
   * Whether an effect is made for a photo: of each group that it names a tag of, the photo has one
   * of those. “newborn, portrait, too dark” takes newborns and portraits that are too dark.
   *
   * @param madeFor tags of the effect; none for any photo
   * @param tags of the photo
   */
  public static boolean suit(Collection<String> madeFor, Collection<String> tags) {
    Set<String> has = tags.stream().map(Names::key).collect(Collectors.toSet());
    Set<String> wanted = new HashSet<>();
    Set<String> met = new HashSet<>();
    for (String tag : madeFor) {
      String group = group(tag);
      wanted.add(group);
      if (has.contains(Names.key(tag))) {
        met.add(group);
      }
    }
    return met.equals(wanted);
  }

  private static String group(String tag) {
    for (Group group : Group.values()) {
      if (group.tags().contains(Names.key(tag))) {
        return group.name();
      }
    }
    return OWN;
  }
}
