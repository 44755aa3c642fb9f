package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** What is kept of an effect to be used again: swatches, variants, dials, tables from elsewhere. */
class ReuseIT extends BenchTrial {
  @Test
  void aVeilIsKeptAsASwatchAndHungAgainWithItsSettings() {
    bench.hang("light");
    bench.set("exposure", 0.7);
    page.locator(".open .acts button", new Page.LocatorOptions().setHasText("Keep")).click();
    page.locator("[data-keep-swatch] input[name=name]").fill("Two thirds up");
    page.keyboard().press("Enter");
    page.getByText("is among your swatches").waitFor();
    page.keyboard().press("Escape");
    page.keyboard().press("h");
    page.locator(".swatches input[type=search]").fill("thirds");
    Locator kept = page.locator(".kept");
    kept.first().waitFor();
    assertThat(kept.count()).isEqualTo(1);
    assertThat(kept.locator("small").innerText()).startsWith("Quillfern");
    kept.locator(".kept-hang").click();
    bench.settle();
    assertThat(veils()).hasSize(2);
    assertThat(veils().get(1).text("name")).isEqualTo("Two thirds up");
    assertThat(veils().get(1).object("settings").number("exposure")).isEqualTo(0.7);
    page.keyboard().press("Escape");
    page.keyboard().press("h");
    page.locator(".swatches input[type=search]").fill("thirds");
    kept.getByText("Delete").click();
    page.getByText("No swatch is called “thirds”.").waitFor();
    assertThat(http.get("/api/swatches").body()).doesNotContain("Two thirds up");
  }

  @Test
  void aVariantTellsWhatDiffersAndBringsOneChangeOver() {
    bench.hang("light");
    bench.set("exposure", 0.5);
    bench.set("contrast", 20);
    bench.hang("tint");
    page.getByText("Make a variant").click();
    page.waitForURL(url -> !url.endsWith("/" + effect));
    bench.settle();
    String variant = page.url().replaceAll(".*/bench/(\\d+).*", "$1");
    bench.pick("Light");
    bench.set("exposure", 1.5);
    bench.set("contrast", 40);
    bench.pick("Tint");
    page.keyboard().press("Delete");
    bench.settle();
    page.locator("[data-variants-open]").click();
    Locator rows = page.locator("[data-differences] li");
    rows.nth(2).waitFor();
    assertThat(rows.allInnerTexts().toString())
        .contains("exposure", "0.5 stops", "1.5 stops", "contrast", "the whole veil");
    rows.nth(0).getByText("Bring over").click();
    page.waitForFunction("() => document.querySelectorAll('[data-differences] li').length === 2");
    bench.settle();
    Fields now =
        Json.read(http.get("/api/effects/" + variant + "?photo=1").body(), "").object("effect");
    Fields settings = now.objects("veils", v -> v).get(0).object("settings");
    assertThat(settings.number("exposure")).isEqualTo(0.5);
    assertThat(settings.number("contrast")).isEqualTo(40);
    rows.nth(1).getByText("Bring over").click();
    page.waitForFunction("() => document.querySelectorAll('[data-differences] li').length === 1");
    bench.settle();
    assertThat(page.locator(".veil").count()).isEqualTo(2);
    http.json("DELETE", "/api/effects/" + variant, "");
  }

  @Test
  void aDialIsMadeWithLabelAndRangeAndGoesWithItsVeil() {
    bench.hang("light");
    bench.set("exposure", 0.5);
    page.locator("[data-side=dials]").click();
    page.locator("[data-add-dial]").selectOption("exposure");
    Locator dial = page.locator("[data-dial=exposure]");
    dial.locator("input[type=text]").fill("More light");
    dial.locator("input[type=text]").press("Tab");
    dial.locator("input[type=number]").first().fill("0");
    dial.locator("input[type=number]").first().press("Tab");
    dial.locator("input[type=number]").last().fill("1");
    dial.locator("input[type=number]").last().press("Tab");
    bench.settle();
    Fields kept = dials().get(0);
    assertThat(kept.text("label")).isEqualTo("More light");
    assertThat(kept.number("min")).isZero();
    assertThat(kept.number("max")).isEqualTo(1);
    assertThat(page.locator(".card-preview label").innerText()).isEqualTo("More light");
    page.locator("[data-side=settings]").click();
    bench.set("exposure", 2);
    assertThat(dials().get(0).number("max")).isEqualTo(2);
    page.keyboard().press("Delete");
    bench.settle();
    assertThat(dials()).isEmpty();
  }

  private List<Fields> dials() {
    return stored().object("effect").objects("dials", f -> f);
  }

  @Test
  void aTextTableFromElsewhereColoursThePhotoAndABrokenOneIsRefusedWithItsLine() {
    bench.hang("colour");
    List<Integer> plain = bench.colour(0.5, 0.5);
    StringBuilder text = new StringBuilder("LUT_3D_SIZE 2\n");
    for (int i = 0; i < 8; i++) {
      text.append(1 - i % 2)
          .append(' ')
          .append(1 - i / 2 % 2)
          .append(' ')
          .append(1 - i / 4)
          .append('\n');
    }
    choose("negative.cube", text.toString());
    page.getByText("colours the photo").waitFor();
    bench.settle();
    List<Integer> negative = bench.colour(0.5, 0.5);
    for (int c = 0; c < 3; c++) {
      assertThat(negative.get(c)).isBetween(254 - plain.get(c), 256 - plain.get(c));
    }
    choose(
        "half.clf",
        "<ProcessList id=\"n\" compCLFversion=\"3.0\"><LUT1D><Array dim=\"2 1\">0 0.5</Array></LUT1D></ProcessList>");
    page.getByText("half.clf").first().waitFor();
    bench.settle();
    List<Integer> half = bench.colour(0.5, 0.5);
    for (int c = 0; c < 3; c++) {
      assertThat(half.get(c)).isCloseTo(plain.get(c) / 2, within(1));
    }
    choose("broken.cube", text + "0 0 0\n");
    page.getByText("“broken.cube”, line 10").waitFor();
    assertThat(bench.colour(0.5, 0.5)).isEqualTo(half);
    allowedFaults.add("4");
  }

  private void choose(String name, String text) {
    page.locator(".is-picture input[type=file]")
        .setInputFiles(new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8)));
  }

  @Test
  void fillAndInvertTurnTheMaskRoundOnThisPhoto() {
    bench.hang("light");
    bench.set("exposure", -2);
    double dark = bench.light(0.5, 0.5);
    page.locator("[data-cover=brush-on]").click();
    bench.settle();
    double plain = bench.light(0.5, 0.5);
    page.locator("[data-side=mask]").click();
    page.locator("[data-paint=fill]").click();
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isEqualTo(dark);
    page.locator("[data-paint=invert]").click();
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isEqualTo(plain);
    page.keyboard().press("Control+z");
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isEqualTo(dark);
    page.locator("[data-paint=clear]").click();
    bench.settle();
    assertThat(bench.light(0.5, 0.5)).isEqualTo(plain);
  }

  @Test
  void aRangeOfBrightnessIsDraggedOnTheHistogram() {
    bench.hang("light");
    page.locator("[data-cover=by-rule]").click();
    bench.settle();
    Locator grip = page.locator("[data-grip=from]");
    com.microsoft.playwright.options.BoundingBox at = grip.boundingBox();
    com.microsoft.playwright.options.BoundingBox box = page.locator(".tone-range").boundingBox();
    page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
    page.mouse().down();
    page.mouse().move(box.x + box.width * 0.6, at.y + at.height / 2);
    page.mouse().up();
    bench.settle();
    Fields rule = veils().get(0).object("mask").objects("rules", r -> r).get(0);
    assertThat(rule.object("settings").number("from")).isBetween(58.0, 62.0);
    grip.press("ArrowLeft");
    bench.settle();
    Fields moved = veils().get(0).object("mask").objects("rules", r -> r).get(0);
    assertThat(moved.object("settings").number("from"))
        .isEqualTo(rule.object("settings").number("from") - 1);
  }
}
