package org.nineveils.app.photo.photos;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

class WallIT {
  private static final Http HTTP = new Http(RunningApp.demo());

  private static List<String> shown(Page page) {
    return page.locator("figure[data-photo] input").all().stream()
        .map(i -> i.inputValue())
        .toList();
  }

  /** The fields came after the script that listened to them: a new name was shown and lost. */
  @Test
  void aPhotoIsCalledOtherwiseWhereItHangs() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/photos");
      var name = page.locator("figure[data-photo='2'] [data-rename]");
      String before = name.inputValue();
      for (String called : List.of("Called otherwise", before)) {
        page.waitForResponse(
            r -> r.url().endsWith("/api/photos/2") && r.status() == 200,
            () -> {
              name.fill(called);
              name.press("Tab");
            });
        page.reload();
        assertThat(name.inputValue()).isEqualTo(called);
      }
      assertThat(observed.faults()).isEmpty();
    }
  }

  @Test
  void photosAreFoundOrderedGroupedAndTaggedSeveralAtATime() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/photos");
      page.waitForFunction(
          "() => document.querySelector('[data-holds-going]').textContent === ''"
              + " && document.querySelectorAll('[data-holds] td.is-gap').length > 10");
      page.locator("[data-find]").fill("FUR pet");
      assertThat(shown(page)).containsExactly("Black dog", "White dog, stained", "Ginger cat");
      page.locator("[data-find]").fill("");
      page.locator("[data-wall-order]").selectOption("light");
      assertThat(shown(page)).first().isEqualTo("Open shade, too dark");
      page.locator("[data-wall-group]").selectOption("subject");
      assertThat(page.locator(".wall-group h2").allInnerTexts()).contains("fur, 3", "dark skin, 2");
      page.locator("[data-wall-group]").selectOption("");
      page.locator("[data-wall-order]").selectOption("added");

      page.locator("figure[data-photo='1'] .wall-pick").click();
      page.locator("figure[data-photo='3'] .wall-pick")
          .click(
              new com.microsoft.playwright.Locator.ClickOptions()
                  .setModifiers(List.of(com.microsoft.playwright.options.KeyboardModifier.SHIFT)));
      assertThat(page.locator("[data-wall-picked-count]").innerText()).isEqualTo("3 picked");
      page.locator("[data-wall-own] input").fill("Willow set");
      page.keyboard().press("Enter");
      page.waitForFunction(
          "() => [...document.querySelectorAll('.wall-facts')].filter(p => p.textContent.includes('Willow set')).length === 3");
      page.locator("[data-wall-tag]").selectOption("Willow set");
      assertThat(shown(page)).hasSize(3);
      page.locator("[data-undo-button]").click();
      page.waitForFunction(
          "() => ![...document.querySelectorAll('.wall-facts')].some(p => p.textContent.includes('Willow set'))");
      assertThat(observed.faults()).isEmpty();
    }
  }

  /** A photo in back light that is tagged so is counted, and no longer missed. */
  @Test
  void whatTheWallLacksIsCountedByDepthOfSkinAndLight() {
    Fields before = wall();
    int row = before.texts("lights").indexOf("window light");
    int column = before.texts("subjects").indexOf("dark skin");
    assertThat(count(before, row, column)).isZero();
    HTTP.json(
        "PUT", "/api/photos/wall/tags", "{\"photos\":[6],\"tag\":\"window light\",\"on\":true}");
    try {
      assertThat(count(wall(), row, column)).isEqualTo(1);
      assertThat(wall().texts("missed")).hasSize(3);
    } finally {
      HTTP.json("POST", "/api/photos/wall/undo?redo=false", "");
    }
    assertThat(count(wall(), row, column)).isZero();
  }

  private static Fields wall() {
    for (int n = 0; n < 60; n++) {
      Fields now = Json.read(HTTP.get("/api/wall").body(), "The wall");
      if (now.flag("whole", false)) {
        return now;
      }
    }
    throw new AssertionError("the wall is never known");
  }

  private static int count(Fields wall, int row, int column) {
    return ((Number) ((List<?>) wall.list("counts").get(row)).get(column)).intValue();
  }

  @Test
  void aTagThatIsNoneOrOneTooManyIsRefusedAndChangesNothing() {
    String request = "{\"photos\":[1],\"tag\":\"%s\"}";
    var empty = HTTP.json("PUT", "/api/photos/wall/tags", request.formatted(" "));
    assertThat(empty.statusCode()).isEqualTo(422);
    assertThat(empty.body()).contains("A tag needs a name.");
    for (int n = 0; n < 20; n++) {
      HTTP.json("PUT", "/api/photos/wall/tags", request.formatted("tag " + n));
    }
    var full = HTTP.json("PUT", "/api/photos/wall/tags", request.formatted("one more"));
    assertThat(full.statusCode()).isEqualTo(422);
    assertThat(full.body()).contains("has 16 tags, and a photo has no more");
    for (int n = 0; n < 13; n++) {
      HTTP.json("POST", "/api/photos/wall/undo?redo=false", "");
    }
    String page = HTTP.get("/photos").body();
    assertThat(page).doesNotContain("tag 0").contains("blotchy skin");
  }
}
