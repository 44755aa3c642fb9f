package org.nineveils.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Axe;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;

/** A photographer's day: from an empty house to a sitting in one look, saved. */
class SittingWalkIT {
  private static final int PHOTOS = 10;
  private static final int MOST_ACTS = 40;

  @TempDir Path folder;
  private Page page;
  private int acts;

  private void click(Locator at) {
    at.click();
    acts++;
  }

  private Locator text(String text) {
    return page.locator("main").getByText(text).first();
  }

  /** Something to fetch from the maker's stall. */
  private static void putOut(RunningApp app) {
    Http maker = new Http(app);
    maker.job("/api/collections/1/pack?seen=true", "");
    String id =
        maker
            .get("/collections/1")
            .body()
            .replaceAll("(?s).*?/collections/packed/(\\d+)\".*", "$1");
    var out = maker.json("POST", "/api/stall", "{\"release\":%s,\"price\":\"\"}".formatted(id));
    assertThat(out.statusCode()).as(out.body()).isEqualTo(200);
  }

  private static Path[] photos() throws IOException {
    try (Stream<Path> all = Files.list(Path.of("../demo/photos"))) {
      return all.filter(p -> p.toString().endsWith(".jpg"))
          .sorted()
          .limit(PHOTOS)
          .toArray(Path[]::new);
    }
  }

  @Test
  void tenPhotosOfASittingAreSavedInOneLookInUnderFortyActs() throws IOException {
    putOut(RunningApp.demo());
    try (RunningApp app = RunningApp.on(folder, 0, "--nineveils.stall=" + RunningApp.demo().url());
        var observed = app.page()) {
      page = observed.page();
      page.navigate("/");
      click(text("I take photos"));
      page.waitForURL("**/desk");
      click(page.locator(".rooms").getByText("Stall"));
      page.locator("[data-elsewhere-list] button").first().waitFor();
      assertThat(Axe.faults(page)).isEmpty();
      click(page.locator("[data-elsewhere-list] button").first());
      page.waitForURL("**/desk/1");

      click(page.locator(".rooms").getByText("Photos"));
      page.locator("[data-drop=desk] input").setInputFiles(photos());
      acts += 2; // the button, and the choice of files
      page.locator(".desk-group figure").nth(PHOTOS - 1).waitFor();
      assertThat(Axe.faults(page)).isEmpty();

      click(page.locator("[data-desk-tick]"));
      for (int i = 0; i < PHOTOS; i++) {
        click(page.locator(".desk-group a").nth(i));
      }
      page.locator("[data-desk-ticked] [name=name]").fill("Hall of November");
      acts++;
      click(page.locator("[data-desk-ticked]").getByText("Put into a sitting"));
      page.locator(".desk-sitting").waitFor();
      assertThat(page.locator(".desk-sitting").inputValue()).isEqualTo("Hall of November");

      click(page.locator(".desk-group a").first());
      page.waitForURL("**/desk/fitting/*");
      Workplace room = new Workplace(page);
      room.settle();
      click(page.locator(".piece", new Page.LocatorOptions().setHasText("Oat matte")));
      page.mouse().move(600, 300);
      room.veil("Oat matte").waitFor();
      room.settle();
      room.dragHem("Oat matte", 0.6);
      acts++;
      click(page.locator("[data-onward-copy]"));
      click(page.locator("[data-ticking-all]"));
      click(page.locator("[data-ticking-wear]"));
      page.locator(".said").getByText("9 photos wear “Oat matte”.").waitFor();

      click(page.locator("summary", new Page.LocatorOptions().setHasText("Save the picture")));
      page.waitForDownload(() -> click(page.locator("[data-format=jpg]")));
      click(page.locator("summary", new Page.LocatorOptions().setHasText("Save the picture")));
      click(page.locator("[data-batch-open]"));
      click(page.locator("[data-batch-all]"));
      click(page.locator("[data-batch-start]"));
      Locator results = page.locator("[data-batch-results]");
      results.waitFor();
      page.waitForDownload(() -> click(results));
      click(page.locator("[data-batch-running] [data-closes]"));

      click(page.locator(".rooms").getByText("Photos"));
      page.locator(".desk-mark").first().waitFor();
      List<String> marks = page.locator(".desk-mark").allInnerTexts();
      assertThat(marks).hasSize(PHOTOS).allMatch(m -> m.endsWith("· saved"));
      assertThat(acts).isLessThan(MOST_ACTS);
      assertThat(observed.faults()).isEmpty();

      oneThatIsChangedAgainIsNotSaved(room);
    }
  }

  private void oneThatIsChangedAgainIsNotSaved(Workplace room) {
    Locator first = page.locator(".desk-group a").first();
    page.waitForFunction("() => document.querySelector('.desk-group img').naturalWidth > 0");
    String worn = first.locator("img").getAttribute("src");
    assertThat(worn).contains("/api/fittings/");
    first.hover();
    assertThat(first.locator("img").getAttribute("src")).contains("/photos/");
    assertThat(first.innerText()).contains("before");
    first.click();
    page.waitForURL("**/desk/fitting/*");
    room.settle();
    page.keyboard().press("v");
    room.settle();
    page.navigate("/desk/photos");
    assertThat(page.locator(".desk-mark").first().innerText()).endsWith("· not saved yet");
  }
}
