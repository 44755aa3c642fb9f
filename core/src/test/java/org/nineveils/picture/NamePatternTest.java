package org.nineveils.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.refusal.Refusal;

class NamePatternTest {
  @Test
  void aNameIsMadeOfPhotoLookAndNumberAndNeverLeadsElsewhere() {
    assertThat(new NamePattern("{number} {photo} · {look}").of("Anna & Bo.JPG", "Milk linen", 7))
        .isEqualTo("007 Anna & Bo · Milk linen");
    assertThat(NamePattern.START.of("../../etc/pass.wd", "a/b:c", 1))
        .isEqualTo("-..-etc-pass.wd-a-b-c");
    assertThat(NamePattern.START.of("...", "$1 {photo}", 1)).isEqualTo("photo-$1 {photo}");
  }

  @Test
  void aPatternThatWouldGiveOneNameToAllOrAnUnfitOneIsRefused() {
    assertThatThrownBy(() -> new NamePattern("{look}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("{photo} or {number}");
    assertThatThrownBy(() -> new NamePattern("{photo}-{date}"))
        .hasMessageContaining("“{date}” is no part of a name");
    for (String unfit :
        new String[] {"a/{photo}", ".{photo}", "{photo}\u0000", "{photo}}", "..\\{photo}"}) {
      assertThatThrownBy(() -> new NamePattern(unfit)).isInstanceOf(Refusal.class);
    }
  }

  @Test
  void aResultNeverTakesThePlaceOfAFileAndAFailureLeavesNothing(@TempDir Path folder)
      throws IOException {
    Files.writeString(folder.resolve("a.jpg"), "mine");
    Path one = NewFile.write(folder, "a", ".jpg", part -> Files.writeString(part, "one"));
    Path two = NewFile.write(folder, "a", ".jpg", part -> Files.writeString(part, "two"));
    assertThat(folder.resolve("a.jpg")).hasContent("mine");
    assertThat(one).hasFileName("a-2.jpg").hasContent("one");
    assertThat(two).hasFileName("a-3.jpg").hasContent("two");
    assertThatThrownBy(
            () ->
                NewFile.write(
                    folder,
                    "b",
                    ".jpg",
                    part -> {
                      Files.writeString(part, "half");
                      throw new IOException("full");
                    }))
        .isInstanceOf(IOException.class);
    try (var left = Files.list(folder)) {
      assertThat(left).hasSize(3);
    }
  }
}
