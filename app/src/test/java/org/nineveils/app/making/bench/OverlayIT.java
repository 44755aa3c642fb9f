package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.Json;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.release.Checksums;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;

/** A picture of the maker's own, laid over photos and packed with the effect. */
class OverlayIT extends BenchTrial {
  private static byte[] blue() {
    Picture p = Picture.blank(60, 40);
    java.util.Arrays.fill(p.b(), 1);
    return PictureWriter.write(p, PictureFormat.PNG);
  }

  private void choose(String name, byte[] file) {
    page.locator(".is-picture input[type=file]")
        .setInputFiles(new FilePayload(name, "image/png", file));
  }

  @Test
  void aChosenPictureLiesOverThePhotoAndTravelsInTheRelease() {
    bench.hang("overlay");
    List<Integer> plain = bench.colour(0.4, 0.75);
    choose("paper.png", blue());
    page.getByText("lies over the photo").waitFor();
    bench.settle();
    assertThat(bench.colour(0.4, 0.75)).containsExactly(0, 0, 255);
    bench.set("pictureAmount", 50);
    List<Integer> half = bench.colour(0.4, 0.75);
    assertThat(half.get(0)).isBetween(plain.get(0) / 2 - 1, plain.get(0) / 2 + 1);

    String sha = Checksums.sha256(blue());
    Release release = ReleaseReader.read(packed(), "trial.zip");
    assertThat(release.pictures().get(sha)).isEqualTo(blue());
    assertThat(release.effects()).anyMatch(e -> e.effect().pictures().contains(sha));
  }

  private byte[] packed() {
    String made = http.json("POST", "/api/collections", "{\"name\": \"Paper\"}").body();
    String id = Json.read(made, "").text("go").replaceAll("\\D", "");
    http.json(
        "PUT",
        "/api/collections/" + id,
        """
        {"rev": 1, "label": "fill", "collection":
          {"name": "Paper", "version": "1.0", "licence": "", "notes": "", "kits": [1]}}""");
    http.job("/api/collections/" + id + "/pack?seen=true", "");
    Page other = page.context().newPage();
    other.navigate("/collections/" + id);
    byte[] file = new org.nineveils.app.testing.Workplace(other).download("a[download]");
    other.close();
    http.json("DELETE", "/api/collections/" + id, "");
    return file;
  }

  @Test
  void aFileThatIsNoPictureIsRefusedInASentenceAndChangesNothing() {
    bench.hang("overlay");
    choose("letter.png", "Dear photographer".getBytes(StandardCharsets.UTF_8));
    page.getByText("“letter.png” is neither a JPEG nor a PNG picture.").waitFor();
    assertThat(veils().get(0).object("settings").text("picture")).isEmpty();
    allowedFaults.add("422");
  }

  @Test
  void theManyPartsAreShownOneAtATimeAndTellWhichAct() {
    bench.hang("overlay");
    assertThat(page.locator(".open .setting:visible").first().getAttribute("data-key"))
        .isEqualTo("picture");
    page.locator(".parts button", new Page.LocatorOptions().setHasText("Film grain")).click();
    assertThat(page.locator(".open .setting:visible").first().getAttribute("data-key"))
        .isEqualTo("grain");
    bench.set("grain", 60);
    assertThat(page.locator(".parts .is-moved").allInnerTexts()).containsExactly("Film grain");
  }
}
