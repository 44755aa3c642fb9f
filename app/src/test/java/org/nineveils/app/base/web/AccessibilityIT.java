package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.nineveils.app.testing.Axe.faults;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;

/**
 * What opens on a page has no fault that axe-core calls serious or critical: contrast, names,
 * roles, focus (rules after WCAG 2.2, levels A and AA). Pages as they load are toured by {@link
 * PagesTourIT}.
 */
class AccessibilityIT {
  @Test
  void theFirstStart() {
    try (var observed = RunningApp.empty().page()) {
      observed.page().navigate("/kits");
      assertThat(faults(observed.page())).isEmpty();
    }
  }

  @Test
  void theBenchWithEverySideOfAnOpenVeilAndTheChooser() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      Workplace bench = new Workplace(page);
      page.navigate("/bench/22");
      bench.settle();
      page.locator(".veil .pick .name").first().click();
      for (String side : List.of("settings", "mask", "dials")) {
        page.locator("[data-side=" + side + "]").click();
        bench.settle();
        assertThat(faults(page)).as(side).isEmpty();
      }
      page.locator("[data-blend]").click(); // its list lies over the buttons for looking
      assertThat(faults(page)).as("blend modes").noneMatch(f -> !f.startsWith("target-size"));
      page.keyboard().press("Escape");
      page.keyboard().press("Escape");
      page.keyboard().press("h");
      page.locator(".kept").first().waitFor();
      assertThat(faults(page)).as("chooser").isEmpty();
    }
  }

  @Test
  void aDimRoomKeepsItsContrastAndIsRemembered() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      Workplace bench = new Workplace(page);
      page.navigate("/kits");
      page.locator("[data-room-light]").click();
      page.navigate("/bench/24");
      assertThat(page.locator("html").getAttribute("data-room")).isEqualTo("dim");
      bench.settle();
      page.locator(".veil .pick .name").nth(1).click();
      bench.settle();
      assertThat(faults(page)).as("bench").isEmpty();
      page.locator("[data-shows=readings]").click();
      assertThat(faults(page)).as("readings").isEmpty();
    }
  }

  @Test
  void theRoomIsAsDimAsTheSystemPrefers() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.emulateMedia(
          new Page.EmulateMediaOptions()
              .setColorScheme(com.microsoft.playwright.options.ColorScheme.DARK));
      page.navigate("/kits");
      assertThat(page.locator("html").getAttribute("data-room")).isEqualTo("dim");
      page.locator("[data-room-light]").click();
      page.reload();
      assertThat(page.locator("html").getAttribute("data-room")).isEqualTo("bright");
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"light", "curve", "colour", "ink", "tint", "crisp", "edge", "overlay"})
  void theEditorOfEveryKind(String kind) {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      Workplace bench = new Workplace(page);
      page.navigate("/bench/3");
      bench.settle();
      bench.hang(kind);
      assertThat(faults(page, ".open")).isEmpty();
      page.keyboard().press("Control+z");
      bench.settle();
    }
  }

  @Test
  void aFittingWithSomethingOnAndItsDialogs() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      Workplace room = new Workplace(page);
      RunningApp.demo().takeAllOff("kit:3");
      page.navigate("/fitting/of?wardrobe=kit:3&photo=11");
      room.settle();
      page.locator(".piece").first().click();
      page.locator(".veil").waitFor();
      page.locator("[data-pin]").click();
      page.locator("[data-pin-id]").waitFor();
      room.settle();
      assertThat(faults(page)).isEmpty();
      page.locator("[data-keep-open]").click();
      assertThat(faults(page)).as("keep").isEmpty();
      page.keyboard().press("Escape");
      page.getByText("Save the picture").click();
      page.locator("[data-batch-open]").click();
      assertThat(faults(page)).as("more photos").isEmpty();
    }
  }
}
