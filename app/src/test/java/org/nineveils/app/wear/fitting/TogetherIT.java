package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** Several kits worn together by one photo. */
class TogetherIT extends FittingTrial {
  @Override
  int kit() {
    return 1;
  }

  @Override
  int photo() {
    return 3;
  }

  private void choose(String words) {
    page.locator(".worn-from summary").click();
    page.locator("[data-worn-together]").getByText(words).click();
  }

  private void waitFor(String sentence) {
    page.locator(".said").getByText(sentence).waitFor();
    room.settle();
  }

  @Test
  void anotherKitIsWornOverTheFirstAndPutAwayAgain() {
    choose("Wear Larch Studio too");
    waitFor("What is worn of “Larch Studio” goes over the rest.");
    Locator sections = page.locator("[data-offers] h2 b");
    assertThat(sections.allInnerTexts().toString()).contains("Larch Studio, ");
    Object plain = room.picture();
    wear("Evening amber");
    Object amber = room.picture();
    assertThat(amber).isNotEqualTo(plain);
    wear("Oat matte");
    assertThat(onTheRail()).containsExactly("Oat matte", "Evening amber");
    assertThat(worn().get(1).text("effect")).startsWith("kit:2#");
    Object both = room.picture();

    page.reload();
    room.settle();
    assertThat(room.picture()).isEqualTo(both);
    page.locator(".photos-line button").nth(3).click();
    page.locator(".photos-line button[aria-current=true]").nth(0).waitFor();
    room.settle();
    assertThat(piece("Evening amber").isVisible()).as("it goes along to other photos").isTrue();
    page.goBack();
    page.navigate("/fitting/of?wardrobe=kit:1&photo=3");
    room.settle();

    choose("Put Larch Studio away");
    waitFor("“Larch Studio” is put away; 1 of its effects was taken off this photo.");
    assertThat(onTheRail()).containsExactly("Oat matte");
    assertThat(piece("Evening amber").count()).isZero();
    page.locator(".said button").click();
    waitFor("Taken back");
    assertThat(onTheRail()).containsExactly("Oat matte", "Evening amber");
    assertThat(room.picture()).isEqualTo(both);

    choose("Put Larch Studio away");
    waitFor("“Larch Studio” is put away");
    page.locator("[data-take-off]").click();
    page.waitForFunction("() => !document.querySelector('.veil')");
    room.settle();
    assertThat(worn()).isEmpty();
  }

  /** A look of several veils has a vignette: another one lifts that veil alone. */
  @Test
  void aVignetteInsideALookMakesWayAloneAndTheLookStays() {
    wear("Oat matte");
    page.locator(".piece", new Page.LocatorOptions().setHasText("Quiet corners")).click();
    Locator dialog = page.locator("[data-opposites]");
    dialog.waitFor();
    assertThat(dialog.innerText()).contains("“Corners” in “Oat matte”", "edge of the picture");
    dialog.getByText("Wear it instead").click();
    room.veil("Quiet corners").waitFor();
    waitFor("instead of “Corners” in “Oat matte”, which keeps its other veils");
    assertThat(onTheRail()).containsExactly("Oat matte", "Quiet corners");
    room.pick("Oat matte");
    Locator corners = page.locator(".veil-line", new Page.LocatorOptions().setHasText("Corners"));
    assertThat(corners.getByText("Let down").isVisible()).isTrue();
    for (String name : new String[] {"Oat matte", "Quiet corners"}) {
      room.pick(name);
      page.locator("[data-take-off]").click();
      room.settle();
    }
  }
}
