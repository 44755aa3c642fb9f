package org.nineveils.app.shop.desk;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;

class TakeOffIT {
  @TempDir Path folder;

  /** Before, one click destroyed fittings and paint without a question and for ever. */
  @Test
  void takingAReleaseOffTheDeskAsksAndUndoBringsBackWhatWasWornAndPainted() throws Exception {
    Http maker = new Http(RunningApp.demo());
    maker.job("/api/collections/1/pack?seen=true", "");
    String packed = maker.get("/collections/1").body();
    String path = packed.replaceAll("(?s).*?href=\"(/collections/packed/\\d+)\".*", "$1");
    RunningApp app = RunningApp.on(folder, 0);
    try (var observed = app.page();
        var source = RunningApp.demo().page()) {
      source.page().navigate("/collections/1");
      byte[] release = new Workplace(source.page()).download("a[href='" + path + "']");
      Http http = new Http(app);
      http.upload("/api/desk", "first.zip", release);
      byte[] photo = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
      http.upload("/api/photos/desk", "dog.jpg", photo);

      Page page = observed.page();
      Workplace room = new Workplace(page);
      page.navigate("/desk/fitting/of?wardrobe=release:1&photo=1");
      room.settle();
      page.locator(".piece").getByText("Face light").first().click();
      page.mouse().move(600, 300);
      room.settle();
      room.paint(0.45, 0.4, 0.55, 0.4);
      String fitting = page.url();
      double painted = room.light(0.5, 0.4);

      page.navigate("/desk");
      page.getByText("Take off the desk").click();
      assertThat(page.locator("dialog[open]").innerText())
          .contains("One photo wears effects of it", "Undo brings all of it back");
      page.locator("dialog[open]").getByText("Keep it").click();
      assertThat(http.get("/desk/1").statusCode()).isEqualTo(200);
      page.getByText("Take off the desk").click();
      page.locator("dialog[open]").getByText("Take it off").click();
      page.getByText("was taken off the desk").waitFor();
      assertThat(http.get("/desk/1").statusCode()).isEqualTo(404);
      page.locator(".said button").click();
      page.getByText("Taken back: take").waitFor();

      page.navigate(fitting);
      room.settle();
      assertThat(room.light(0.5, 0.4)).isEqualTo(painted);
      assertThat(observed.faults()).isEmpty();
    } finally {
      app.close();
    }
  }
}
