package org.nineveils.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.ByteArrayInputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.cli.Main;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;

/** The whole job in one go, from an empty application to a photographer's picture. */
class WalkIT {
  private static final Path PHOTO = Path.of("../demo/photos/newborn-red-blotchy-skin.jpg");

  @TempDir Path files;

  private static void click(Page page, String name) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
        .first()
        .click();
  }

  @Test
  void fromAnEmptyApplicationToAPhotographersPicture() throws Exception {
    try (var observed = RunningApp.empty().page()) {
      Page page = observed.page();
      Workplace bench = new Workplace(page);

      startAKitOnOwnPhotos(page);
      buildAnEffect(page, bench);
      bench.readings();
      byte[] benchPicture = bench.download("[data-format=png]");
      String effectId = page.url().replaceAll(".*/bench/(\\d+).*", "$1");
      Path paint = files.resolve("bench-paint.json");
      Files.writeString(paint, benchPaint(page, effectId));

      fileTheEffect(page);
      Path release = packAndDownload(page, bench);
      assertThat(entriesOf(release)).noneMatch(name -> name.contains("paint"));

      assertThat(cli("check", release.toString())).contains("1 kits, 1 effects, all sound");
      Path byHand = apply(release, "bench.png", "--paint", paint.toString());
      assertThat(same(benchPicture, Files.readAllBytes(byHand)))
          .as("the bench's full-size result is the command line's, pixel for pixel")
          .isTrue();

      wearAtTheDesk(page, release);
      byte[] plainlyWorn = bench.download("[data-format=png]");
      Path unpainted = apply(release, "desk-plain.png");
      assertThat(same(plainlyWorn, Files.readAllBytes(unpainted))).isTrue();

      bench.paint(0.4, 0.4, 0.6, 0.5, 0.5, 0.6);
      bench.dragHem("Morning", 0.6);
      double worn = opacityShown(page);
      Path deskPaint = files.resolve("desk-paint.json");
      Files.write(deskPaint, bench.download("[data-save-paint]"));
      page.locator("summary.primary").click();
      byte[] deskPicture = bench.download("[data-format=png]");
      Path same =
          apply(
              release,
              "desk.png",
              "--paint",
              deskPaint.toString(),
              "--opacity",
              String.valueOf(worn));
      assertThat(same(deskPicture, Files.readAllBytes(same)))
          .as("the desk's picture is the command line's, pixel for pixel")
          .isTrue();
      assertThat(same(deskPicture, plainlyWorn)).isFalse();
      assertThat(observed.faults()).isEmpty();
    }
  }

  private static void startAKitOnOwnPhotos(Page page) {
    page.navigate("/");
    page.getByText("I make effects").click();
    page.waitForURL("**/kits");
    assertThat(page.locator("main").innerText()).contains("Start your first kit");
    page.locator("form[data-send='POST /api/kits'] input[name=name]").first().fill("Cradle");
    page.locator("[data-drop=wall] input")
        .setInputFiles(new Path[] {PHOTO, Path.of("../demo/photos/pet-black-dog.jpg")});
    page.getByText("2 photos hang on the wall").waitFor();
    assertThat(page.locator(".hanging img").count()).as("the photos are shown").isEqualTo(2);
    // what was typed meanwhile is not lost: the page's script puts it back once it runs
    PlaywrightAssertions.assertThat(
            page.locator("form[data-send='POST /api/kits'] input[name=name]").first())
        .hasValue("Cradle");
    click(page, "Start this kit");
    page.waitForURL("**/kits/*");
    click(page, "New effect in Looks");
    page.locator("dialog[open] input[name=name]").fill("Draft");
    click(page, "Build it at the bench");
    page.waitForURL("**/bench/*");
  }

  private static void buildAnEffect(Page page, Workplace bench) {
    bench.settle();
    double plain = bench.light(0.5, 0.4);
    bench.hang("light");
    bench.set("exposure", 0.5);
    assertThat(bench.light(0.5, 0.4)).isGreaterThan(plain + 5);
    bench.hang("curve");
    bench.set("outBlack", 40);
    bench.hang("tint");
    bench.set("monochrome", 100);
    List<Integer> grey = bench.colour(0.6, 0.4);
    assertThat(grey.get(0)).isEqualTo(grey.get(1)).isEqualTo(grey.get(2));

    bench.dragHem("Curve", 0.4);
    assertThat(bench.veil("Curve").locator(".hem").getAttribute("aria-valuenow")).isEqualTo("40");

    click(page, "Brush on");
    bench.settle();
    List<Integer> coloured = bench.colour(0.6, 0.4);
    assertThat(coloured.get(0)).as("hidden until it is brushed on").isNotEqualTo(coloured.get(2));
    bench.paint(0.55, 0.4, 0.65, 0.4);
    List<Integer> brushed = bench.colour(0.6, 0.4);
    assertThat(spread(brushed)).isLessThan(spread(coloured) / 2);

    bench.paint(0.3, 0.6, 0.4, 0.7);
    page.keyboard().press("Control+z");
    bench.settle();
    assertThat(page.locator(".said").innerText()).startsWith("Taken back: brush on");
    assertThat(bench.colour(0.6, 0.4)).as("the first stroke is still there").isEqualTo(brushed);
  }

  private static int spread(List<Integer> rgb) {
    return rgb.stream().mapToInt(v -> v).max().orElseThrow()
        - rgb.stream().mapToInt(v -> v).min().orElseThrow();
  }

  private static String benchPaint(Page page, String effectId) {
    long photo =
        ((Number)
                page.evaluate(
                    "() => Number(document.querySelector('.strip [aria-current=true]').dataset.photo)"))
            .longValue();
    return (String)
        page.evaluate(
            "a => fetch(a).then(r => r.json()).then(s => JSON.stringify(s))",
            "/api/effects/%s/paint?photo=%d".formatted(effectId, photo));
  }

  private static void fileTheEffect(Page page) {
    click(page, "File");
    page.locator("dialog[open] input[name=name]").fill("Morning");
    click(page, "File it");
    page.waitForFunction("() => document.querySelector('.crumbs b').textContent === 'Morning'");
  }

  private Path packAndDownload(Page page, Workplace bench) throws Exception {
    page.navigate("/collections");
    click(page, "Start a collection");
    page.locator("dialog[open] input[name=name]").fill("First Light");
    page.locator("dialog[open] button.primary").click();
    page.waitForURL("**/collections/*");
    page.locator("[data-tick^='kit:']").check();
    page.waitForFunction(
        "() => document.querySelector('[data-saved]').textContent === 'Saved' && !document.querySelector('[data-pack]').disabled");
    page.getByText("Nothing keeps it in.").waitFor();
    click(page, "Pack 1.0");
    page.locator("#pack-all-the-same .primary").click();
    page.getByText("Packed “First Light” 1.0 with one effect, signed").waitFor();
    Path release = files.resolve("first-light.zip");
    Files.write(release, bench.download("a[download]"));
    return release;
  }

  private static void wearAtTheDesk(Page page, Path release) {
    page.navigate("/desk");
    assertThat(page.locator("header").innerText()).doesNotContain("Bench");
    page.locator(".rooms").getByText("Photos").click();
    page.locator("[data-drop=desk] input").setInputFiles(PHOTO);
    page.getByText("One photo was added.").waitFor();
    page.locator(".rooms").getByText("Collections").click();
    page.locator("[data-drop=release] input").setInputFiles(release);
    page.waitForURL("**/desk/*");
    assertThat(page.locator("main").innerText())
        .contains("First Light", "Cradle", "Looks", "Morning");
    page.getByText("Wear it on a photo").click();
    page.waitForURL("**/desk/fitting/*");
    Workplace fitting = new Workplace(page);
    page.locator(".piece").click();
    page.locator(".veil").waitFor();
    fitting.settle();
    assertThat(fitting.photoShare()).as("landscape at the desk").isGreaterThanOrEqualTo(0.40);
    page.locator("summary.primary").click();
  }

  private static double opacityShown(Page page) {
    return Double.parseDouble(page.locator(".hem").getAttribute("aria-valuenow")) / 100;
  }

  private Path apply(Path release, String out, String... more) {
    Path file = files.resolve(out);
    List<String> arguments =
        new java.util.ArrayList<>(
            List.of(
                "apply",
                "--release",
                release.toString(),
                "--effect",
                "Morning",
                "--photo",
                PHOTO.toString(),
                "--out",
                file.toString()));
    arguments.addAll(List.of(more));
    cli(arguments.toArray(new String[0]));
    return file;
  }

  private static String cli(String... arguments) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int status = Main.run(new PrintWriter(out, true), new PrintWriter(err, true), arguments);
    assertThat(status).as(err.toString()).isZero();
    return out.toString();
  }

  private static boolean same(byte[] png, byte[] other) {
    Picture a = PictureReader.read(png, "one.png");
    Picture b = PictureReader.read(other, "other.png");
    return a.width() == b.width()
        && java.util.Arrays.equals(a.r(), b.r())
        && java.util.Arrays.equals(a.g(), b.g())
        && java.util.Arrays.equals(a.b(), b.b());
  }

  private static List<String> entriesOf(Path zip) throws Exception {
    List<String> names = new java.util.ArrayList<>();
    try (ZipInputStream in =
        new ZipInputStream(
            new ByteArrayInputStream(Files.readAllBytes(zip)), StandardCharsets.UTF_8)) {
      for (var e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        names.add(e.getName());
      }
    }
    return names;
  }
}
