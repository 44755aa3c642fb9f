package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;

/** Every page by keys alone. */
class KeysIT {
  private RunningApp.ObservedPage observed;
  private Page page;

  @BeforeEach
  void open() {
    observed = RunningApp.demo().page();
    page = observed.page();
  }

  @AfterEach
  void nothingWentWrongOnThePage() {
    assertThat(observed.faults()).isEmpty();
    observed.close();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/kits",
        "/kits/1",
        "/find?q=soft",
        "/photos",
        "/photos/6",
        "/proofs/1",
        "/collections/1",
        "/jobs",
        "/bench/5",
        "/fitting",
        "/desk"
      })
  void theKeysAreListedUnderTheQuestionMarkAndUnderAButton(String address) {
    page.navigate(address);
    Locator list = page.locator("dialog[open] [data-keys]");
    page.evaluate("() => document.activeElement.blur()"); // a field that is typed in has the key
    page.keyboard().press("?");
    list.waitFor();
    assertThat(list.innerText()).contains("this list");
    page.keyboard().press("Escape");
    page.locator("[data-keys-open]").click();
    list.waitFor();
  }

  @Test
  void theFirstStopOfTheTabKeyLeadsToTheMainPart() {
    page.navigate("/kits/1");
    page.keyboard().press("Tab");
    assertThat(page.evaluate("() => document.activeElement.className")).isEqualTo("skip");
    page.keyboard().press("Enter");
    assertThat(page.evaluate("() => document.activeElement.id")).isEqualTo("main");
  }

  @Test
  void escapeClosesAMenuAndGivesTheFocusBack() {
    page.navigate("/kits/1");
    Locator more = page.locator("summary:has-text('This kit')");
    more.focus();
    page.keyboard().press("Enter");
    assertThat(page.locator("details.menu[open]").count()).isEqualTo(1);
    page.keyboard().press("Escape");
    assertThat(page.locator("details.menu[open]").count()).isZero();
    assertThat(more.evaluate("e => document.activeElement === e")).isEqualTo(true);
  }

  @Test
  void aNumberOpensAVeilAndGivesItTheFocus() {
    Workplace bench = new Workplace(page);
    page.navigate("/bench/5");
    bench.settle();
    page.keyboard().press("3");
    page.locator(".veil.is-open").waitFor();
    assertThat(page.evaluate("() => document.activeElement.closest('.veil.is-open') !== null"))
        .isEqualTo(true);
    page.keyboard().press("Escape");
    assertThat(page.locator(".veil.is-open").count()).isZero();
  }

  private String held() {
    page.waitForFunction(
        "() => new Promise(d => requestAnimationFrame(() => requestAnimationFrame(d)))");
    return (String)
        page.evaluate(
            "() => document.activeElement === document.body ? 'nothing' :"
                + " document.activeElement.getAttribute('aria-label')"
                + " ?? document.activeElement.textContent.trim()");
  }

  private void pressed(Locator button) {
    button.focus();
    page.keyboard().press("Enter");
  }

  /** Whatever a press takes away, hides or draws anew, the keys stay near by. */
  @Test
  void theFocusStaysNearByWhateverAPressTakesAway() {
    Workplace bench = new Workplace(page);
    page.navigate("/bench/5");
    bench.settle();
    page.keyboard().press("2");
    page.locator(".veil.is-open").waitFor();
    page.keyboard().press("Tab"); // its hem
    page.locator("[data-side=mask]").focus();
    page.keyboard().press("Enter");
    pressed(page.locator(".rule-adder").getByText("By brightness"));
    bench.settle();
    assertThat(held()).isEqualTo("By brightness");
    pressed(page.locator(".rule-box").getByText("Drop"));
    bench.settle();
    assertThat(held()).isNotEqualTo("nothing");
    pressed(page.locator("[data-paint=off]"));
    bench.settle();
    assertThat(held()).as("where “Brush off” was").isNotEqualTo("nothing");
    page.keyboard().press("Escape");
    assertThat(held()).startsWith("2 ");
    page.keyboard().press("Delete");
    bench.settle();
    assertThat(held()).isNotEqualTo("nothing");
    for (int step = 0; step < 4; step++) {
      page.keyboard().press("Control+z");
      bench.settle();
    }
    assertThat(held()).isNotEqualTo("nothing");
  }

  @Test
  void theFocusStaysOnTheCardWhileItIsDrawnAnew() {
    Workplace room = new Workplace(page);
    page.navigate("/fitting/of?wardrobe=kit:1&photo=3");
    room.settle();
    pressed(page.locator(".piece", new Page.LocatorOptions().setHasText("Quiet corners")));
    room.settle();
    Locator lift = page.locator(".veil-line").first().getByText("Lift");
    pressed(lift);
    room.settle();
    assertThat(held()).isEqualTo("Let down");
    pressed(page.locator("[data-pin]"));
    page.locator(".pin").waitFor();
    assertThat(held()).startsWith("Pin this");
    pressed(page.locator(".pin .away"));
    page.waitForFunction("() => !document.querySelector('.pin')");
    assertThat(held()).isNotEqualTo("nothing");
    pressed(page.locator("[data-take-off]"));
    room.settle();
    assertThat(held()).isNotEqualTo("nothing");
  }
}
