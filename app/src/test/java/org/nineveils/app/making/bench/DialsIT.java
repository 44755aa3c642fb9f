package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** What the maker leaves to the photographer, in the order and under the headings of her card. */
class DialsIT extends BenchTrial {
  /** A light within a round spot, whose shape and exposure are dials. */
  private void aSpotWithDials() {
    bench.hang("light");
    bench.set("exposure", 1.5);
    page.locator("[data-cover=by-rule]").click();
    page.locator(".rule-adder").getByText("By shape").click();
    page.locator(".rule-box").first().getByText("Drop").click();
    bench.setRule(0, "size", 12);
    page.locator("[data-side=dials]").click();
    add("Exposure");
    add("Place on the picture: shape 1");
  }

  private void add(String words) {
    Locator option =
        page.locator("[data-add-dial] option", new Page.LocatorOptions().setHasText(words)).first();
    page.locator("[data-add-dial]").selectOption(option.getAttribute("value"));
    bench.settle();
  }

  private List<String> dials() {
    return stored()
        .object("effect")
        .objects("dials", d -> (d.text("heading") + " " + d.text("key")).trim());
  }

  private Locator grip(String of) {
    return page.locator(".grip[aria-label='Move the %s']".formatted(of));
  }

  @Test
  void dialsAreDraggedIntoOrderAndGroupedUnderHeadings() {
    aSpotWithDials();
    assertThat(dials())
        .containsExactly("exposure", "rule1.x", "rule1.y", "rule1.size", "rule1.angle");
    grip("dial Shape 1: from top").scrollIntoViewIfNeeded();
    BoundingBox from = grip("dial Exposure").boundingBox();
    BoundingBox below = grip("dial Shape 1: from top").boundingBox();
    page.mouse().move(from.x + 9, from.y + 13);
    page.mouse().down();
    page.mouse().move(from.x + 9, below.y);
    page.mouse().move(from.x + 9, below.y + below.height);
    page.mouse().up();
    bench.settle();
    assertThat(dials())
        .containsExactly("rule1.x", "rule1.y", "exposure", "rule1.size", "rule1.angle");

    page.getByText("Add a heading").click();
    page.keyboard().type("The spot");
    page.keyboard().press("Enter");
    bench.settle();
    assertThat(dials()).endsWith("rule1.size", "The spot rule1.angle");
    Locator heading = grip("heading The spot");
    heading.focus();
    for (int up = 0; up < 4; up++) {
      page.keyboard().press("ArrowUp");
      bench.settle();
      assertThat(page.evaluate("() => document.activeElement.getAttribute('aria-label')"))
          .isEqualTo("Move the heading The spot");
    }
    grip("dial Exposure").focus();
    page.keyboard().press("ArrowUp");
    page.keyboard().press("ArrowUp");
    page.keyboard().press("ArrowUp");
    bench.settle();
    assertThat(dials())
        .containsExactly(
            "exposure",
            "The spot rule1.x",
            "The spot rule1.y",
            "The spot rule1.size",
            "The spot rule1.angle");
    page.keyboard().press("Control+z");
    page.getByText("Taken back: move the dial Exposure").first().waitFor();
  }

  @Test
  void aRuleThatGoesTakesItsDialsAndTheOthersKeepTheirs() {
    aSpotWithDials();
    page.locator("[data-side=mask]").click();
    page.locator(".rule-adder").getByText("By brightness").click();
    page.locator("[data-side=dials]").click();
    add("Mask, rule 2: from");
    assertThat(dials()).contains("rule2.from", "rule1.x");
    page.locator("[data-side=mask]").click();
    page.locator(".rule-box").first().getByText("Drop").click();
    bench.settle();
    assertThat(dials()).containsExactly("exposure", "rule1.from");
  }

  @Test
  void theShapeOfAMaskIsMovedOnThePictureByThePhotographer() {
    aSpotWithDials();
    page.navigate("/fitting/of?wardrobe=kit:1&photo=1");
    bench.settle();
    page.locator(".piece", new Page.LocatorOptions().setHasText(name)).click();
    page.mouse().move(600, 300);
    bench.veil(name).waitFor();
    bench.settle();
    double plain = bench.light(0.25, 0.25);
    Locator dot = page.locator(".handles [aria-label='Shape 1, Light']");
    BoundingBox at = dot.boundingBox();
    BoundingBox pane = page.locator(".pane-finished").boundingBox();
    page.mouse().move(at.x + 7, at.y + 7);
    page.mouse().down();
    page.mouse().move(pane.x + pane.width * 0.4, pane.y + pane.height * 0.3);
    page.mouse().move(pane.x + pane.width * 0.25, pane.y + pane.height * 0.25);
    page.mouse().up();
    bench.settle();
    assertThat(bench.light(0.25, 0.25)).isGreaterThan(plain + 8);
    String fitting = page.url().replaceAll(".*/", "");
    Fields worn =
        Json.read(http.get("/api/fittings/" + fitting).body(), "")
            .object("fitting")
            .objects("worn", w -> w)
            .get(0);
    Fields veil = worn.object("veils").object(worn.object("veils").names().iterator().next());
    assertThat(veil.object("dials").number("rule1.y")).isBetween(15.0, 35.0);
    page.locator("[data-take-off]").click();
    bench.settle();
  }

  /** Light, gradient and flare in the very same place: each is taken and moved on its own. */
  @Test
  void handlesNeverLieOnOneAnother() {
    bench.hang("overlay");
    for (String part : List.of("shaft", "flare", "gradient")) {
      openPart(part);
      bench.set(part, 40);
      bench.set(part + "X", 50);
      bench.set(part + "Y", 50);
    }
    List<Locator> dots = page.locator(".handles .dot").all();
    assertThat(dots.size()).isGreaterThanOrEqualTo(5);
    for (Locator one : dots) {
      for (Locator other : dots) {
        BoundingBox a = one.boundingBox();
        BoundingBox b = other.boundingBox();
        double apart = Math.hypot(a.x - b.x, a.y - b.y);
        assertThat(one == other || apart >= 17.9).as("%s px apart", apart).isTrue();
      }
    }
    Locator flare = page.locator(".handles [aria-label=Flare]");
    BoundingBox at = flare.boundingBox();
    page.mouse().move(at.x + 7, at.y + 7);
    page.mouse().down();
    page.mouse().move(at.x + 57, at.y + 7);
    page.mouse().move(at.x + 107, at.y + 7);
    page.mouse().up();
    bench.settle();
    Fields settings = veils().get(0).object("settings");
    assertThat(settings.number("flareX")).isGreaterThan(55);
    assertThat(settings.number("flareY")).as("moved from its true place").isEqualTo(50);
    assertThat(settings.number("shaftX")).isEqualTo(50);
    assertThat(settings.number("gradientX")).isEqualTo(50);
  }

  private void openPart(String part) {
    String words =
        part.equals("shaft") ? "Shaft of light" : part.equals("flare") ? "Flare" : "Gradient";
    page.locator(".parts button")
        .getByText(words, new Locator.GetByTextOptions().setExact(true))
        .click();
    if (part.equals("gradient")) {
      bench.settle();
    }
  }
}
