package org.nineveils.app.wear.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Another photo comes into the same page, each with what it wears. */
class InPlaceIT extends FittingTrial {
  @Override
  int kit() {
    return 3;
  }

  @Override
  int photo() {
    return 1;
  }

  @BeforeEach
  void markThePage() {
    page.evaluate("() => { window.samePage = true; }");
  }

  private Locator button(int id) {
    return page.locator(".photos-line [data-photo='" + id + "']");
  }

  private void show(int id) {
    button(id).click();
    page.waitForFunction(
        "id => document.querySelector('.photo-name').textContent"
            + " === document.querySelector(`[data-photo='${id}']`).title",
        id);
    room.settle();
  }

  @Test
  void eachPhotoWearsItsOwnInTheSamePageAndAReloadShowsTheSame() {
    wear("Silver gelatin");
    String first = page.url();
    Object worn = room.picture();
    int other = 3;
    show(other);
    assertThat(page.url()).isNotEqualTo(first).contains("/fitting/");
    assertThat(onTheRail()).isEmpty();
    Object plain = room.picture();
    page.reload();
    room.settle();
    assertThat(room.picture()).isEqualTo(plain);
    show(photo());
    assertThat(page.url()).isEqualTo(first);
    assertThat(onTheRail()).containsExactly("Silver gelatin");
    assertThat(room.picture()).isEqualTo(worn);
    page.keyboard().press("Control+z");
    page.getByText("Taken back: wear Silver gelatin").waitFor();
    room.settle();
    assertThat(onTheRail()).isEmpty();
  }

  @Test
  void aClickOnTheWayIsForThePhotoThatWasChosenAndNothingIsLost() {
    wear("Fur lines");
    room.dragHem("Fur lines", 0.5);
    String before = id();
    // all in one task of the page: the photo is not there when the effect is clicked
    page.evaluate(
        """
        () => {
          document.querySelector(".photos-line [data-photo='11']").click();
          [...document.querySelectorAll(".piece")].find(b => b.innerText.includes("Cold nose")).click();
        }""");
    room.veil("Cold nose").waitFor();
    room.settle();
    assertThat(page.evaluate("() => window.samePage")).isEqualTo(true);
    assertThat(onTheRail()).contains("Cold nose").doesNotContain("Fur lines");
    assertThat(http.get("/api/fittings/" + before).body())
        .contains("\"opacity\":0.5")
        .doesNotContain("Cold nose");
  }

  @Test
  void ofSeveralPhotosChosenQuicklyTheLastIsShown() {
    page.evaluate(
        """
        () => {
          for (const id of [3, 10, 11]) document.querySelector(`.photos-line [data-photo='${id}']`).click();
        }""");
    page.waitForFunction(
        "() => document.querySelector('.photo-name').textContent === 'Ginger cat'");
    room.settle();
    assertThat(button(11).getAttribute("aria-current")).isEqualTo("true");
    assertThat(page.locator("h1").textContent()).isEqualTo("Burr and Whisker on Ginger cat");
    Object here = room.picture();
    page.reload();
    room.settle();
    assertThat(room.picture()).isEqualTo(here);
    assertThat(page.locator(".piece img").first().getAttribute("src")).contains("photo=11");
  }
}
