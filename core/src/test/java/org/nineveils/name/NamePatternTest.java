package org.nineveils.name;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.file.NewFile;
import org.nineveils.refusal.Refusal;

class NamePatternTest {
  @Test
  void aNameIsMadeOfPhotoLookAndNumberAndNeverLeadsElsewhere() {
    assertThat(
            new NamePattern("{number} {photo} · {look}")
                .of("Anna & Bo.JPG", "Milk linen", 7, Optional::empty))
        .isEqualTo("007 Anna & Bo · Milk linen");
    assertThat(NamePattern.START.of("../../etc/pass.wd", "a/b:c", 1, Optional::empty))
        .isEqualTo("-..-etc-pass.wd-a-b-c");
    assertThat(
            new NamePattern("{date} {photo}")
                .of("a.jpg", "", 1, () -> Optional.of(LocalDate.of(2026, 5, 9))))
        .isEqualTo("2026-05-09 a");
    assertThat(new NamePattern("{date}-{number}").of("a.jpg", "", 2, Optional::empty))
        .isEqualTo("undated-002");
    assertThat(NamePattern.START.of("...", "$1 {photo}", 1, Optional::empty))
        .isEqualTo("photo-$1 {photo}");
  }

  @Test
  void aPatternThatWouldGiveOneNameToAllOrAnUnfitOneIsRefused() {
    assertThatThrownBy(() -> new NamePattern("{look}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("{photo} or {number}");
    assertThatThrownBy(() -> new NamePattern("{photo}-{day}"))
        .hasMessageContaining("“{day}” is no part of a name");
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

  /** FAT and many network shares have no hard links; two writers must not take one name. */
  @Test
  void withoutLinksANameThatIsTakenStaysAsItIsToo(@TempDir Path folder) throws IOException {
    Path part = Files.writeString(folder.resolve("part"), "new");
    Path to = Files.writeString(folder.resolve("a.jpg"), "mine");
    assertThat(NewFile.isMoved(part, to)).isFalse();
    assertThat(Files.readString(to)).isEqualTo("mine");
    assertThat(NewFile.isMoved(part, folder.resolve("b.jpg"))).isTrue();
    assertThat(Files.readString(folder.resolve("b.jpg"))).isEqualTo("new");
    assertThat(part).doesNotExist();
  }

  /** 80 signs of a script take more than the 255 bytes of a name. */
  @Test
  void aNameThatIsTooLongForTheDiskIsCutAtACharacter(@TempDir Path folder) throws IOException {
    String long1 = "白い布".repeat(40) + "\ud83d\udc36".repeat(10);
    Path one = NewFile.write(folder, long1, ".jpg", part -> Files.writeString(part, "1"));
    Path two = NewFile.write(folder, long1, ".jpg", part -> Files.writeString(part, "2"));
    assertThat(two.getFileName().toString()).endsWith("-2.jpg");
    for (Path file : new Path[] {one, two}) {
      String name = file.getFileName().toString();
      assertThat(name.getBytes(java.nio.charset.StandardCharsets.UTF_8).length).isBetween(250, 255);
      assertThat(name).startsWith("白い布").doesNotContain("\ufffd");
    }
  }
}
