package org.nineveils.name;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.refusal.Refusal;

class NamesTest {
  /** Unicode Standard Annex 15, table 4: a letter and its mark are one character in form C. */
  @Test
  void namesAreKeptInNormalFormC() {
    assertThat(Names.check("A kit", "A\u030Angstro\u0308m")).isEqualTo("\u00C5ngstr\u00F6m");
    assertThat(Names.check("A kit", "\u1100\u1161\u11A8")).isEqualTo("\uAC01");
  }

  @Test
  void charactersThatNobodySeesAreNotPartOfAName() {
    assertThat(Names.check("A kit", "\u200B\uFEFF  Milk\u200B linen \u00A0\u2003"))
        .isEqualTo("Milk linen");
    assertThat(Names.check("A kit", "\u202Eleft\u202C")).isEqualTo("left");
    assertThatThrownBy(() -> Names.check("A kit", " \u200B\u2060\uFEFF\u00A0"))
        .isInstanceOf(Refusal.class)
        .hasMessage("A kit needs a name.");
    String family = "\uD83D\uDC69\u200D\uD83D\uDC67"; // the joiner makes one sign of two
    assertThat(Names.check("A kit", family)).isEqualTo(family);
  }

  @ParameterizedTest
  @CsvSource({
    "Ängstlich,ängstlich",
    "STRASSE,straße",
    "ΣΊΣΥΦΟΣ,σίσυφος",
    "МОСКВА,москва",
    "e\u0301te\u0301,ÉTÉ",
    "Ｍilk,milk"
  })
  void namesThatDifferInCaseOrInTheWayTheyAreWrittenAreTheSame(String one, String other) {
    assertThat(Names.key(one)).isEqualTo(Names.key(other));
  }

  @Test
  void otherNamesAreOther() {
    assertThat(Names.key("Ähre")).isNotEqualTo(Names.key("Ahre"));
    assertThat(Names.key("Milk 1")).isNotEqualTo(Names.key("Milk 2"));
  }

  @Test
  void lettersAreCountedAndCutWhole() {
    String dog = "\uD83D\uDC36";
    String sixty = dog.repeat(60);
    assertThat(Names.check("A kit", sixty)).isEqualTo(sixty);
    assertThatThrownBy(() -> Names.check("A kit", sixty + dog))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("at most 60 characters; this one has 61");
    assertThat(Names.cut(dog.repeat(70), 60)).isEqualTo(sixty);
    assertThat(Names.numbered(sixty, 12)).isEqualTo(dog.repeat(57) + " 12");
  }
}
