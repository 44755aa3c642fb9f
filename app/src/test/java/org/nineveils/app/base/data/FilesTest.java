package org.nineveils.app.base.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FilesTest {
  @TempDir Path folder;

  @Test
  void theSameContentIsKeptOnceUnderItsSum() throws Exception {
    Blobs blobs = new Blobs(folder);
    String sha = blobs.put(new byte[] {'a', 'b', 'c'});
    // FIPS 180-4, example of SHA-256.
    assertThat(sha).isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
    assertThat(blobs.put(new byte[] {'a', 'b', 'c'})).isEqualTo(sha);
    assertThat(blobs.get(sha)).containsExactly('a', 'b', 'c');
    try (Stream<Path> files = Files.walk(folder)) {
      assertThat(files.filter(Files::isRegularFile)).hasSize(1);
    }
  }

  @Test
  void namesThatAreNoSumsAreRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Blobs(folder).get("../../etc/passwd"));
    assertThatIllegalArgumentException().isThrownBy(() -> new PictureCache(folder).find("../x"));
  }

  @Test
  void aSmallPictureIsMadeOnce() {
    PictureCache cache = new PictureCache(folder);
    String key = "0".repeat(64);
    AtomicInteger made = new AtomicInteger();
    for (int i = 0; i < 3; i++) {
      byte[] picture =
          cache.get(
              key,
              () -> {
                made.incrementAndGet();
                return new byte[] {7};
              });
      assertThat(picture).containsExactly(7);
    }
    assertThat(made.get()).isEqualTo(1);
    assertThat(cache.has(key)).isTrue();
    assertThat(cache.has("1".repeat(64))).isFalse();
  }
}
