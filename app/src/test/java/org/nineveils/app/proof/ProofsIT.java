package org.nineveils.app.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;

class ProofsIT {
  private static final Http HTTP = new Http(RunningApp.demo());

  /** Effect “Third of a stop” on photo “Newborn, blotchy”, the first of the sheet. */
  private static final String FIRST = "1:1";

  /** “Milk linen”, a look whose skin is judged, on the same photo. */
  private static final String CELL = "4:1";

  private static Fields sheet(int kit) {
    return Json.read(HTTP.get("/api/proofs/" + kit).body(), "The sheet");
  }

  /** A number of 1 to 20 as pages write it: to a tenth, without noughts. */
  private static String words(double value) {
    return new java.math.BigDecimal(value)
        .setScale(1, java.math.RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .toPlainString();
  }

  private static void whole(int kit) {
    HTTP.json("POST", "/api/proofs/%d/start".formatted(kit), "");
    Fields job = sheet(kit).object("job");
    HTTP.ended(job.whole("id"));
    assertThat(sheet(kit).whole("done")).isEqualTo(sheet(kit).whole("total"));
  }

  private static void undo(int kit) {
    HTTP.json("POST", "/api/proofs/%d/undo?redo=false".formatted(kit), "");
  }

  private static void limits(int kit, Map<String, Object> limits) {
    HTTP.json(
        "PUT",
        "/api/proofs/%d/limits".formatted(kit),
        Json.write(Json.object("limits", limits, "label", "limits")));
  }

  /** [effect, photo, verdict, measure, value, share, words] of a cell that is marked. */
  private static List<?> mark(int kit, long effect, long photo) {
    return sheet(kit).list("marks").stream()
        .map(c -> (List<?>) c)
        .filter(c -> ((Number) c.get(0)).longValue() == effect)
        .filter(c -> ((Number) c.get(1)).longValue() == photo)
        .findFirst()
        .orElse(List.of());
  }

  private static Page open(Page page, String hash) {
    page.navigate("/proofs/1" + hash);
    page.locator("[data-cell='" + FIRST + "'] img").waitFor();
    return page;
  }

  @Test
  void theDemoIsWithinOrAcceptedWithAReasonAndNoTwoOfAKitLookAlike() {
    for (int kit = 1; kit <= 3; kit++) {
      whole(kit);
      assertThat(sheet(kit).list("marks").stream().map(c -> (List<?>) c))
          .noneMatch(c -> c.get(2).equals("over"))
          .filteredOn(c -> c.get(2).equals("over, accepted"))
          .allMatch(c -> c.get(6).toString().length() > 20);
      Fields map = Json.read(HTTP.get("/api/proofs/%d/alike".formatted(kit)).body(), "The map");
      assertThat(map.list("pairs").stream().map(p -> (List<?>) p))
          .as("[one, two, mean ΔE00, most on a photo, …] of kit " + kit)
          .noneMatch(p -> number(p, 2) < 2 && number(p, 3) < 4);
    }
  }

  private static double number(List<?> of, int place) {
    return ((Number) of.get(place)).doubleValue();
  }

  @Test
  void theSheetFillsInStopsAndGoesOnAndOnlyWhatIsInSightIsInThePage() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/proofs/3");
      page.locator("[data-cell] img").first().waitFor();
      if (page.locator("[data-stop]").isVisible()) {
        page.locator("[data-stop]").click();
        page.locator("[data-start]").waitFor();
        assertThat(page.locator("[data-count]").innerText()).contains("stopped");
        page.navigate("/kits");
        page.navigate("/proofs/3");
        page.locator("[data-start]").click();
      }
      page.waitForFunction(
          "whole => document.querySelector('[data-count]').textContent === whole",
          "%1$d of %1$d proofs".formatted(sheet(3).whole("total")),
          new Page.WaitForFunctionOptions().setTimeout(150_000));
      assertThat(page.locator("[data-cell]").count()).isBetween(30, 150);
      page.waitForFunction(
          "() => [...document.querySelectorAll('[data-cell] img')].slice(0, 4).every(i => i.naturalWidth > 100)");
      page.evaluate("() => (document.querySelector('[data-grid]').scrollLeft = 1e6)");
      page.locator("[aria-label^='Silver gelatin on']").first().waitFor();
      assertThat(observed.faults()).isEmpty();
    }
  }

  @Test
  void arrowKeysGoThroughTheSheetAndEnterOpensTheCardOfTheProof() {
    whole(1);
    try (var observed = RunningApp.demo().page()) {
      Page page = open(observed.page(), "");
      page.locator("[data-cell='" + FIRST + "']").click();
      page.locator("[data-measure=blown]").waitFor();
      page.keyboard().press("Escape");
      page.locator("[data-card]").waitFor(hidden());
      page.keyboard().press("ArrowRight");
      page.keyboard().press("ArrowDown");
      assertThat(page.evaluate("() => document.activeElement.dataset.cell")).isEqualTo("2:2");
      page.keyboard().press("End");
      page.keyboard().press("Enter");
      page.locator("[data-measure=strength]").waitFor();
      assertThat(page.locator("[data-card-name]").innerText()).isEqualTo("Late sun");
      assertThat(page.locator("[data-card-on]").innerText()).isEqualTo("on Newborn, yellowish");
      page.reload();
      page.locator("[data-measure=strength]").waitFor();
      assertThat(page.locator("[data-card-name]").innerText())
          .as("a page loaded anew shows the same card")
          .isEqualTo("Late sun");
      page.keyboard().press("o");
      page.waitForURL("**/bench/*");
      new Workplace(page).settle();
      assertThat(page.locator(".crumbs b").innerText()).isEqualTo("Late sun");
      assertThat(observed.faults()).isEmpty();
    }
  }

  private static Locator.WaitForOptions hidden() {
    return new Locator.WaitForOptions()
        .setState(com.microsoft.playwright.options.WaitForSelectorState.HIDDEN);
  }

  /** A limit is broken on purpose; the verdict is seen; it is accepted and held to it again. */
  @Test
  void aLimitThatIsBrokenIsSaidAtTheFootAcceptedWithAReasonAndTakenBack() {
    whole(1);
    assertThat(mark(1, 4, 1).get(2)).as("near at first").isEqualTo("near");
    try (var observed = RunningApp.demo().page()) {
      Page page = open(observed.page(), "");
      page.locator("[data-beside=limits]").click();
      Locator field = page.locator("[data-limit='skin-changed'] input[type=number]");
      field.fill("2");
      field.press("Enter");
      page.locator("[data-cell='" + CELL + "'] .verdict.is-over").waitFor();
      List<?> over = mark(1, 4, 1);
      assertThat(over.subList(2, 4)).isEqualTo(List.of("over", "skin-changed"));
      double value = ((Number) over.get(4)).doubleValue();
      assertThat(page.locator("[data-cell='" + CELL + "'] .verdict").innerText())
          .isEqualTo("over · skin %s ΔE00".formatted(words(value)));
      page.locator("[data-wanted=over]").click();
      assertThat(page.locator("[data-cell]:not(.is-out)").count()).isGreaterThan(2);
      page.locator("[data-wanted=all]").click();

      page.locator("[data-cell='" + CELL + "']").click();
      page.waitForFunction("() => document.querySelector('[data-card-who]').textContent !== ''");
      assertThat(page.locator("[data-card-who]").innerText())
          .matches("“.+” does most of it: without it skin changed is [\\d.]+ ΔE00 less.*");
      page.locator("[data-card-accept]").click();
      page.locator("[data-card-reason-words]").fill("Newborns in shade are lifted on purpose.");
      page.locator("[data-card-reason] .primary").click();
      page.locator("[data-cell='" + CELL + "'] .verdict.is-accepted").waitFor();
      assertThat(mark(1, 4, 1).get(6)).isEqualTo("Newborns in shade are lifted on purpose.");

      page.locator("[data-undo-button]").click();
      page.locator("[data-cell='" + CELL + "'] .verdict.is-over").waitFor();
      page.locator("[data-undo-button]").click();
      page.locator("[data-cell='" + CELL + "'] .verdict.is-near").waitFor();
      assertThat(mark(1, 4, 1).get(2)).isEqualTo("near");
      assertThat(observed.faults()).isEmpty();
    }
  }

  /** What the finder finds is set, and the proof is rendered and judged again at once. */
  @Test
  void startingItLowerBringsAProofWithinAndIsDoneOnRealPixels() throws Exception {
    whole(1);
    limits(1, Map.of("skin-changed", 3.0));
    try (var observed = RunningApp.demo().page()) {
      Page page = open(observed.page(), "");
      page.locator("[data-cell='" + CELL + "'] .verdict.is-over").waitFor();
      byte[] before = HTTP.bytes("/proofs/pictures/4/1");
      page.locator("[data-cell='" + CELL + "']").click();
      page.locator("[data-card-much]").click();
      Locator start = page.locator("[data-card-start]");
      start.waitFor(new Locator.WaitForOptions().setTimeout(60_000));
      assertThat(start.innerText()).matches("Start it at \\d+ %");
      int found = Integer.parseInt(start.innerText().replaceAll("\\D", ""));
      assertThat(page.locator(".much-curve").getAttribute("aria-label"))
          .startsWith("Up to %d %%".formatted(found));
      start.click();
      page.waitForFunction("() => !document.querySelector(\"[data-cell='4:1'] .verdict.is-over\")");
      double at = Json.read(HTTP.get("/api/proofs/effects/4").body(), "").number("start");
      assertThat(at).isCloseTo(found / 100.0, within(1e-9));
      Fields card = Json.read(HTTP.get("/api/proofs/cells/4/1").body(), "");
      assertThat(((List<?>) card.list("cell")).get(2)).isNotEqualTo("over");
      Picture now = PictureReader.read(HTTP.bytes("/proofs/pictures/4/1"), "now");
      Picture was = PictureReader.read(before, "before");
      Picture plain = PictureReader.read(HTTP.bytes("/photos/1/small"), "plain");
      assertThat(mean(now) - mean(plain))
          .as("as far from the plain photo as the start says; it went on at 90 % before")
          .isCloseTo((mean(was) - mean(plain)) * at / 0.9, within(0.01));
      assertThat(observed.faults()).isEmpty();
    } finally {
      undo(1);
      undo(1);
    }
    assertThat(Json.read(HTTP.get("/api/proofs/effects/4").body(), "").number("start"))
        .as("one undo on the sheet takes the remedy back")
        .isEqualTo(0.9);
  }

  private static double mean(Picture p) {
    double sum = 0;
    for (float v : p.g()) {
      sum += v;
    }
    return sum / p.g().length;
  }

  /** The veil that yellows skin is kept off it by the amount that suffices. */
  @Test
  void keepingItOffSkinBringsTurnedSkinWithin() {
    whole(1);
    long honeyed = 7;
    long bluish = 3;
    limits(1, Map.of("skin-turned", 7.0, "skin-changed", "off"));
    try (var observed = RunningApp.demo().page()) {
      Page page = open(observed.page(), "#cell=%d:%d".formatted(honeyed, bluish));
      page.locator("[data-card-off]").waitFor();
      assertThat(mark(1, honeyed, bluish).subList(2, 4)).isEqualTo(List.of("over", "skin-turned"));
      page.locator("[data-card-off]").click();
      page.locator(".said")
          .filter(new Locator.FilterOptions().setHasText("kept off skin by"))
          .waitFor(new Locator.WaitForOptions().setTimeout(90_000));
      page.waitForFunction(
          "() => document.querySelector('[data-card-state]').textContent !== 'over'");
      Fields card =
          Json.read(HTTP.get("/api/proofs/cells/%d/%d".formatted(honeyed, bluish)).body(), "");
      Map<?, ?> turned =
          card.list("lines").stream()
              .map(l -> (Map<?, ?>) l)
              .filter(l -> l.get("measure").equals("skin-turned"))
              .findFirst()
              .orElseThrow();
      assertThat(((Number) turned.get("value")).doubleValue()).isLessThanOrEqualTo(7);
      assertThat(observed.faults()).isEmpty();
    } finally {
      undo(1);
      undo(1);
    }
  }

  @Test
  void aBrushOnEffectIsTriedOnItsRegionAndSaysWhereThePhotoHasNone() throws Exception {
    whole(1);
    long lips = 13; // “Lips and fingertips”
    assertThat(mark(1, lips, 9).get(6)).as("a dog").isEqualTo("made for newborn");
    HTTP.json("PUT", "/api/photos/wall/tags", "{\"photos\":[9],\"tag\":\"newborn\"}");
    try {
      assertThat(mark(1, lips, 9).get(6).toString()).startsWith("no ").endsWith(" here");
    } finally {
      HTTP.json("POST", "/api/photos/wall/undo?redo=false", "");
    }
    Picture plain = PictureReader.read(HTTP.bytes("/photos/3/small"), "plain");
    Picture now = PictureReader.read(HTTP.bytes("/proofs/pictures/%d/3".formatted(lips)), "now");
    int changed = 0;
    for (int i = 0; i < now.r().length; i++) {
      changed += Math.abs(now.r()[i] - plain.r()[i]) > 0.03 ? 1 : 0;
    }
    assertThat(changed / (double) now.r().length).as("lips alone").isBetween(0.0005, 0.03);
  }

  @Test
  void everyMeasureIsShownAsNumbersAndTheSheetIsKeptAsFiles() throws Exception {
    whole(1);
    try (var observed = RunningApp.demo().page()) {
      Page page = open(observed.page(), "");
      page.locator("[data-look=measure]").selectOption("strength");
      Locator number = page.locator("[data-cell='" + CELL + "'] .grid-number");
      number.waitFor();
      Fields all = Json.read(HTTP.get("/api/proofs/1/measures/strength").body(), "");
      List<?> first =
          all.list("values").stream()
              .map(v -> (List<?>) v)
              .filter(v -> (v.get(0) + ":" + v.get(1)).equals(CELL))
              .findFirst()
              .orElseThrow();
      assertThat(number.innerText())
          .isEqualTo(words(((Number) first.get(2)).doubleValue()) + " ΔE00");
      assertThat(observed.faults()).isEmpty();
    }
    String csv = new String(kept("csv"), java.nio.charset.StandardCharsets.UTF_8);
    assertThat(csv.lines().findFirst().orElseThrow())
        .startsWith("Section,Effect,Photo,Verdict,For,Remark,\"Newly blown, %\"");
    assertThat(csv.split("\r\n", -1)).hasSize(sheet(1).whole("total") + 2);
    assertThat(csv).contains("1 Groundwork,Third of a stop,\"Newborn, blotchy\",within,");
    byte[] pdf = kept("pdf");
    try (var doc = org.apache.pdfbox.Loader.loadPDF(pdf)) {
      String text = new org.apache.pdfbox.text.PDFTextStripper().getText(doc);
      assertThat(text).contains("Proof sheet of Willow Basket", "Honeyed air", "made for newborn");
      assertThat(doc.getPage(0).getResources().getXObjectNames()).isNotEmpty();
    }
    Picture png = PictureReader.read(kept("png"), "sheet");
    assertThat(png.width()).isGreaterThan(2000);
  }

  private static byte[] kept(String as) throws Exception {
    String body = "{\"as\":\"%s\"}".formatted(as);
    Fields job = Json.read(HTTP.json("POST", "/api/proofs/1/keep", body).body(), "").object("job");
    HTTP.ended(job.whole("id"));
    return HTTP.bytes("/jobs/%d/result".formatted(job.whole("id")));
  }

  /** Without its skin a photo is judged otherwise, and its old numbers are no longer shown. */
  @Test
  void aRegionThatChangesIsMeasuredAnewAndNothingElse() {
    whole(1);
    Fields held = Json.read(HTTP.get("/api/photos/5/regions").body(), "");
    Map<String, Object> none = Json.object("regions", List.of());
    Map<String, Object> save =
        Json.object("rev", held.whole("rev"), "label", "drop all", "held", none);
    HTTP.json("PUT", "/api/photos/5/regions", Json.write(save));
    int effects = sheet(1).whole("total") / 16;
    assertThat(sheet(1).whole("total") - sheet(1).whole("done")).isEqualTo(effects);
    whole(1);
    assertThat(sheet(1).list("marks").stream().map(c -> (List<?>) c))
        .filteredOn(c -> c.get(1).toString().equals("5"))
        .noneMatch(c -> c.get(3).toString().startsWith("skin") && !c.get(2).equals("not judged"));
    HTTP.json("POST", "/api/photos/5/regions/undo?redo=false", "");
    assertThat(sheet(1).whole("done"))
        .as("what was measured before is still known")
        .isEqualTo(sheet(1).whole("total"));
  }
}
