package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** A plain fitting for each test, of a kit on a photo of the demo's wall. */
abstract class FittingTrial {
  private final RunningApp app = RunningApp.demo();
  final Http http = new Http(app);
  private RunningApp.ObservedPage observed;
  Page page;
  Workplace room;

  /** Number of the kit. */
  abstract int kit();

  /** Number of the photo; the photos after it wear nothing of the kit either. */
  abstract int photo();

  @BeforeEach
  void openAPlainFitting() {
    observed = app.page();
    page = observed.page();
    room = new Workplace(page);
    app.takeAllOff("kit:" + kit());
    page.navigate("/fitting/of?wardrobe=kit:%d&photo=%d".formatted(kit(), photo()));
    room.settle();
  }

  @AfterEach
  void nothingWentWrongOnThePage() {
    assertThat(observed.faults()).isEmpty();
    observed.close();
  }

  /** Forgets what the console says of an answer that the test asked for. */
  final void clearRefusals() {
    observed.faults().removeIf(f -> f.contains("422"));
  }

  final Locator piece(String name) {
    return page.locator(".piece", new Page.LocatorOptions().setHasText(name));
  }

  /** Clicks an effect and takes the pointer away from it. */
  final void click(String name) {
    piece(name).click();
    page.mouse().move(600, 300);
  }

  final void wear(String name) {
    click(name);
    room.veil(name).waitFor();
    room.settle();
  }

  /** Id of what the page shows. */
  final String id() {
    return page.url().replaceAll(".*/", "");
  }

  /** What is stored. */
  final List<Fields> worn() {
    return Json.read(http.get("/api/fittings/" + id()).body(), "")
        .object("fitting")
        .objects("worn", f -> f);
  }

  /** How many strokes are stored on what the photo wears. */
  final int strokes() {
    Fields painted = Json.read(http.get("/api/fittings/" + id()).body(), "").object("painted");
    int strokes = 0;
    for (String effect : painted.names()) {
      for (String veil : painted.object(effect).names()) {
        strokes += painted.object(effect).whole(veil);
      }
    }
    return strokes;
  }

  final List<String> onTheRail() {
    return page.locator(".veil .name").allInnerTexts().stream()
        .map(t -> t.replaceAll("^\\d+\\W+", ""))
        .toList();
  }
}
