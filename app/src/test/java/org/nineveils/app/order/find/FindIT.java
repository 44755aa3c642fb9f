package org.nineveils.app.order.find;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

class FindIT {
  private final Http http = new Http(RunningApp.demo());

  private Fields found(String typed) {
    String q = URLEncoder.encode(typed, StandardCharsets.UTF_8);
    return Json.read(http.get("/api/find?q=" + q).body(), "What is found");
  }

  private List<String> names(String typed) {
    return found(typed).objects("kits", k -> k.objects("effects", e -> e.text("name"))).stream()
        .flatMap(List::stream)
        .toList();
  }

  @Test
  void whatIsTypedIsFoundByNameNoteVeilAndTagFromTheFirstLetters() {
    assertThat(names("evening amb")).containsExactly("Evening amber");
    assertThat(names("amber ZZZ")).isEmpty();
    assertThat(names("pores")).as("a word of notes").isNotEmpty();
    assertThat(names("\" OR name:*")).as("operators are words").isEmpty();
  }

  @Test
  void phrasesAskForFactsAndWordsNarrowThem() {
    assertThat(found("has soft").objects("kits", k -> k.objects("effects", e -> e.list("kinds"))))
        .allSatisfy(effects -> assertThat(effects).allMatch(kinds -> kinds.contains("soft")));
    assertThat(names("has soft in larch studio candle")).containsExactly("Candle glow");
    assertThat(names("older edition")).isEmpty();
    assertThat(names("favourite")).isNotEmpty().doesNotContain("Slate matte");
  }

  @Test
  void whatIsChangedIsFoundAtOnceAndWhatIsTakenBackNoLonger() {
    int kit =
        Integer.parseInt(
            Json.read(http.json("POST", "/api/kits", "{\"name\": \"Finding\"}").body(), "")
                .text("go")
                .replaceAll("\\D", ""));
    Fields rack = Json.read(http.get("/api/rack/" + kit).body(), "The rack");
    long section = rack.objects("sections", s -> s.whole("id")).get(0);
    http.json(
        "POST",
        "/api/rack/%d/plan".formatted(kit),
        "{\"section\": %d, \"names\": \"Xylem wash\"}".formatted(section));
    assertThat(names("xyl")).containsExactly("Xylem wash");
    assertThat(names("planned in finding")).containsExactly("Xylem wash");
    Fields now = Json.read(http.get("/api/rack/" + kit).body(), "The rack");
    long effect = now.objects("effects", e -> e.whole("id")).get(0);
    http.json(
        "POST",
        "/api/rack/%d/tag".formatted(kit),
        "{\"effects\": [%d], \"tag\": \"woodland\"}".formatted(effect));
    assertThat(names("woodl")).containsExactly("Xylem wash");
    assertThat(names("#woodland planned")).containsExactly("Xylem wash");
    http.json("POST", "/api/rack/%d/undo?redo=false".formatted(kit), "");
    http.json("POST", "/api/rack/%d/undo?redo=false".formatted(kit), "");
    assertThat(names("xyl")).isEmpty();
    http.json("DELETE", "/api/kits/" + kit, "");
  }

  @Test
  void theSearchIsUsedByKeysAndKept() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/kits/1");
      page.locator("[data-rack][data-ready]").waitFor();
      page.keyboard().press("j");
      page.keyboard().type("has soft");
      page.keyboard().press("Enter");
      page.waitForURL("**/find?q=has+soft");
      page.locator(".piece-hung").first().waitFor();
      int all = page.locator(".piece-hung").count();
      page.keyboard().type(" candle");
      page.waitForFunction("() => document.querySelectorAll('.piece-hung').length === 1");
      assertThat(page.locator("[data-count]").innerText()).isEqualTo("1 effect");
      page.locator("[data-phrases]").getByText("favourite").click();
      page.waitForFunction("() => document.querySelector('[name=q]').value.endsWith('favourite')");
      page.locator("[data-phrases]").getByText("favourite").click();
      page.waitForFunction("() => document.querySelector('[name=q]').value === 'has soft candle'");
      page.locator("[data-save]").click();
      page.locator("dialog[open] input[name=name]").fill("Candle ones");
      page.keyboard().press("Enter");
      page.locator("[data-saved] button:has-text('Candle ones')").waitFor();
      page.locator("[name=q]").fill("has soft");
      page.waitForFunction("n => document.querySelectorAll('.piece-hung').length === n", all);
      page.locator("[data-saved] button:has-text('Candle ones')").click();
      page.waitForFunction("() => document.querySelectorAll('.piece-hung').length === 1");
      page.locator("[name=q]").press("ArrowDown");
      page.locator(".rack-beside h2:text-is('Candle glow')").waitFor();
      page.keyboard().press("Enter");
      page.waitForURL("**/bench/*");
      assertThat(observed.faults()).isEmpty();
    }
  }
}
