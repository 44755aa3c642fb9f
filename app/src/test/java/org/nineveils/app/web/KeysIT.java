package org.nineveils.app.web;

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
        "/photos",
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
    Locator more = page.locator("[aria-label='More about Dove']");
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
}
