package org.nineveils.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

/** What a page changed comes onto the state that its earlier requests have made meanwhile. */
class MergeTest {
  private static final String FROM =
      "{'worn': [{'effect': 'a', 'opacity': 1, 'lifted': true}, {'effect': 'b', 'opacity': 1, 'lifted': true}]}";

  private static Map<String, Object> doc(String json) {
    return Json.read(json.replace('\'', '"'), "The document").raw();
  }

  private static void check(String from, String to, String there, String wanted) {
    assertThat(Merge.onto(doc(from), doc(to), doc(there))).isEqualTo(doc(wanted));
  }

  private static String worn(String... keys) {
    return List.of(keys).stream()
        .map(key -> "{'effect': '%s', 'opacity': 1, 'lifted': true}".formatted(key))
        .collect(Collectors.joining(", ", "{'worn': [", "]}"));
  }

  @Test
  void aSliderAndAnEffectThatWasPutOnMeanwhileAreBothThere() {
    String slider = FROM.replaceFirst("'opacity': 1", "'opacity': 0.4");
    check(
        FROM,
        slider,
        worn("a", "c", "b"),
        worn("a", "c", "b").replaceFirst("'opacity': 1", "'opacity': 0.4"));
  }

  @Test
  void twoFieldsOfOneThingAreBothChangedAndOneFieldIsTheChanges() {
    String from = "{'veils': [{'id': 'x', 'settings': {'gain': 1, 'lift': 1}}], 'note': 'old'}";
    String to = "{'veils': [{'id': 'x', 'settings': {'gain': 2, 'lift': 1}}], 'note': 'mine'}";
    String there = "{'veils': [{'id': 'x', 'settings': {'gain': 1, 'lift': 3}}], 'note': 'theirs'}";
    check(
        from,
        to,
        there,
        "{'veils': [{'id': 'x', 'settings': {'gain': 2, 'lift': 3}}], 'note': 'mine'}");
  }

  @Test
  void whatEitherTookAwayIsGoneAndWhatEitherAddedIsThere() {
    check(worn("a", "b", "c"), worn("a", "n", "c"), worn("b", "c", "p"), worn("n", "c", "p"));
    check("{'a': 1, 'b': 1}", "{'a': 1}", "{'a': 1, 'b': 1, 'c': 1}", "{'a': 1, 'c': 1}");
  }

  @Test
  void anOrderThatWasChangedStaysAndWhatIsNewStandsWhereItWasPut() {
    check(
        worn("a", "b", "c"),
        worn("c", "a", "b"),
        worn("a", "n", "b", "c"),
        worn("c", "a", "n", "b"));
    check(
        worn("a", "b", "c"),
        worn("a", "n", "b", "c"),
        worn("b", "a", "c"),
        worn("b", "a", "n", "c"));
  }

  @Test
  void aListOfPlainValuesIsOneValue() {
    check(
        "{'points': [[0, 0], [1, 1]]}",
        "{'points': [[0, 0.2], [1, 1]]}",
        "{'points': [[0, 0]]}",
        "{'points': [[0, 0.2], [1, 1]]}");
  }

  @Property(tries = 300)
  void withNothingChangedOnOneSideTheOtherSideIsTheAnswer(
      @ForAll @Size(max = 6) List<String> from, @ForAll @Size(max = 6) List<String> other) {
    Map<String, Object> one = things(from);
    Map<String, Object> two = things(other);
    assertThat(Merge.onto(one, one, two)).isEqualTo(two);
    assertThat(Merge.onto(one, two, one)).isEqualTo(two);
  }

  private static Map<String, Object> things(List<String> keys) {
    return Map.of(
        "veils",
        keys.stream().distinct().map(key -> Map.of("id", key, "n", key.length())).toList());
  }
}
