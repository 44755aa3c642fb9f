package org.nineveils.app.base.undo;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** What stands in the way of undo is said and offered; nothing that she made is lost on the way. */
class UndoIT {
  private static final String STROKE =
      """
      {"photo": %s, "veil": "a", "stroke": {"points": [0.3, 0.3, 0.5, 0.4], "size": 0.1, "softness": 0.5,
       "strength": 1, "flow": 1, "reveal": true}}""";

  private static int made;

  private final RunningApp app = RunningApp.empty();
  private final Http http = new Http(app);
  private RunningApp.ObservedPage observed;
  private Page page;
  private String kit;
  private String section;
  private String effect;
  private String photo;
  private String photoName;

  @BeforeEach
  void aKitWithAnEffectPaintedOnAPhoto() throws IOException {
    made++;
    kit = id(http.json("POST", "/api/kits", "{\"name\": \"Undo %d\"}".formatted(made)).body());
    Fields rack = Json.read(http.get("/api/rack/" + kit).body(), "The rack");
    section = String.valueOf(rack.objects("sections", s -> s.whole("id")).get(0));
    effect =
        id(
            http.json("POST", "/api/sections/" + section + "/effects", "{\"name\": \"Dove\"}")
                .body());
    photoName = "Dog %d".formatted(made);
    byte[] dog = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
    photo =
        String.valueOf(
            Json.read(http.upload("/api/photos/wall", photoName + ".jpg", dog).body(), "")
                .whole("id"));
    save("hang Even");
    http.json("POST", "/api/effects/" + effect + "/paint", STROKE.formatted(photo));
    observed = app.page();
    this.page = observed.page();
  }

  @AfterEach
  void close() {
    assertThat(observed.faults()).allMatch(f -> f.contains("409"));
    observed.close();
    http.json("DELETE", "/api/photos/" + photo, "");
  }

  private static String id(String answer) {
    return Json.read(answer, "").text("go").replaceAll("\\D", "");
  }

  private void save(String label) {
    int rev =
        Json.read(http.get("/api/effects/%s?photo=1".formatted(effect)).body(), "").whole("rev");
    String body =
        """
        {"rev": %d, "label": "%s", "effect": {"edition": 1, "veils": [
          {"id": "a", "name": "Even", "kind": "light", "blend": "normal", "opacity": 1,
           "mask": {"cover": "brush-on"}, "settings": {"exposure": 1}}]}}""";
    assertThat(http.json("PUT", "/api/effects/" + effect, body.formatted(rev, label)).statusCode())
        .isEqualTo(200);
  }

  private Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** The chain by which one undo stopped all saving until a restart. */
  @Test
  void anEffectWhosePhotoIsGoneComesBackWithItsPhotoAndSavingGoesOn() {
    http.json("DELETE", "/api/effects/" + effect, "");
    http.json("DELETE", "/api/photos/" + photo, "");
    page.navigate("/kits/" + kit);
    page.locator("[data-undo-button]").click();
    Locator asks = page.locator("dialog[data-asks]");
    assertThat(asks.innerText())
        .contains("“remove Dove” cannot be taken back", "the photo “" + photoName + "”");
    assertThat(
            http.json("POST", "/api/kits", "{\"name\": \"Still saving %d\"}".formatted(made))
                .statusCode())
        .isEqualTo(200);
    asks.getByText("Bring the photo “" + photoName + "” back first").click();
    page.getByText("Taken back: remove Dove.").waitFor();
    assertThat(page.locator(".piece-name b").first().innerText()).isEqualTo("Dove");
    assertThat(http.get("/api/effects/%s?photo=%s".formatted(effect, photo)).body())
        .contains("\"painted\":{\"a\":1}");
  }

  @Test
  void takingBackACreationAsksAndWhatWasInItIsSetAsideUntilItIsLetGo() {
    page.navigate("/kits/" + kit);
    page.keyboard().press("Control+z");
    Locator asks = page.locator("dialog[data-asks]");
    assertThat(asks.innerText()).contains("“add Dove”", "2 changes", "it can be brought back");
    asks.getByText("Leave it").click();
    assertThat(page.locator(".piece-name b").count()).isEqualTo(1);
    page.locator("[data-undo-button]").click();
    asks.getByText("Take it back").click();
    page.getByText("Taken back: add Dove.").waitFor();

    http.json("POST", "/api/sections/" + section + "/effects", "{\"name\": \"Wren\"}");
    page.reload();
    button("Redo").isDisabled();
    page.getByText("Set aside").click();
    assertThat(page.locator(".aside-list").innerText()).contains("add Dove, 2 changes");
    button("Bring back: add Dove").click();
    page.getByText("Done again: add Dove.").waitFor();
    assertThat(page.locator(".piece-name b").allInnerTexts()).containsExactly("Dove", "Wren");
    assertThat(http.get("/api/effects/%s?photo=%s".formatted(effect, photo)).body())
        .contains("\"painted\":{\"a\":1}", "\"name\":\"Even\"");
  }

  /** The Undo of a message is for what it names, whatever was done meanwhile. */
  @Test
  void theUndoOfAMessageTakesBackTheActThatItNames() {
    page.navigate("/kits/" + kit);
    page.locator("[data-effect='" + effect + "']").click();
    page.keyboard().press("Delete");
    page.getByText("“Dove” was removed.").waitFor();
    http.json("POST", "/api/sections/" + section + "/effects", "{\"name\": \"Later\"}");
    page.locator(".said button").click();
    page.getByText("Taken back: remove Dove.").waitFor();
    assertThat(page.locator(".piece-name b").allInnerTexts()).contains("Dove", "Later");
  }

  @Test
  void filingAnEffectMakesNoSaveOfItsVeilsStale() {
    page.navigate("/bench/" + effect + "?photo=" + photo);
    new Workplace(page).settle();
    http.json(
        "PUT",
        "/api/effects/%s/filing".formatted(effect),
        "{\"name\": \"Renamed %d\"}".formatted(made));
    page.locator("[data-note]").fill("A note.");
    page.locator("[data-note]").press("Tab");
    new Workplace(page).settle();
    assertThat(page.locator(".said.is-fault").count()).isZero();
    assertThat(http.get("/api/effects/%s?photo=%s".formatted(effect, photo)).body())
        .contains("A note.");
  }

  /** Arrow keys repeat while they are held: that is one move of the hand. */
  @Test
  void aHeldKeyIsOneStepOfUndo() {
    page.navigate("/bench/" + effect + "?photo=" + photo);
    Workplace bench = new Workplace(page);
    bench.settle();
    page.keyboard().press("1");
    bench.settle();
    Locator slider = page.locator(".open .setting[data-key=contrast] input[type=range]");
    slider.focus();
    for (int i = 0; i < 8; i++) {
      page.keyboard().down("ArrowRight"); // from the second on, it repeats
    }
    page.keyboard().up("ArrowRight");
    bench.settle();
    assertThat(contrast()).isPositive();
    page.locator("[data-undo-button]").click();
    bench.settle();
    assertThat(contrast()).isZero();
  }

  private double contrast() {
    return Json.read(http.get("/api/effects/%s?photo=%s".formatted(effect, photo)).body(), "")
        .object("effect")
        .objects("veils", v -> v.object("settings").number("contrast"))
        .get(0);
  }
}
