package org.nineveils.app.shop.desk;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.RunningApp;

class DeskIT {
  /** Each side takes back its own: the maker's page must not undo what was done at the desk. */
  @Test
  void aPhotoTakenOffAtTheDeskComesBackThereAndOnlyThere() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/photos");
      int wall = page.locator("figure").count();
      boolean nothing = page.locator("[data-undo-button]").isDisabled();
      page.navigate("/desk/photos");
      page.locator("[data-drop=desk] input")
          .setInputFiles(Path.of("../demo/photos/pet-black-dog.jpg"));
      page.getByText("One photo was added.").waitFor();
      page.locator("[aria-label='Go on with pet-black-dog']").waitFor(); // the page came anew
      int photos = page.locator("figure").count();
      page.locator("[data-desk-tick]").click();
      page.locator("[aria-label='Go on with pet-black-dog']").click();
      page.locator("[data-desk-off]").click();
      page.getByText("One photo was taken off.").waitFor();
      page.waitForFunction("n => document.querySelectorAll('figure').length === n - 1", photos);

      page.navigate("/photos");
      assertThat(page.locator("[data-undo-button]").isDisabled()).isEqualTo(nothing);
      assertThat(page.locator("figure").count()).isEqualTo(wall);
      page.navigate("/desk/photos");
      page.locator("[data-undo-button]").click();
      page.getByText("Taken back: take off pet-black-dog.").waitFor();
      assertThat(page.locator("figure").count()).isEqualTo(photos);
      assertThat(observed.faults()).isEmpty();
    }
  }
}
