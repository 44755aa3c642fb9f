package org.nineveils.app.shots;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;

/** Takes the pictures of {@code docs/screenshots} from demo data; run by {@code ./nv shots}. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class Screenshots {
  private final Path folder = Path.of(System.getProperty("nineveils.shots", "."));

  private void shoot(Page page, String name) {
    page.waitForFunction(
        "() => [...document.images].every(i => i.complete || i.loading === 'lazy')");
    Path file = folder.resolve(name + ".png");
    try {
      KeptPicture.put(page.screenshot(), file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    assertThat(file).isNotEmptyFile();
  }

  private void plain(Page page, String path, String name) {
    page.navigate(path);
    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    shoot(page, name);
  }

  @Test
  @Order(1)
  void pages() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.setDefaultTimeout(180_000);
      plain(page, "/kits/2", "rack");
      page.locator("[data-section]").nth(1).hover();
      page.locator("[data-section-act=change]").nth(1).click();
      page.locator(".try-steps li").nth(1).waitFor();
      shoot(page, "rules");
      plain(page, "/find?q=has+soft", "find");
      page.navigate("/photos");
      page.waitForFunction(
          "() => document.querySelector('[data-holds-going]').textContent === ''"
              + " && document.querySelector('[data-holds] td')");
      page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
      shoot(page, "photos");
      page.navigate("/proofs/1");
      page.waitForFunction(
          "() => /^(\\d+) of \\1 proofs$/.test(document.querySelector('[data-count]').textContent)");
      page.locator("[data-far]").first().click();
      page.waitForFunction("() => document.querySelector('[data-card-who]').textContent !== ''");
      page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
      shoot(page, "proofs");
      page.locator("[data-view=alike]").click();
      page.locator("[data-alike-bound]").fill("3");
      page.locator("[data-alike-photo]").selectOption("5");
      page.locator("[data-pair]").first().click();
      page.locator("[data-alike-differ] li").first().waitFor();
      page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
      shoot(page, "alike");
      collection(page);
      page.navigate("/photos/6");
      new Workplace(page).settle();
      page.locator(".region-list button", new Page.LocatorOptions().setHasText("skin")).click();
      page.mouse().move(600, 20);
      showsTheWeave(page, new Workplace(page));
      shoot(page, "photo");
    }
  }

  @Test
  @Order(2)
  void workplaces() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.setDefaultTimeout(180_000);
      Workplace place = new Workplace(page);
      atTheBench(page, 1, "Oat matte", 3);
      place.settle();
      place.pick("Oat curve");
      shoot(page, "bench");
      atTheBench(page, 1, "Settle redness", 1);
      place.settle();
      place.pick("Redness out");
      page.keyboard().press("m");
      page.mouse().move(600, 280);
      showsTheWeave(page, place);
      shoot(page, "bench-brush");
      moreOfTheBench(page, place);
      page.navigate("/fitting/of?wardrobe=kit:1&photo=3");
      place.settle();
      for (String name :
          new String[] {"Third of a stop", "Honeyed air", "Lips and fingertips", "Quiet corners"}) {
        page.locator(".piece", new Page.LocatorOptions().setHasText(name)).click();
        place.veil(name).waitFor();
        place.settle();
      }
      place.dragHem("Honeyed air", 0.7);
      place.pick("Lips and fingertips");
      place.paint(0.49, 0.4, 0.5, 0.41);
      shoot(page, "fitting");
      comparing(page, place);
    }
  }

  private void moreOfTheBench(Page page, Workplace place) {
    atTheBench(page, 1, "Honeyed air", 4);
    place.settle();
    place.pick("Warmer");
    page.locator("[data-side=dials]").click();
    shoot(page, "bench-dials");
    page.locator("[data-side=settings]").click();
    page.keyboard().press("Escape");
    page.keyboard().press("h");
    page.waitForFunction(
        "() => [...document.querySelectorAll('.kinds canvas')].every(c => c.dataset.opened)");
    shoot(page, "bench-kinds");
    page.keyboard().press("Escape");
    atTheBench(page, 2, "Whole studio", 4);
    place.settle();
    page.locator("[data-trace-pick]").click();
    var pane = page.locator(".pane-finished").boundingBox();
    page.mouse().click(pane.x + pane.width * 0.47, pane.y + pane.height * 0.44);
    page.locator(".trace-row").nth(10).waitFor();
    page.mouse().move(pane.x + 10, pane.y + 10);
    place.settle();
    shoot(page, "bench-trace");
  }

  private void comparing(Page page, Workplace place) {
    page.navigate("/fitting/of?wardrobe=kit:2&photo=5");
    place.settle();
    for (String name : new String[] {"Slate matte", "Pressed flowers", "Evening amber"}) {
      page.locator(".piece", new Page.LocatorOptions().setHasText(name)).click();
      place.veil(name).waitFor();
      page.mouse().move(700, 300);
      place.settle();
      page.keyboard().press("k");
      page.locator(".pin input").last().waitFor();
      place.settle();
    }
    page.locator("[data-look=pins]").click();
    page.waitForFunction(
        """
        () => {
          const all = [...document.querySelectorAll(".panes-pins [data-picture]")];
          const at = c => c.getContext("2d").getImageData(c.width / 2, c.height / 2, 1, 1).data[3];
          return all.length === 4 && all.every(c => at(c) === 255);
        }""");
    shoot(page, "fitting-pins");
    page.locator("[data-look=pins]").click();
  }

  /** Packed once, and changed since. */
  private void collection(Page page) {
    page.navigate("/collections/1");
    page.locator("[data-collection][data-ready]").waitFor();
    page.locator("[data-pack]").click();
    page.getByText("Packed “").or(page.locator("#pack-all-the-same .primary")).first().waitFor();
    if (page.locator("#pack-all-the-same .primary").isVisible()) {
      page.locator("#pack-all-the-same .primary").click();
    }
    page.locator("a[download]").first().waitFor();
    page.navigate("/bench/7?photo=3");
    new Workplace(page).settle();
    new Workplace(page).dragHem("Honey lights", 0.4);
    page.navigate("/collections/1");
    page.waitForFunction(
        "() => /ΔE \\d/.test(document.querySelector('[data-since] .since-by')?.textContent)");
    page.locator("[data-checks] .is-well").first().waitFor();
    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    shoot(page, "collection");
    page.locator("[data-put-out] [name=price]").fill("For one studio, for good");
    page.locator("[data-put-out] button").click();
    page.locator("[data-stall-said] .stall-code").click();
    page.waitForURL("**/stall/*");
    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    shoot(page, "stall");
    guide();
    page.navigate("/bench/7?photo=3");
    new Workplace(page).settle();
    page.keyboard().press("Control+z");
    page.waitForFunction("() => document.querySelector('[data-undo-button]').disabled");
  }

  /** A page of the guide beside its front, as they are printed. */
  private void guide() {
    Http http = new Http(RunningApp.demo());
    Fields job = http.job("/api/collections/packed/1/guide?format=guide", "");
    try (PDDocument pdf =
        Loader.loadPDF(http.bytes("/jobs/%d/result".formatted(job.whole("id"))))) {
      BufferedImage both = new BufferedImage(1280, 800, BufferedImage.TYPE_INT_RGB);
      Graphics2D pen = both.createGraphics();
      pen.setColor(new java.awt.Color(0xa4a4a4));
      pen.fillRect(0, 0, both.getWidth(), both.getHeight());
      PDFRenderer pages = new PDFRenderer(pdf);
      pen.drawImage(pages.renderImageWithDPI(0, 65), 60, 14, null);
      pen.drawImage(pages.renderImageWithDPI(3, 65), 680, 14, null);
      pen.dispose();
      ByteArrayOutputStream png = new ByteArrayOutputStream();
      ImageIO.write(both, "png", png);
      KeptPicture.put(png.toByteArray(), folder.resolve("guide.png"));
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void showsTheWeave(Page page, Workplace place) {
    place.settle();
    page.waitForFunction(
        """
        () => {
          const c = document.querySelector("[data-weave]");
          return c.getContext("2d").getImageData(0, 0, c.width, c.height).data.some(v => v > 0);
        }""");
  }

  private static void atTheBench(Page page, int kit, String effect, int photo) {
    new Workplace(page).atTheBench(kit, effect, photo);
  }

  @Test
  @Order(3)
  void desk() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.setDefaultTimeout(180_000);
      Workplace place = new Workplace(page);
      page.navigate("/collections/1");
      Path release = Path.of(System.getProperty("java.io.tmpdir"), "nine-veils-shots.zip");
      page.waitForDownload(() -> page.locator("a[download]").first().click()).saveAs(release);
      page.navigate("/desk/photos");
      page.locator("[data-drop=desk] input").setInputFiles(sitting());
      page.getByText("5 photos were added.").waitFor();
      page.navigate("/desk");
      page.locator("[data-drop=release] input").setInputFiles(release);
      page.waitForURL("**/desk/*");
      page.getByText("Wear it on a photo").click();
      page.waitForURL("**/desk/fitting/*");
      place.settle();
      page.locator(".piece", new Page.LocatorOptions().setHasText("Milk linen")).click();
      place.veil("Milk linen").waitFor();
      page.mouse().move(640, 300);
      place.settle();
      shoot(page, "desk");
      page.keyboard().press("j");
      page.locator(".said").getByText("As on").waitFor();
      place.settle();
      page.navigate("/desk/photos");
      page.locator("[data-desk-tick]").click();
      for (int i = 0; i < 3; i++) {
        page.locator(".desk-group a").nth(i).click();
      }
      page.locator("[data-desk-ticked] [name=name]").fill("First week of November");
      page.locator("[data-desk-ticked]").getByText("Put into a sitting").click();
      page.locator(".desk-sitting").waitFor();
      page.mouse().move(640, 60);
      page.waitForFunction(
          "() => [...document.querySelectorAll('.desk-group img')].every(i => i.complete)");
      shoot(page, "desk-photos");
    }
  }

  private static Path[] sitting() {
    return Stream.of(
            "newborn-yellowish-skin",
            "newborn-brown-skin-even",
            "newborn-red-blotchy-skin",
            "pet-ginger-cat",
            "portrait-brown-skin-window")
        .map(name -> Path.of("../demo/photos/%s.jpg".formatted(name)))
        .toArray(Path[]::new);
  }
}
