package org.nineveils.region;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.nineveils.name.Names;

/**
 * What a test wall holds and what it lacks: how many photos there are of each subject in each light
 * and in each trouble.
 *
 * @param subjects across: depths of skin, fur
 * @param lights down: tags of light and of trouble
 * @param counts by light, then by subject
 */
public record WallGaps(List<String> subjects, List<String> lights, List<List<Integer>> counts) {
  /** Troubles that are of the light; others are of the subject. */
  private static final List<String> TROUBLES = List.of("too dark", "too light", "colour cast");

  private static final int MOST_NAMED = 3;

  /**
   * A photo of the wall.
   *
   * @param subject one of the subjects; another or none where it is neither skin that can be judged
   *     nor fur
   */
  public record Held(String subject, List<String> tags) {}

  /**
   * A gap.
   *
   * @param weight the higher, the fewer photos there are of its subject and in its light
   */
  private record Gap(String subject, String light, double weight) {}

  /** Counts a wall. */
  public static WallGaps of(List<String> subjects, List<Held> wall) {
    List<String> lights = new ArrayList<>(PhotoTags.Group.LIGHT.tags());
    lights.addAll(TROUBLES);
    List<List<Integer>> counts = new ArrayList<>();
    for (String light : lights) {
      Map<String, Integer> row = new LinkedHashMap<>();
      subjects.forEach(s -> row.put(s, 0));
      for (Held photo : wall) {
        Set<String> keys = photo.tags().stream().map(Names::key).collect(Collectors.toSet());
        if (keys.contains(light)) {
          row.computeIfPresent(photo.subject(), (s, n) -> n + 1);
        }
      }
      counts.add(List.copyOf(row.values()));
    }
    return new WallGaps(List.copyOf(subjects), List.copyOf(lights), List.copyOf(counts));
  }

  /** The gaps that are missed most, in words; empty where there is none. */
  public List<String> mostMissed() {
    List<Gap> gaps = new ArrayList<>();
    for (int row = 0; row < lights.size(); row++) {
      for (int column = 0; column < subjects.size(); column++) {
        if (counts.get(row).get(column) == 0) {
          double weight = 1.0 / (1 + inLight(row)) + 1.0 / (1 + ofSubject(column));
          gaps.add(new Gap(subjects.get(column), lights.get(row), weight));
        }
      }
    }
    gaps.sort(Comparator.comparingDouble(Gap::weight).reversed());
    List<Gap> named = new ArrayList<>();
    for (Gap gap : gaps) {
      // One of each light and of each subject: three gaps of one row are one thing to say.
      boolean other =
          named.stream()
              .noneMatch(n -> n.light().equals(gap.light()) || n.subject().equals(gap.subject()));
      if (other && named.size() < MOST_NAMED) {
        named.add(gap);
      }
    }
    return named.stream().map(g -> "%s, %s".formatted(g.subject(), g.light())).toList();
  }

  private int inLight(int row) {
    return counts.get(row).stream().mapToInt(n -> n).sum();
  }

  private int ofSubject(int column) {
    return counts.stream().mapToInt(row -> row.get(column)).sum();
  }
}
