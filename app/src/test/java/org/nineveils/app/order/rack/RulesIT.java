package org.nineveils.app.order.rack;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** Rules in plain words: the editor, its try-out, what a fitting does, and the health of a kit. */
class RulesIT {
  private final Http http = new Http(RunningApp.demo());
  private RunningApp.ObservedPage observed;
  private Page page;
  private long kit;

  @BeforeEach
  void open() {
    kit = http.eighteen();
    observed = RunningApp.demo().page();
    page = observed.page();
    page.navigate("/kits/" + kit);
    page.locator("[data-rack][data-ready]").waitFor();
  }

  @AfterEach
  void close() {
    assertThat(observed.faults()).isEmpty();
    observed.close();
    http.json("DELETE", "/api/kits/" + kit, "");
  }

  private Locator edit(String section) {
    Locator of = page.locator("[data-section]:has(h2:text-is('%s'))".formatted(section));
    of.scrollIntoViewIfNeeded();
    of.hover();
    of.getByText("Change …").click();
    return page.locator("dialog[open]");
  }

  private String steps() {
    page.waitForFunction(
        "() => new Promise(d => requestAnimationFrame(() => requestAnimationFrame(d)))");
    return page.locator(".try-steps").innerText();
  }

  @Test
  void theTryOutSaysWhatWouldBeOnBeforeARuleIsKeptAndAFittingDoesTheSame() {
    Locator dialog = edit("Looks");
    assertThat(dialog.innerText())
        .contains("Only one of its effects is worn, and it comes off where a black-and-white");
    dialog.locator("[aria-label='She wears']").selectOption("2.1 Clean larch");
    dialog.locator("[aria-label='then']").selectOption("3.1 Silver larch");
    page.waitForFunction(
        "() => /took off “Clean larch”/.test(document.querySelector('.try-steps').textContent)");
    assertThat(steps()).contains("On: Silver larch.");
    dialog.locator("input[value='stack-freely']").check();
    page.waitForFunction(
        "() => /On: Clean larch, Silver larch/.test(document.querySelector('.try-steps').textContent)");
    dialog.locator("[aria-label='How it goes with Black and white']").selectOption("asks");
    page.waitForFunction(
        "() => /It asks: “Silver larch” and “Clean larch”/.test(document.querySelector('.try-steps').textContent)");
    page.waitForResponse(
        r -> r.url().endsWith("/sections/change"), () -> dialog.getByText("Keep it").click());

    page.navigate("/fitting/of?wardrobe=kit:%d&photo=4".formatted(kit));
    Workplace room = new Workplace(page);
    room.settle();
    page.locator(".piece").getByText("Clean larch").click();
    room.settle();
    page.locator(".piece").getByText("Silver larch").click();
    page.getByText("Black and white and Looks are opposites in this kit").first().waitFor();
  }

  @Test
  void aSectionIsResetInAFittingToHowItWentOn() {
    page.navigate("/fitting/of?wardrobe=kit:%d&photo=4".formatted(kit));
    Workplace room = new Workplace(page);
    room.settle();
    page.locator(".piece").getByText("Evening amber").click();
    room.settle();
    String fitting = page.url().replaceAll(".*/fitting/(\\d+).*", "$1");
    double start = opacity(fitting);
    page.locator(".veil .hem").first().focus();
    page.keyboard().press("Home");
    room.settle();
    assertThat(opacity(fitting)).isNotEqualTo(start);
    page.locator("[aria-label='Wear everything of Looks']").click();
    page.waitForResponse(
        r -> r.url().endsWith("/reset-section"),
        () -> page.locator(".menu[open]").getByText("Reset what is worn of it").click());
    room.settle();
    assertThat(opacity(fitting)).isEqualTo(start);
  }

  private double opacity(String fitting) {
    return Json.read(http.get("/api/fittings/" + fitting).body(), "The fitting")
        .object("fitting")
        .objects("worn", w -> w.number("opacity", 1))
        .get(0);
  }

  @Test
  void theHealthNamesWhatIsMissingAndMendsItInOneStep() {
    Fields rack = Json.read(http.get("/api/rack/" + kit).body(), "The rack");
    long effect =
        rack.objects("effects", e -> e).stream()
            .filter(e -> e.text("name").equals("Clean larch"))
            .map(e -> e.whole("id"))
            .findFirst()
            .orElseThrow();
    http.json(
        "POST",
        "/api/rack/%d/note".formatted(kit),
        "{\"effect\": %d, \"note\": \"\"}".formatted(effect));
    page.reload();
    page.locator("[data-rack][data-ready]").waitFor();
    Locator note = page.locator("[data-health] li:has-text('without a note')");
    assertThat(note.locator("b").innerText()).isEqualTo("1");
    note.locator(".mend").click();
    page.locator("dialog[open] textarea").fill("Lower it where skin is pale.");
    page.waitForResponse(
        r -> r.url().endsWith("/note"),
        () -> page.locator("dialog[open]").getByText("Keep it").click());
    note.waitFor(
        new Locator.WaitForOptions()
            .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
    page.locator("[data-health] header button").click();
    page.waitForFunction(
        "() => /No two look alike|looks? alike|nobody can see/.test(document.querySelector('[data-health]').textContent)");
    assertThat(page.locator("[data-health]").innerText()).contains("called like an effect");
  }
}
