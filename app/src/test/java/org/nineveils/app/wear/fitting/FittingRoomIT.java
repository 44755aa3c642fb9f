package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;

/** The portrait kit worn by a photo: rules of sections, dials, pins, keeping, more photos. */
class FittingRoomIT extends FittingTrial {

  @Override
  int kit() {
    return 2;
  }

  @Override
  int photo() {
    return 3;
  }

  @Test
  void aBlackAndWhiteLiftsTheColourLookAndSaysSo() {
    wear("Evening amber");
    wear("Silver larch");
    assertThat(onTheRail()).containsExactly("Silver larch");
    assertThat(page.locator(".said").innerText())
        .contains("“Silver larch” took off “Evening amber”");
    List<Integer> grey = room.colour(0.5, 0.4);
    assertThat(grey.get(0)).isEqualTo(grey.get(1)).isEqualTo(grey.get(2));
    page.locator(".said button").click();
    room.veil("Evening amber").waitFor();
    assertThat(onTheRail()).containsExactly("Evening amber");
  }

  @Test
  void oppositesAskAndNothingHappensUntilAnswered() {
    wear("Crisp for screen");
    click("Candle glow");
    Locator dialog = page.locator("[data-opposites]");
    dialog.waitFor();
    assertThat(dialog.innerText()).contains("makes the picture soft", "makes the picture crisp");
    dialog.getByText("Cancel").click();
    room.settle();
    assertThat(onTheRail()).containsExactly("Crisp for screen");
    click("Candle glow");
    dialog.getByText("Wear both").click();
    room.veil("Candle glow").waitFor();
    assertThat(onTheRail()).containsExactly("Candle glow", "Crisp for screen");
  }

  @Test
  void aDialOfTheMakerIsOnTheCardAndStaysInItsRange() {
    wear("Candle glow");
    Object soft = room.picture();
    Locator dial = page.locator("[data-card-opacity] .setting[data-key=glow] input[type=number]");
    dial.fill("500");
    dial.press("Enter");
    room.settle();
    assertThat(worn().get(0).object("veils").raw().toString()).contains("glow=80");
    assertThat(room.picture()).isNotEqualTo(soft);
    page.reload();
    room.settle();
    assertThat(dial.inputValue()).isEqualTo("80");
  }

  @Test
  void aWholeSectionGoesOnLiftedAndOneIsLetDown() {
    List<Integer> plain = room.colour(0.5, 0.4);
    section("Looks").locator("summary").click();
    section("Looks").getByText("Wear everything, lifted").click();
    page.getByText("14 effects went on, lifted").waitFor();
    page.mouse().move(600, 300);
    room.settle();
    assertThat(room.colour(0.5, 0.4)).isEqualTo(plain);
    room.pick("Slate matte");
    page.keyboard().press("v");
    room.settle();
    assertThat(room.colour(0.5, 0.4)).isNotEqualTo(plain);
  }

  @Test
  void aWornEffectOpensIntoItsVeilsAndEachHasAHemOfItsOwn() {
    wear("Low sun"); // on any photo, with skin or without
    Object both = room.picture();
    room.pick("Low sun");
    assertThat(page.locator(".is-bundle .veil").count()).isEqualTo(2);
    page.locator(".is-bundle .hem").first().focus();
    page.keyboard().press("Home");
    room.settle();
    assertThat(room.picture()).isNotEqualTo(both);
    String veil = page.locator(".is-bundle .veil").first().getAttribute("data-veil");
    assertThat(worn().get(0).object("veils").object(veil).number("opacity")).isZero();
    page.locator(".veil.is-open > .pick .name").click();
    assertThat(page.locator(".is-bundle").count()).isZero();
  }

  @Test
  void aWholeSectionGoesOnByBrushAndShowsOnlyWhereItIsPainted() {
    List<Integer> plain = room.colour(0.5, 0.4);
    List<Integer> elsewhere = room.colour(0.42, 0.8);
    section("Black and white").locator("summary").click();
    section("Black and white").getByText("Wear everything, by brush").click();
    page.getByText("hidden: pick one and brush it on").waitFor();
    page.mouse().move(600, 300);
    room.settle();
    assertThat(room.colour(0.5, 0.4)).isEqualTo(plain);
    room.pick("Silver larch");
    room.paint(0.46, 0.4, 0.54, 0.4);
    List<Integer> painted = room.colour(0.5, 0.4);
    assertThat(painted).isNotEqualTo(plain);
    assertThat(room.colour(0.42, 0.8)).isEqualTo(elsewhere);
  }

  private Locator section(String name) {
    Locator heading = page.locator("h2 b", new Page.LocatorOptions().setHasText(name));
    return page.locator("[data-offers]", new Page.LocatorOptions().setHas(heading));
  }

  @Test
  void pinsRememberAreComparedAndGoneBackTo() {
    wear("Clean larch");
    List<Integer> clean = room.colour(0.5, 0.4);
    page.keyboard().press("k");
    page.locator("[data-pin-id]").waitFor();
    wear("Silver larch");
    page.locator("[data-pin]").click();
    page.locator("[data-pin-id]").nth(1).waitFor();
    page.locator("[data-look=pins]").click();
    page.waitForFunction(
        """
        () => {
          const all = [...document.querySelectorAll(".panes-pins [data-picture]")];
          const at = c => c.getContext("2d").getImageData(c.width / 2, c.height * 0.4, 1, 1).data;
          return all.length === 3 && all.every(c => at(c)[3] === 255)
            && at(all[1]).join() !== at(all[2]).join() && at(all[0]).join() === at(all[2]).join();
        }""");
    int zoom = Integer.parseInt(page.locator("[data-zoom]").innerText().replaceAll("\\D", ""));
    assertThat(zoom).as("how large the pins are, not the hidden picture").isBetween(5, 60);
    page.reload();
    page.waitForFunction(
        """
        () => {
          const all = [...document.querySelectorAll(".panes-pins [data-picture]")];
          return all.length === 3 && all.every(c => c.width > 0
            && c.getContext("2d").getImageData(c.width / 2, c.height * 0.4, 1, 1).data[3] === 255);
        }""");
    page.locator(".panes-pins button.tag").first().click();
    room.veil("Clean larch").waitFor();
    page.locator("[data-look=pins]").click();
    room.settle();
    assertThat(room.colour(0.5, 0.4)).isEqualTo(clean);
    page.locator("[data-pin-id] .away").first().click();
    page.waitForFunction("() => document.querySelectorAll('[data-pin-id]').length === 1");
    page.reload();
    room.settle();
    assertThat(page.locator("[data-pin-id]").count()).isEqualTo(1);
  }

  @Test
  void whatIsWornIsKeptAsAnEffectWithoutItsPaint() {
    wear("Clean larch");
    wear("Lip tint");
    room.paint(0.48, 0.5, 0.52, 0.5);
    page.locator("[data-keep-open]").click();
    assertThat(page.locator("[data-parts]").innerText()).contains("paint left out");
    page.locator("[data-parts] fieldset").first().locator("[data-veil]").last().uncheck();
    page.locator("[data-keep] input[name=name]").fill("Larch with lips");
    page.locator("[data-keep] button.primary").click();
    page.locator(".said").waitFor();
    assertThat(page.locator(".said").innerText())
        .contains("“Larch with lips” is in section 1", "“Rose” is brush-on");
    assertThat(piece("Larch with lips").count()).as("offered at once").isEqualTo(1);
    page.locator(".said button").click();
    page.waitForURL("**/bench/*");
    room.settle();
    String effect = id();
    List<Fields> veils = veilsOf(effect);
    assertThat(veils).hasSize(2);
    assertThat(veils.get(1).object("mask").text("cover")).isEqualTo("brush-on");
    http.json("DELETE", "/api/effects/" + effect, "");
  }

  private List<Fields> veilsOf(String effect) {
    return Json.read(http.get("/api/effects/" + effect + "?photo=1").body(), "")
        .object("effect")
        .objects("veils", v -> v);
  }

  @Test
  void whatIsWornIsAppliedToMorePhotosAndComesBackAsFiles() throws IOException {
    wear("Silver larch");
    page.getByText("Save the picture").click();
    page.locator("[data-batch-open]").click();
    page.locator("[data-batch-photo]").nth(0).check();
    page.locator("[data-batch-photo]").nth(1).check();
    page.locator("[data-batch] input[aria-label=Files]")
        .setInputFiles(java.nio.file.Path.of("../demo/photos/pet-ginger-cat.jpg"));
    assertThat(page.locator("[data-batch-start]").innerText()).isEqualTo("Apply to 3 photos");
    page.locator("[data-batch-start]").click();
    page.getByText("3 photos are ready.").waitFor();
    List<String> names = new ArrayList<>();
    try (ZipInputStream zip =
        new ZipInputStream(new ByteArrayInputStream(room.download("[data-batch-results]")))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        names.add(e.getName());
        Picture p = PictureReader.read(zip.readAllBytes(), e.getName());
        int middle = p.height() / 2 * p.width() + p.width() / 2;
        assertThat(p.r()[middle])
            .isCloseTo(p.b()[middle], org.assertj.core.api.Assertions.within(0.02f));
      }
    }
    assertThat(names).hasSize(3).contains("pet-ginger-cat-Silver larch.jpg");
  }

  @Test
  void effectsAreFoundByNameAndByFavourite() {
    page.keyboard().press("/");
    page.keyboard().type("larch");
    assertThat(page.locator(".offer:visible .piece span").allInnerTexts())
        .containsExactly("Clean larch", "Silver larch");
    page.locator("[data-only-favourites]").click();
    assertThat(page.locator(".offer:visible .piece span").allInnerTexts())
        .containsExactly("Silver larch");
    page.locator("[data-find]").fill("zzz");
    page.getByText("No effect is called that.").waitFor();
    page.locator("[data-find]").fill("");
    page.locator("[data-only-favourites]").click();
    Locator star =
        page.locator(".offer", new Page.LocatorOptions().setHasText("Slate matte"))
            .locator(".star");
    star.click();
    page.waitForResponse(r -> r.url().contains("/favourite"), star::click);
    assertThat(star.getAttribute("aria-pressed")).isEqualTo("false");
  }

  @Test
  void aSpotOfTheFittingIsTracedThroughAllEffects() {
    wear("Calm skin");
    wear("Silver larch");
    page.locator("[data-trace-pick]").click();
    var pane = page.locator(".pane-finished").boundingBox();
    page.mouse().move(pane.x + pane.width * 0.48, pane.y + pane.height * 0.35);
    page.mouse().down();
    page.mouse().move(pane.x + pane.width * 0.55, pane.y + pane.height * 0.42);
    page.mouse().up();
    page.locator(".trace-row").nth(4).waitFor();
    page.locator("[data-trace-respects] button").last().click();
    String chroma = page.locator(".trace-row em").last().innerText();
    assertThat(Math.abs(Double.parseDouble(chroma.replace('−', '-')))).isLessThan(1);
    assertThat(page.locator(".trace-said").innerText()).contains("took most colour out");
  }
}
