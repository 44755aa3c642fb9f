package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** The brush in the hand: straight lines, a pen, and keeping to a colour. */
class BrushIT extends BenchTrial {
  private static final int GRASS = 8; // the photo of a person on grass

  private void darkenByBrush() {
    bench.hang("light");
    bench.set("exposure", -3);
    page.locator("[data-cover=brush-on]").click();
    bench.settle();
  }

  private void brush(String key, double value) {
    page.locator("[data-brush] [data-key=" + key + "] input[type=number]")
        .fill(String.valueOf(value));
  }

  private List<Fields> strokes(int photo) {
    String body = http.get("/api/effects/" + effect + "/paint?photo=" + photo).body();
    Fields all = Json.read(body, "The paint");
    return all.objects(all.names().iterator().next(), f -> f);
  }

  private void touch(double x, double y) {
    BoundingBox pane = page.locator(".pane-finished").boundingBox();
    page.mouse().click(pane.x + x * pane.width, pane.y + y * pane.height);
    bench.settle();
  }

  @Test
  void withShiftTheBrushGoesStraightOn() {
    darkenByBrush();
    brush("flow", 100);
    List<Integer> plain = bench.colour(0.5, 0.5);
    touch(0.3, 0.5);
    assertThat(bench.colour(0.5, 0.5)).isEqualTo(plain);
    page.keyboard().down("Shift");
    touch(0.7, 0.5);
    page.keyboard().up("Shift");
    assertThat(bench.colour(0.5, 0.5).get(1)).isLessThan(plain.get(1) - 20);
    assertThat(strokes(1)).hasSize(2);
    touch(0.5, 0.8);
    assertThat(strokes(1).get(2).list("points")).as("without Shift a dot").hasSize(2);
  }

  @Test
  void howHardAPenIsPressedIsKeptWithTheStroke() {
    darkenByBrush();
    BoundingBox pane = page.locator(".pane-finished").boundingBox();
    CDPSession pen = page.context().newCDPSession(page);
    double y = pane.y + pane.height / 2;
    press(pen, "mousePressed", pane.x + 0.3 * pane.width, y, 0.25);
    press(pen, "mouseMoved", pane.x + 0.5 * pane.width, y, 0.5);
    press(pen, "mouseMoved", pane.x + 0.6 * pane.width, y, 0.75);
    press(pen, "mouseReleased", pane.x + 0.6 * pane.width, y, 0);
    page.waitForCondition(() -> !stored().object("painted").names().isEmpty());
    bench.settle();
    Fields stroke = strokes(1).get(0);
    assertThat(stroke.text("pressed")).isEqualTo("size");
    assertThat(stroke.list("pressure")).isEqualTo(List.of(0.25, 0.5, 0.75));
    assertThat(page.locator(".pen").isVisible()).isTrue();
    page.locator("[data-pressed='']").click();
    bench.paint(0.3, 0.8, 0.5, 0.8);
    assertThat(strokes(1).get(1).has("pressure")).as("a mouse has none").isFalse();
  }

  private static void press(CDPSession pen, String type, double x, double y, double force) {
    JsonObject event = new JsonObject();
    event.addProperty("type", type);
    event.addProperty("x", x);
    event.addProperty("y", y);
    event.addProperty("button", "left");
    event.addProperty("buttons", 1);
    event.addProperty("clickCount", 1);
    event.addProperty("pointerType", "pen");
    event.addProperty("force", force);
    pen.send("Input.dispatchMouseEvent", event);
  }

  @Test
  void aHoldingBrushPaintsTheGrassAndNotTheArmBesideIt() {
    page.navigate("/bench/" + effect + "?photo=" + GRASS);
    bench.settle();
    darkenByBrush();
    List<Integer> grass = at(50, 600);
    List<Integer> arm = at(110, 600);
    page.keyboard().press("q");
    assertThat(page.locator("[data-brush] [data-key=holding] input[type=number]").inputValue())
        .isEqualTo("18");
    brush("size", 16);
    brush("flow", 100);
    double[] from = place(45, 560);
    double[] to = place(60, 640);
    bench.paint(from[0], from[1], to[0], to[1]);
    assertThat(at(50, 600).get(1)).isLessThan(grass.get(1) - 60);
    assertThat(at(110, 600)).isEqualTo(arm);
    assertThat(strokes(GRASS).get(0).number("holding")).isEqualTo(18);
    page.keyboard().press("q");
    bench.paint(from[0], from[1], to[0], to[1]);
    assertThat(at(110, 600).get(1)).as("the plain brush spills").isLessThan(arm.get(1) - 20);
  }

  /** Shares of the pane of a point of the photo, given in pixels of a width of 600. */
  private double[] place(double x, double y) {
    BoundingBox pane = page.locator(".pane-finished").boundingBox();
    double margin = 10; // around the photo, as the stage keeps it
    double scale = Math.min((pane.width - 2 * margin) / 600, (pane.height - 2 * margin) / 900);
    double left = (pane.width - 600 * scale) / 2;
    double top = (pane.height - 900 * scale) / 2;
    return new double[] {(left + x * scale) / pane.width, (top + y * scale) / pane.height};
  }

  private List<Integer> at(double x, double y) {
    double[] place = place(x, y);
    return bench.colour(place[0], place[1]);
  }
}
