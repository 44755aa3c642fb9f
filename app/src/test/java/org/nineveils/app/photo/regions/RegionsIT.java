package org.nineveils.app.photo.regions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;

/** What a photo of the wall holds: painted, found by rule, read and written as pictures. */
class RegionsIT {
  private static final int PHOTO = 6;

  private final RunningApp app = RunningApp.demo();
  private final Http http = new Http(app);
  private RunningApp.ObservedPage observed;
  private Page page;
  private Workplace place;

  @BeforeEach
  void open() {
    observed = app.page();
    page = observed.page();
    place = new Workplace(page);
    page.navigate("/photos/" + PHOTO);
    place.settle();
  }

  @AfterEach
  void nothingWentWrongAndThePhotoHoldsWhatItHeld() {
    while (stored().object("undo").flag("canUndo", false)) {
      http.json("POST", "/api/photos/" + PHOTO + "/regions/undo?redo=false", "");
    }
    assertThat(observed.faults()).isEmpty();
    observed.close();
  }

  private Fields stored() {
    return Json.read(http.get("/api/photos/" + PHOTO + "/regions").body(), "");
  }

  private List<String> names() {
    return stored().object("held").objects("regions", r -> r.text("name"));
  }

  private double share(String name) {
    Fields now = stored();
    String id =
        now.object("held").objects("regions", r -> r).stream()
            .filter(r -> r.text("name").equals(name))
            .findFirst()
            .orElseThrow()
            .text("id");
    return now.object("shares").number(id);
  }

  private Locator row(String name) {
    return page.locator(
        ".region-list button",
        new Page.LocatorOptions()
            .setHas(page.locator("b", new Page.LocatorOptions().setHasText(name))));
  }

  private void choose(String name) {
    row(name).click();
    place.settle();
  }

  private void add(String name) {
    page.locator("[data-region-own] input").fill(name);
    page.keyboard().press("Enter");
    row(name).waitFor();
    place.settle();
  }

  /** The demo's photos come with regions: the masks that belong to the test photos. */
  @Test
  void theDemosPhotosHoldRegionsAndOneIsMendedWithTheBrush() {
    assertThat(names()).contains("skin", "hair", "eyes", "lips");
    assertThat(row("skin").innerText()).contains("a picture", "%");
    assertThat(page.locator("[data-region-facts]").innerText()).contains("dark (ITA −57°)");
    choose("lips");
    double before = share("lips");
    place.paint(0.3, 0.8, 0.4, 0.8);
    double after = share("lips");
    assertThat(after).isGreaterThan(before + 0.005);
    assertThat(row("lips").innerText()).contains("%.1f %%".formatted(after * 100));
    page.keyboard().press("r");
    place.paint(0.3, 0.8, 0.4, 0.8);
    assertThat(share("lips")).isLessThan(after - 0.001);
    page.keyboard().press("Control+z");
    page.getByText("Taken back: take off lips").waitFor();
    place.settle();
    assertThat(share("lips")).isCloseTo(after, within(1e-9));
  }

  @Test
  void aRegionIsFoundByRuleAndMended() {
    add("found skin");
    assertThat(row("found skin").innerText()).contains("empty");
    page.locator("[data-found=by-rule]").click();
    place.settle();
    page.locator(".rule-adder").getByText("Skin").first().click();
    place.settle();
    page.locator(".rule-box").first().getByText("Drop").click();
    place.settle();
    assertThat(share("found skin")).isCloseTo(share("skin"), within(0.04));
    assertThat(row("found skin").innerText()).contains("by rule");
    place.paint(0.1, 0.1, 0.15, 0.1);
    assertThat(row("found skin").innerText()).contains("by rule, mended");
  }

  @Test
  void whatIsLeftAndTheOthersAreThePhoto() {
    choose("background");
    page.locator("[data-found=left]").click();
    place.settle();
    assertThat(row("background").innerText()).contains("what is left");
    assertThat(page.locator("[data-brush]").isVisible()).as("nothing to paint").isFalse();
    double sum = 0;
    for (String name : names()) {
      sum += share(name);
    }
    assertThat(sum).isCloseTo(1, within(0.03)); // eyes lie within skin in no mask, edges overlap
  }

  @Test
  void aRegionIsReadFromAGreyPictureAndWrittenAsOne() {
    Picture grey = Picture.blank(300, 450);
    for (int y = 100; y < 250; y++) {
      for (int x = 60; x < 160; x++) {
        grey.r()[y * 300 + x] = 1;
        grey.g()[y * 300 + x] = 1;
        grey.b()[y * 300 + x] = 1;
      }
    }
    add("a shawl");
    byte[] png = PictureWriter.write(grey, PictureFormat.PNG);
    page.locator("[data-region-read]")
        .setInputFiles(new FilePayload("shawl.png", "image/png", png));
    page.getByText("The region is what the picture shows.").waitFor();
    place.settle();
    assertThat(share("a shawl")).isCloseTo(150 * 100 / (300.0 * 450), within(0.004));
    Picture back =
        PictureReader.read(place.download("[data-region-save]"), "the region as a picture");
    assertThat(back.width()).isEqualTo(1200);
    int wrong = 0;
    for (int y = 0; y < 450; y++) {
      for (int x = 0; x < 300; x++) {
        boolean inside = back.r()[(4 * y + 2) * 1200 + 4 * x + 2] > 0.5f;
        wrong += inside == (grey.r()[y * 300 + x] > 0.5f) ? 0 : 1;
      }
    }
    assertThat(wrong).isLessThan(20); // of 135 000

    byte[] wide = PictureWriter.write(Picture.blank(450, 300), PictureFormat.PNG);
    page.locator("[data-region-read]")
        .setInputFiles(new FilePayload("wide.png", "image/png", wide));
    page.getByText("wide.png has 450 × 300 pixels, which is not the shape of").waitFor();
    observed.faults().removeIf(fault -> fault.contains("422"));
  }

  @Test
  void aRegionIsDroppedWithItsPaintAndComesBackWithIt() {
    double hair = share("hair");
    choose("hair");
    page.locator("[data-region-drop]").click();
    place.settle();
    assertThat(names()).doesNotContain("hair");
    page.locator("[data-undo-button]").click();
    page.getByText("Taken back: drop hair").waitFor();
    assertThat(share("hair")).isCloseTo(hair, within(1e-9));
    row("hair").waitFor();
    choose("skin");
    page.locator("[data-region-name]").fill("hair");
    page.keyboard().press("Enter");
    page.getByText("This photo has a region “hair” already.").waitFor();
    assertThat(names()).contains("skin", "hair");
    observed.faults().removeIf(fault -> fault.contains("422"));
  }

  @Test
  void aPhotoOfTheDeskHasNoSuchPage() {
    byte[] png = PictureWriter.write(Picture.blank(60, 40), PictureFormat.PNG);
    Fields taken = Json.read(http.upload("/api/photos/desk", "far.png", png).body(), "");
    var answer = http.get("/photos/" + taken.whole("id"));
    assertThat(answer.statusCode()).isEqualTo(404);
    assertThat(answer.body()).contains("is not on the test wall");
    http.json("DELETE", "/api/photos/" + taken.whole("id"), "");
  }
}
