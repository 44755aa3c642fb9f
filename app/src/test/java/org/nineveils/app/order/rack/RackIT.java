package org.nineveils.app.order.rack;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.List;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;

/** The page of a kit with pointer and with keys; what is checked is the order that is stored. */
class RackIT {
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

  private Fields rack() {
    return Json.read(http.get("/api/rack/" + kit).body(), "The rack");
  }

  /** Names of effects as stored, by section. */
  private List<List<String>> stored() {
    return stored(rack());
  }

  private static List<List<String>> stored(Fields rack) {
    List<Fields> effects = rack.objects("effects", e -> e);
    return rack.objects("sections", s -> s.wholes("effects")).stream()
        .map(
            ids ->
                ids.stream()
                    .map(
                        id ->
                            effects.stream()
                                .filter(e -> e.whole("id") == id)
                                .map(e -> e.text("name"))
                                .findFirst()
                                .orElseThrow())
                    .toList())
        .toList();
  }

  private Fields effect(String name) {
    return rack().objects("effects", e -> e).stream()
        .filter(e -> e.text("name").equals(name))
        .findFirst()
        .orElseThrow();
  }

  private Locator piece(String name) {
    return page.locator(".piece-hung:has(b:text-is('%s'))".formatted(name));
  }

  private void said(String words) {
    page.getByText(words).first().waitFor();
  }

  /** Drags from the middle of one thing to a place on another. */
  private void drag(Locator from, Locator to, double across) {
    from.scrollIntoViewIfNeeded();
    BoundingBox a = from.boundingBox();
    BoundingBox b = to.boundingBox();
    page.mouse().move(a.x + a.width / 2, a.y + a.height / 3);
    page.mouse().down();
    page.mouse().move(b.x + b.width / 2, b.y + b.height / 3);
    page.mouse().move(b.x + b.width * across, b.y + b.height / 3);
    page.waitForFunction(
        "() => new Promise(d => requestAnimationFrame(() => requestAnimationFrame(d)))");
    page.mouse().up();
  }

  @Test
  void piecesAreDraggedAlongTheRailAndToAnotherSectionAndOneUndoTakesTheActBack() {
    List<List<String>> before = stored();
    assertThat(before.get(0)).containsExactly("Shade balance", "Two stops up", "Grass to rest");
    page.waitForResponse(
        r -> r.url().endsWith("/move"),
        () -> drag(piece("Shade balance"), piece("Grass to rest"), 0.9));
    assertThat(stored().get(0)).containsExactly("Two stops up", "Grass to rest", "Shade balance");
    page.waitForResponse(
        r -> r.url().endsWith("/move"),
        () -> drag(piece("Two stops up"), piece("Evening amber"), 0.1));
    assertThat(stored().get(1).subList(1, 4))
        .containsExactly("Slate matte", "Two stops up", "Evening amber");
    soon(() -> piece("Two stops up").getAttribute("aria-label").startsWith("2.3, Two stops up"));
    page.keyboard().press("Control+z");
    said("Taken back: move Two stops up.");
    page.keyboard().press("Control+z");
    said("Taken back: move Shade balance.");
    assertThat(stored()).isEqualTo(before);
  }

  @Test
  void severalThatWerePickedByADrawnBoxMoveToAnotherKitAtTheSide() {
    BoundingBox first = piece("Shade balance").boundingBox();
    BoundingBox last = piece("Two stops up").boundingBox();
    page.mouse().move(last.x + last.width + 5, last.y + last.height - 4);
    page.mouse().down();
    page.mouse().move(first.x + first.width / 2, first.y + first.height / 2);
    page.waitForFunction("() => document.querySelectorAll('.piece-hung.is-picked').length === 2");
    page.mouse().up();
    assertThat(page.locator("[data-picked-count]").innerText()).isEqualTo("2 picked");
    BoundingBox a = piece("Shade balance").boundingBox();
    page.mouse().move(a.x + 30, a.y + 40);
    page.mouse().down();
    Locator other =
        page.locator(".side-kit").filter(new Locator.FilterOptions().setHasText("Burr"));
    BoundingBox k = other.boundingBox();
    page.mouse().move(k.x + 40, k.y + 12);
    Locator section = other.locator("[data-drop-section]").last();
    section.waitFor();
    BoundingBox s = section.boundingBox();
    page.mouse().move(s.x + 20, s.y + 10);
    page.locator("[data-drop-section].is-over").waitFor();
    page.waitForResponse(r -> r.url().endsWith("/move"), () -> page.mouse().up());
    assertThat(stored().get(0)).containsExactly("Grass to rest");
    Fields theirs = Json.read(http.get("/api/rack/3").body(), "The rack");
    List<List<String>> there = stored(theirs);
    assertThat(there.get(there.size() - 1)).endsWith("Shade balance", "Two stops up");
    page.locator(".said button").click();
    said("Taken back: move 2 effects.");
    assertThat(stored().get(0)).containsExactly("Shade balance", "Two stops up", "Grass to rest");
  }

  @Test
  void keysPickUpCarryAndPutDownAndEveryStepIsTold() {
    piece("Slate matte").focus();
    page.keyboard().press("x");
    assertThat(told()).contains("Slate matte picked up at section 2, Looks, place 2 of 5");
    page.keyboard().press("ArrowRight");
    assertThat(told()).isEqualTo("section 2, Looks, place 3 of 5");
    page.keyboard().press("Escape");
    assertThat(told()).contains("they hang where they were");
    assertThat(stored().get(1)).startsWith("Clean larch", "Slate matte");
    page.keyboard().press("x");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("ArrowLeft");
    page.waitForResponse(r -> r.url().endsWith("/move"), () -> page.keyboard().press("Enter"));
    assertThat(stored().get(2)).containsExactly("Slate matte", "Silver larch", "Half colour");
    soon(() -> focused().startsWith("3.1, Slate matte"));
  }

  private String told() {
    return page.locator("[data-told]").textContent();
  }

  private String focused() {
    return String.valueOf(page.evaluate("() => document.activeElement.getAttribute('aria-label')"));
  }

  /** An answer is there before the page has drawn it. */
  private void soon(BooleanSupplier holds) {
    page.waitForCondition(holds);
  }

  @Test
  void arrowKeysLeadPickAndActsAreForWhatIsPicked() {
    piece("Clean larch").focus();
    page.keyboard().press("ArrowRight");
    assertThat(focused()).startsWith("2.2, Slate matte");
    page.keyboard().press("ArrowUp");
    assertThat(focused()).startsWith("1.2");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Shift+ArrowRight");
    assertThat(page.locator(".piece-hung.is-picked").count()).isEqualTo(2);
    page.waitForResponse(r -> r.url().endsWith("/favour"), () -> page.keyboard().press("i"));
    assertThat(effect("Slate matte").flag("favourite", false)).isTrue();
    assertThat(effect("Evening amber").flag("favourite", false)).isTrue();
    page.keyboard().press("h");
    page.locator("dialog[open] input[name=tag]").fill("evening light");
    page.waitForResponse(r -> r.url().endsWith("/tag"), () -> page.keyboard().press("Enter"));
    assertThat(effect("Slate matte").texts("tags")).containsExactly("evening light");
    piece("Slate matte").focus();
    page.waitForResponse(r -> r.url().endsWith("/remove"), () -> page.keyboard().press("Delete"));
    assertThat(stored().get(1)).doesNotContain("Slate matte", "Evening amber");
    page.keyboard().press("Control+z");
    said("Taken back: remove 2 effects.");
    assertThat(effect("Slate matte").texts("tags")).containsExactly("evening light");
  }

  @Test
  void aNameIsChangedWhereItHangsAndATakenOneIsRefusedThere() {
    piece("Clean larch").focus();
    page.keyboard().press("F2");
    page.locator(".is-name").fill("Slate matte");
    page.keyboard().press("Enter");
    page.waitForFunction("() => document.querySelector('.is-name')?.validationMessage !== ''");
    assertThat((String) page.locator(".is-name").evaluate("e => e.validationMessage"))
        .contains("“Slate matte”");
    observed.faults().removeIf(fault -> fault.contains("409"));
    page.locator(".is-name").fill("Clear larch");
    page.waitForResponse(r -> r.url().endsWith("/rename"), () -> page.keyboard().press("Enter"));
    assertThat(stored().get(1).get(0)).isEqualTo("Clear larch");
    soon(() -> focused().startsWith("2.1, Clear larch"));
  }

  @Test
  void plannedEffectsHangAsOutlinesUntilTheyAreBuilt() {
    Locator finish = page.locator("[data-section]").last();
    finish.scrollIntoViewIfNeeded();
    finish.hover();
    finish.getByText("Plan …").click();
    page.locator("dialog[open] textarea").fill("First frost\nRime\n");
    page.waitForResponse(
        r -> r.url().endsWith("/plan"),
        () -> page.locator("dialog[open]").getByText("Plan them").click());
    assertThat(stored().get(4)).endsWith("First frost", "Rime");
    assertThat(effect("Rime").text("state")).isEqualTo("planned");
    assertThat(piece("Rime").locator(".piece-picture").innerText()).isEqualTo("to be built");
    long ready =
        rack().objects("effects", e -> e.text("state")).stream().filter("ready"::equals).count();
    soon(() -> page.locator("[data-tally]").innerText().endsWith(ready + " of 20 ready"));
  }

  @Test
  void sectionsFoldAreDraggedAndNumbersFollow() {
    Locator looks = page.locator("[data-section]:has(h2:text-is('Looks'))");
    page.waitForResponse(
        r -> r.url().endsWith("/fold"), () -> looks.locator("[data-section-act=fold]").click());
    soon(() -> !looks.locator("[data-rail]").isVisible());
    Locator first = page.locator("[data-section]:has(h2:text-is('Groundwork')) h2");
    Locator third = page.locator("[data-section]:has(h2:text-is('Black and white')) h2");
    page.waitForResponse(r -> r.url().endsWith("/place"), () -> drag(third, first, 0.5));
    assertThat(rack().objects("sections", s -> s.whole("number") + " " + s.text("name")))
        .startsWith("1 Black and white", "2 Groundwork", "3 Looks");
    page.reload();
    page.locator("[data-rack][data-ready]").waitFor();
    assertThat(looks.locator("[data-rail]").isVisible()).isFalse();
    assertThat(piece("Shade balance").getAttribute("aria-label")).startsWith("2.1");
  }

  @Test
  void theKitIsShownOnPhotosOfItsOwnAndTheNextKeyTurnsToAnother() throws Exception {
    http.json("POST", "/api/rack/%d/shown".formatted(kit), "{\"photo\": 5, \"on\": true}");
    http.json("POST", "/api/rack/%d/cover".formatted(kit), "{\"photo\": 6}");
    page.reload();
    page.locator("[data-rack][data-ready]").waitFor();
    Locator picture = piece("Silver larch").locator("img");
    assertThat(picture.getAttribute("src")).contains("/on/6?");
    String one = picture.getAttribute("src");
    page.keyboard().press("n");
    page.keyboard().press("n");
    page.waitForFunction(
        "before => document.querySelector('.piece-hung img').getAttribute('src') !== before", one);
    assertThat(page.locator("[data-shown] button").count()).isGreaterThanOrEqualTo(3);
    Picture shown = PictureReader.read(http.bytes(one), "picture");
    double off = 0;
    for (int i = 0; i < shown.r().length; i++) {
      off = Math.max(off, Math.abs(shown.r()[i] - shown.g()[i]));
    }
    assertThat(off).as("a black-and-white has no colour").isLessThan(0.05);
    assertThat(http.json("POST", "/api/rack/999/cover", "{\"photo\": 6}").statusCode())
        .isEqualTo(404);
  }

  @Test
  void pointingAtAnEffectShowsItLargerWithNoteAndWhatIsInIt() {
    piece("Slate matte").hover();
    page.locator(".rack-beside h2:text-is('Slate matte')").waitFor();
    String beside = page.locator(".rack-beside").innerText();
    assertThat(beside).contains("veil", effect("Slate matte").text("note"), "Open at the bench");
    assertThat(page.locator(".beside-frame img").isVisible()).isTrue();
  }

  @Test
  void aSeriesIsSeenBeforeItIsMadeAndHangsBehindItsEffect() {
    piece("Two stops up").click();
    page.locator("[aria-label='Make a series of Two stops up']").click();
    Locator dialog = page.locator("dialog.series");
    dialog.locator("[name=from]").fill("0");
    dialog.locator("[name=to]").fill("1");
    dialog.locator("[name=step]").fill("1/3");
    dialog.locator("[name=pattern]").fill("Up {value}");
    page.waitForFunction(
        "() => [...document.querySelectorAll('.series-strip figcaption')].map(f => f.textContent)"
            + ".join() === 'Up 0,Up +⅓,Up +⅔,Up +1'");
    page.waitForFunction(
        "() => [...document.querySelectorAll('.series-strip img')]"
            + ".every(i => i.complete && i.naturalWidth > 0)");
    dialog.getByText("Make 4").click();
    said("4 effects were made from “Two stops up”.");
    assertThat(stored().get(0))
        .containsExactly(
            "Shade balance", "Two stops up", "Up 0", "Up +⅓", "Up +⅔", "Up +1", "Grass to rest");
    double third =
        Json.read(
                http.get("/api/effects/%d?photo=1".formatted(effect("Up +⅓").whole("id"))).body(),
                "The effect")
            .object("effect")
            .objects("veils", v -> v.object("settings").number("exposure", 9))
            .get(0);
    assertThat(third).isEqualTo(1 / 3.0, org.assertj.core.api.Assertions.within(1e-9));
    page.keyboard().press("Control+z");
    said("Taken back: a series of Two stops up.");
    assertThat(stored().get(0)).hasSize(3);
  }

  @Test
  void equalEffectsAreCountedAsProofsEach() {
    String sheet = "/api/proofs/" + kit;
    http.json("POST", "/api/rack/%d/copy".formatted(kit), copyOfFirst());
    int total = Json.read(http.get(sheet).body(), "The sheet").whole("total");
    http.json("POST", sheet + "/start", "");
    http.ended(Json.read(http.get(sheet).body(), "The sheet").object("job").whole("id"));
    assertThat(Json.read(http.get(sheet).body(), "The sheet").whole("done")).isEqualTo(total);
  }

  private String copyOfFirst() {
    Fields first = rack().objects("sections", s -> s).get(0);
    return Json.write(
        Json.object("effects", first.wholes("effects"), "section", first.whole("id")));
  }

  /**
   * Answers of two that were taken back quickly could arrive swapped, and the older one was shown.
   */
  @Test
  void stepsThatAreTakenBackQuicklyAreAnsweredInTheirOrder() {
    List<List<String>> start = stored();
    String first = start.get(0).get(0);
    String second = start.get(0).get(1);
    for (String name : List.of(first, second)) {
      piece(name).click();
      page.keyboard().press("Delete");
      piece(name).waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
    }
    List<Route> held = new java.util.ArrayList<>();
    java.util.concurrent.atomic.AtomicInteger asked =
        new java.util.concurrent.atomic.AtomicInteger();
    page.route(
        "**/api/rack/*/undo*",
        route -> {
          if (asked.getAndIncrement() == 0) {
            held.add(route); // the first one is slow
          } else {
            route.resume();
          }
        });
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    page.waitForCondition(() -> !held.isEmpty());
    assertThat(asked.get()).as("the second waits for the first").isEqualTo(1);
    held.get(0).resume();
    page.waitForCondition(() -> stored().equals(start));
    piece(first).waitFor();
    piece(second).waitFor();
    assertThat(page.locator(".piece-hung").count())
        .isEqualTo(start.stream().mapToInt(List::size).sum());
  }
}
