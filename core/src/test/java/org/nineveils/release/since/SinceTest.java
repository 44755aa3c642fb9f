package org.nineveils.release.since;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.kit.StackingRule;
import org.nineveils.release.Release;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class SinceTest {
  private static final Veil LIGHT = Pictures.veil("light", Map.of("exposure", 0.5));
  private static final Effect BRIGHT = new Effect(List.of(LIGHT), "Lower it on white.", 1);

  private static Release.EffectPart part(String name, Effect effect) {
    return new Release.EffectPart(name, "", effect, new byte[0], new byte[0]);
  }

  private static Release release(String notes, Release.EffectPart... parts) {
    return release(notes, StackingRule.STACK_FREELY, parts);
  }

  private static Release release(String notes, StackingRule rule, Release.EffectPart... parts) {
    var section = new Release.SectionPart(1, "Looks", rule, Arrays.asList(parts));
    var kit = new Release.KitPart("Willow", "", List.of(section));
    return new Release("First", "1.0", "Q", "One line.", notes, List.of(kit), Map.of());
  }

  private static List<String> said(Release old, Release now) {
    return Since.between(old, now).stream().map(Change::sentence).toList();
  }

  @Test
  void whatIsEqualHasNotChanged() {
    Release one = release("", part("Bright", BRIGHT));
    assertThat(Since.between(one, release("", part("Bright", BRIGHT)))).isEmpty();
  }

  @Test
  void settingsOpacitiesAndStartsAreAnotherLookAndAreTold() {
    Effect more =
        new Effect(
            List.of(Pictures.veil("light", Map.of("exposure", 0.75)).withId(LIGHT.id())),
            BRIGHT.note(),
            1);
    Release old = release("", part("Bright", BRIGHT), part("Soft", BRIGHT));
    Release now = release("", part("Bright", more), part("Soft", BRIGHT.startingAt(0.65)));
    List<Change> changes = Since.between(old, now);
    assertThat(changes).extracting(Change::sort).containsOnly(Change.Sort.LOOK);
    assertThat(said(old, now).get(0)).contains("0.75 stops instead of 0.5 stops");
    assertThat(said(old, now).get(1)).contains("goes on at 65 % instead of 100 %");
    assertThat(changes.get(0).old().effect()).isEqualTo(BRIGHT);
  }

  @Test
  void wordsNamesAndPlacesLeaveTheLookAsItWas() {
    Release old = release("Begin.", part("Bright", BRIGHT), part("Other", BRIGHT.startingAt(0.5)));
    Release now =
        release(
            "Begin here.",
            part("Brighter", BRIGHT.noted("Other words.")),
            part("Other", BRIGHT.startingAt(0.5)));
    assertThat(Since.between(old, now))
        .extracting(Change::sort)
        .containsOnly(Change.Sort.SAME_LOOK);
    assertThat(said(old, now))
        .containsExactly(
            "The collection: new words for the photographer.",
            "“Brighter”: it was called “Bright”; new words in its note.");
    assertThat(
            said(
                    old,
                    release(
                        "Begin.",
                        StackingRule.ONE_AT_A_TIME,
                        part("Bright", BRIGHT),
                        part("Other", BRIGHT.startingAt(0.5))))
                .get(0))
        .contains("section Willow, Looks: one at a time instead of stack freely");
  }

  private static Effect dialled(Dial... dials) {
    return new Effect(
        BRIGHT.veils(), BRIGHT.note(), 1, List.of(dials), BRIGHT.start(), BRIGHT.madeFor());
  }

  @Test
  void whatBecameOfADialIsToldByItsLabels() {
    String veil = LIGHT.id();
    Effect was =
        dialled(
            new Dial(veil, "exposure", "Light", 0, 1), new Dial(veil, "contrast", "Bite", 0, 20));
    Effect is =
        dialled(
            new Dial(veil, "exposure", "Daylight", 0, 1.5),
            new Dial(veil, "temperature", "Warmth", -10, 10));
    assertThat(said(release("", part("Bright", was)), release("", part("Bright", is))))
        .containsExactly(
            "“Bright”: the dial “Light” is called “Daylight” now; the dial “Daylight” runs from 0 to 1.5 instead of 0 to 1; a new dial, “Warmth”; without the dial “Bite”.");
  }

  /** A kit is the one that it was by what it shares, not by its name. */
  @Test
  void aKitThatWasRenamedHasTheEffectsThatItHad() {
    Release old = release("", part("Bright", BRIGHT), part("Other", BRIGHT.startingAt(0.5)));
    var section = old.kits().get(0).sections();
    var cradle = new Release.KitPart("Cradle", "", section);
    Release now = new Release("First", "1.0", "Q", "One line.", "", List.of(cradle), Map.of());
    assertThat(said(old, now)).containsExactly("The collection: kit “Cradle” was called “Willow”.");
    Effect dark = new Effect(List.of(Pictures.veil("light", Map.of("exposure", -1))), "", 1);
    var other =
        new Release.SectionPart(1, "Looks", StackingRule.STACK_FREELY, List.of(part("Dark", dark)));
    Release another =
        new Release(
            "First",
            "1.0",
            "Q",
            "One line.",
            "",
            List.of(new Release.KitPart("Cradle", "", List.of(other))),
            Map.of());
    assertThat(said(another, another.withMayHandOut(true)))
        .singleElement()
        .asString()
        .contains("may be handed out now");
    assertThat(said(old, another)).hasSize(3).anyMatch(s -> s.contains("“Dark” is new"));
  }

  @Test
  void whatIsNewAndWhatIsGoneIsNamedWithItsPlace() {
    Effect dark = new Effect(List.of(Pictures.veil("light", Map.of("exposure", -1))), "", 1);
    Release old = release("", part("Bright", BRIGHT));
    Release now = release("", part("Dark", dark));
    assertThat(said(old, now))
        .containsExactly(
            "“Dark” is new, in Willow, Looks.", "“Bright” of Willow, Looks was taken out.");
  }

  /** Semantic Versioning 2.0.0, items 6 to 8 and 11, for looks. */
  @ParameterizedTest
  @CsvSource({
    "1.0, SAME_LOOK, 1.0.1",
    "1.0.1, SAME_LOOK, 1.0.2",
    "1.0.3, NEW, 1.1",
    "1, NEW, 1.1",
    "1.4.2, LOOK, 2.0",
    "2.0-beta, GONE, 2.0"
  })
  void theVersionFollowsFromTheLargestChange(String last, Change.Sort sort, String least) {
    Change small =
        new Change(Change.Sort.SAME_LOOK, "", "The collection", List.of("x"), null, null);
    Change change = new Change(sort, "Willow, Looks", "Bright", List.of(), null, null);
    assertThat(NextVersion.after(last, List.of(small, change))).isEqualTo(least);
    assertThat(NextVersion.after(last, List.of())).isEqualTo(last);
    assertThat(NextVersion.isAtLeast(least, least)).isTrue();
    assertThat(NextVersion.isAtLeast(last, least)).isFalse();
  }

  @Test
  void versionsAreOrderedByTheirNumbersAndATrialGoesBefore() {
    assertThat(NextVersion.compare("1.10", "1.9")).isPositive();
    assertThat(NextVersion.compare("1.0", "1.0.0")).isZero();
    assertThat(NextVersion.compare("1.0-beta", "1.0")).isNegative();
    assertThat(NextVersion.compare("1.0.1", "1.1-a")).isNegative();
  }

  /** Whose mark it carries, what does not go together, what it was held to: none of it was told. */
  @Test
  void makerOppositesAndLimitsAreTold() {
    Release old = release("", part("Bright", BRIGHT));
    var limits =
        org.nineveils.document.LimitsJson.parse(
            org.nineveils.document.Json.read("{\"blown\": \"off\"}", "The limits"));
    var section =
        new Release.SectionPart(
            1,
            "Looks",
            StackingRule.STACK_FREELY,
            List.of(new org.nineveils.kit.Against(2, true)),
            limits,
            List.of(part("Bright", BRIGHT)));
    var kit = new Release.KitPart("Willow", "", List.of(section));
    Release now = new Release("First", "1.0", "R", "One line.", "", List.of(kit), Map.of());
    assertThat(said(old, now))
        .singleElement()
        .asString()
        .contains("mark was “Q” and is “R”", "does not go with", "other limits");
  }
}
