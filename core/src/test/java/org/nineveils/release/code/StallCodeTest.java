package org.nineveils.release.code;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.nineveils.refusal.Refusal;

class StallCodeTest {
  /** ISO 2108, the example of the ISBN Users' Manual (from memory): 0-306-40615-2. */
  @Test
  void theCheckDigitIsThatOfIsbn10WithAnAlphabetOfOurOwn() {
    assertThat(WeightedSum.check(new int[] {0, 3, 0, 6, 4, 0, 6, 1, 5}, 11)).isEqualTo(2);
  }

  @Test
  void everyWrongLetterAndEveryTwoThatChangedPlacesAreNoticed() {
    for (int seed = 0; seed < 20; seed++) {
      String code = StallCode.draw(new Random(seed)).letters();
      for (int i = 0; i < code.length(); i++) {
        for (int n = 0; n < StallCode.ALPHABET.length(); n++) {
          char c = StallCode.ALPHABET.charAt(n);
          String wrong = code.substring(0, i) + c + code.substring(i + 1);
          if (!wrong.equals(code)) {
            assertThatThrownBy(() -> StallCode.parse(wrong)).isInstanceOf(Refusal.class);
          }
        }
        for (int j = i + 1; j < code.length(); j++) {
          StringBuilder turned = new StringBuilder(code);
          turned.setCharAt(i, code.charAt(j));
          turned.setCharAt(j, code.charAt(i));
          if (code.charAt(i) != code.charAt(j)) {
            assertThatThrownBy(() -> StallCode.parse(turned.toString()))
                .hasMessageContaining("typed with an error");
          }
        }
      }
    }
  }

  @Test
  void aCodeIsReadAsPeopleTypeIt() {
    StallCode code = StallCode.draw(new Random(5));
    String typed =
        " " + code.shown().toLowerCase(java.util.Locale.ROOT).replace("-", " – ").replace('5', 's');
    assertThat(StallCode.parse(typed)).isEqualTo(code);
    assertThatThrownBy(() -> StallCode.parse("KXMP"))
        .hasMessage("A code has 8 letters; “KXMP” has 4.");
    assertThatThrownBy(() -> StallCode.parse("OOOO-OOOO"))
        .hasMessageStartingWith("“O” is no letter of a code");
  }
}
