package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** Looking around loses nothing that was done. */
class LookingAroundIT extends FittingTrial {
  @Override
  int kit() {
    return 1;
  }

  @Override
  int photo() {
    return 6;
  }

  private void waitFor(String words) {
    page.getByText(words).first().waitFor();
    room.settle();
  }

  private void brush(String name) {
    wear(name);
    page.locator("[data-brush-whole]").click();
    page.locator("[data-brush] [data-key=flow] input[type=number]").fill("100");
    room.paint(0.3, 0.45, 0.6, 0.45);
  }

  /** A, then B in its place, then A: its paint was gone but for Undo. */
  @Test
  void whatWasBrushedOffALookIsThereWhenItComesBack() {
    brush("Milk linen");
    room.dragHem("Milk linen", 0.7);
    Object first = room.picture();
    wear("Oat matte");
    assertThat(onTheRail()).containsExactly("Oat matte");
    assertThat(piece("Milk linen").getAttribute("class")).contains("is-laid-by");
    click("Milk linen");
    waitFor("It is as you had it on this photo.");
    assertThat(strokes()).isEqualTo(1);
    assertThat(room.picture()).isEqualTo(first);
    page.locator(".said button:text-is('Wear it fresh')").click();
    waitFor("nothing turned, nothing brushed");
    assertThat(strokes()).isZero();
    page.keyboard().press("Control+z");
    waitFor("Taken back: wear Milk linen fresh.");
    assertThat(room.picture()).isEqualTo(first);
  }

  @Test
  void whatWasNeverTouchedComesBackWithoutAWord() {
    wear("Milk linen");
    wear("Oat matte");
    assertThat(piece("Milk linen").getAttribute("class")).doesNotContain("is-laid-by");
    click("Milk linen");
    room.veil("Milk linen").waitFor();
    room.settle();
    assertThat(page.locator(".said").innerText()).doesNotContain("as you had it", "fresh");
  }

  @Test
  void takenOffByNameItComesBackTooAfterAReload() {
    brush("Milk linen");
    page.locator("[data-take-off]").click();
    waitFor("The photo wears nothing yet");
    page.reload();
    room.settle();
    click("Milk linen");
    waitFor("It is as you had it on this photo.");
    assertThat(strokes()).isEqualTo(1);
  }

  /** A second tab may have taken it off meanwhile: its paint stays. */
  @Test
  void whatIsNotWornAnyMoreCannotBeMadeFresh() {
    brush("Milk linen");
    String key = worn().get(0).text("effect");
    page.locator("[data-take-off]").click();
    waitFor("The photo wears nothing yet");
    var answer =
        http.json(
            "POST", "/api/fittings/%s/fresh".formatted(id()), "{\"effect\":\"%s\"}".formatted(key));
    assertThat(answer.statusCode()).isEqualTo(404);
    assertThat(answer.body()).contains("no longer wears this effect");
    click("Milk linen");
    waitFor("It is as you had it on this photo.");
    assertThat(strokes()).isEqualTo(1);
  }

  @Test
  void aClickOnAWornEffectOpensItAndNeverTakesItOff() {
    wear("Milk linen");
    wear("Face light");
    for (int i = 0; i < 2; i++) {
      click("Milk linen");
      room.settle();
      assertThat(page.locator("[data-card-name]").innerText()).isEqualTo("Milk linen");
      assertThat(onTheRail()).containsExactly("Milk linen", "Face light");
    }
  }

  @Test
  void anotherKitSaysWhatThePhotoWearsOfTheFirstAndWearsBoth() {
    wear("Milk linen");
    Object milk = room.picture();
    page.navigate("/fitting/of?wardrobe=kit:2&photo=6");
    room.settle();
    assertThat(page.locator("[data-elsewhere]").innerText())
        .contains("Not seen here: 1 effect of Willow Basket.");
    assertThat(page.locator("[data-go] option[data-wardrobe='kit:1']").textContent())
        .isEqualTo("Willow Basket · 1 on");
    assertThat(room.picture()).isNotEqualTo(milk);
    page.locator("[data-elsewhere] button:text-is('Wear both')").click();
    page.locator("[data-offers] h2 b", new Page.LocatorOptions().setHasText("Larch Studio, "))
        .first()
        .waitFor();
    room.settle();
    assertThat(onTheRail()).containsExactly("Milk linen");
    assertThat(room.picture()).isEqualTo(milk);
    page.locator("[data-put-away]").dispatchEvent("click");
    waitFor("is put away");
  }
}
