package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.nineveils.kit.Query.Candidate;
import org.nineveils.kit.Query.Is;
import org.nineveils.kit.Readiness.Proofed;

class QueryTest {
  private static final Query.Known KNOWN =
      new Query.Known(
          List.of("window light", "window", "Evening"),
          List.of("Larch Studio", "Willow"),
          Map.of("soft", "Soft", "light", "Light"),
          List.of("Exposure", "Light tones"));

  private static Query of(String typed) {
    return Query.parse(typed, KNOWN);
  }

  private static Candidate candidate(EffectFacts facts, Proofed proofed) {
    return new Candidate(
        "willow", Set.of("evening"), facts, proofed, Mark.AGAIN, false, false, false, false);
  }

  private static EffectFacts facts(boolean noted) {
    return new EffectFacts(Set.of("soft"), Set.of("exposure"), 2, 0, 1, noted, false, false, false);
  }

  @Test
  void wordsAreWhatIsLeftOfPhrases() {
    Query query = of("  Milk no note HAS soft, #window light in Larch Studio hem");
    assertThat(query.words()).containsExactly("milk", "hem");
    assertThat(query.is()).containsExactly(Is.NO_NOTE);
    assertThat(query.kinds()).containsExactly("soft");
    assertThat(query.tags()).containsExactly("window light");
    assertThat(query.kits()).containsExactly("larch studio");
  }

  @Test
  void theLongerPhraseIsMeantWhereOneBeginsLikeAnother() {
    assertThat(of("has light tones").settings()).containsExactly("light tones");
    assertThat(of("has light tones").kinds()).isEmpty();
    assertThat(of("has light").kinds()).containsExactly("light");
    assertThat(of("not proofed ready").is()).containsExactlyInAnyOrder(Is.NOT_PROOFED, Is.READY);
  }

  @Test
  void whatIsNoPhraseIsLookedForAsWords() {
    assertThat(of("#nowhere has fins").words()).containsExactly("nowhere", "has", "fins");
    assertThat(of("\"quiet\" notes").words()).containsExactly("quiet", "notes");
    assertThat(of("").asksForFacts()).isFalse();
  }

  @Test
  void anEffectMustBeAllThatIsAsked() {
    Candidate noted = candidate(facts(true), Proofed.NEVER);
    assertThat(of("has soft #evening in willow").takes(noted)).isTrue();
    assertThat(of("has soft has light").takes(noted)).isFalse();
    assertThat(of("no note").takes(noted)).isFalse();
    assertThat(of("no note").takes(candidate(facts(false), Proofed.NEVER))).isTrue();
    assertThat(of("has exposure not proofed").takes(noted)).isTrue();
  }

  @Test
  void marksAreFoundByTheirWords() {
    Candidate marked = candidate(facts(true), Proofed.NEVER);
    assertThat(of("marked look again").takes(marked)).isTrue();
    assertThat(of("settled").takes(marked)).isFalse();
  }

  @Test
  void proofsTellWhatIsOverAndWhatWasNeverTried() {
    Candidate over = candidate(facts(true), new Proofed(4, 4, 1, 0, true));
    assertThat(of("over a limit").takes(over)).isTrue();
    assertThat(of("unfinished").takes(over)).isTrue();
    assertThat(of("not proofed").takes(over)).isFalse();
    Candidate some = candidate(facts(true), new Proofed(3, 4, 0, 1, true));
    assertThat(of("near a limit not proofed").takes(some)).isTrue();
  }
}
