package org.nineveils.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.app.testing.Clipped;
import org.nineveils.app.testing.RunningApp;

/** On every main view all words can be read, at every usual size of a window. */
class WordsIT {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "/kits",
        "/kits/2",
        "/find?q=soft",
        "/bench/26",
        "/fitting/of?wardrobe=kit:2&photo=2",
        "/proofs/2",
        "/photos",
        "/photos/6",
        "/collections",
        "/collections/1",
        "/desk",
        "/jobs"
      })
  void nothingIsCutOffAtAnyUsualSize(String address) {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate(address);
      for (int[] size : Clipped.SIZES) {
        page.setViewportSize(size[0], size[1]);
        page.waitForFunction(
            "() => new Promise(d => requestAnimationFrame(() => requestAnimationFrame(() => d(true))))");
        assertThat(Clipped.on(page)).as("%s, %d wide", address, size[0]).isEmpty();
      }
      assertThat(observed.faults()).isEmpty();
    }
  }
}
