package org.nineveils.app.wear.folders;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;

/** Many photos: from a folder into a folder, and a folder that is watched. */
class FoldersIT {
  private final RunningApp app = RunningApp.demo();
  private final Http http = new Http(app);
  private final Path root = app.data().resolve("folders");
  private final long kit = http.eighteen(); // one of its own: other tests count on plain fittings

  @AfterEach
  void removeTheKit() {
    http.json("DELETE", "/api/kits/" + kit, "");
  }

  private Path folder(String name) throws IOException {
    return Files.createDirectories(root.resolve(name));
  }

  private static void lay(Path to, String photo, String as) throws IOException {
    Files.copy(Path.of("../demo/photos/" + photo + ".jpg"), to.resolve(as));
  }

  private static List<String> names(Path folder) {
    try (Stream<Path> all = Files.list(folder)) {
      return all.map(p -> p.getFileName().toString())
          .filter(n -> !n.startsWith("."))
          .sorted()
          .toList();
    } catch (IOException e) {
      return List.of();
    }
  }

  private static void until(BooleanSupplier so) {
    long end = System.nanoTime() + 30_000_000_000L;
    while (!so.getAsBoolean() && System.nanoTime() < end) {
      java.util.concurrent.locks.LockSupport.parkNanos(50_000_000);
    }
    assertThat(so.getAsBoolean()).isTrue();
  }

  /** Opens a fitting that wears a black-and-white, with the dialog for more photos. */
  private Locator dialog(Page page, int photo) {
    Workplace room = new Workplace(page);
    page.navigate("/fitting/of?wardrobe=kit:%d&photo=%d".formatted(kit, photo));
    room.settle();
    page.locator(".piece", new Page.LocatorOptions().setHasText("Silver larch")).click();
    page.mouse().move(600, 300);
    room.veil("Silver larch").waitFor();
    room.settle();
    page.getByText("Save the picture").click();
    page.locator("[data-batch-open]").click();
    return page.locator("[data-batch]");
  }

  @Test
  void allPhotosOfAFolderGoIntoAFolderUnderNamesOfTheirOwnAtASizeAndNothingIsWrittenOver()
      throws IOException {
    Path from = folder("shoot/one");
    Path to = folder("shoot/done");
    lay(from, "pet-ginger-cat", "cat.jpg");
    lay(from, "pet-black-dog", "dog.jpg");
    Files.writeString(from.resolve("torn.jpg"), "no picture at all");
    Files.writeString(to.resolve("001 cat.png"), "what lay there before");
    try (var observed = app.page()) {
      Page page = observed.page();
      Locator dialog = dialog(page, 10);
      dialog.locator("[data-batch-from]").fill("shoot/one");
      dialog.locator("[data-batch-to]").selectOption("folder");
      dialog.locator("[data-batch-folder]").fill("shoot/done");
      dialog.locator("[data-wish=names]").fill("{number} {photo}");
      dialog.locator("[data-batch-format]").selectOption("png");
      dialog.locator("[data-wish=longSide]").fill("300");
      page.waitForCondition(
          () -> dialog.locator("[data-batch-start]").innerText().equals("Apply to 3 photos"));
      dialog.locator("[data-batch-start]").click();
      page.getByText("2 photos are in “shoot/done”.").waitFor();
      assertThat(dialog.locator("[data-batch-faults]").innerText()).contains("torn.jpg");
    }
    assertThat(names(to)).containsExactly("001 cat-2.png", "001 cat.png", "002 dog.png");
    assertThat(to.resolve("001 cat.png")).hasContent("what lay there before");
    Picture dog = PictureReader.read(to.resolve("002 dog.png"));
    assertThat(dog.longSide()).isEqualTo(300);
    int middle = dog.height() / 2 * dog.width() + dog.width() / 2;
    assertThat(dog.r()[middle])
        .isCloseTo(dog.b()[middle], org.assertj.core.data.Offset.offset(0.02f));
    assertThat(names(from)).hasSize(3);
  }

  @Test
  void photosLaidIntoAWatchedFolderGetItsLookOnceAndWhatFailsIsNamed() throws IOException {
    Path from = folder("inbox");
    lay(from, "pet-ginger-cat", "cat.jpg");
    try (var observed = app.page()) {
      Page page = observed.page();
      Locator dialog = dialog(page, 11);
      dialog.locator("[data-batch-from]").fill("inbox");
      dialog.locator("[data-batch-to]").selectOption("folder");
      dialog.locator("[data-batch-folder]").fill("inbox");
      dialog.locator("[data-wish=names]").fill("{photo}-{look}");
      dialog.locator("[data-batch-watch]").click();
      dialog.getByText("they would be taken for photos").waitFor();
      observed.faults().removeIf(f -> f.contains("422"));
      dialog.locator("[data-batch-folder]").fill("inbox/ready");
      dialog.locator("[data-batch-format]").selectOption("jpg");
      dialog.locator("[data-wish=longSide]").fill("200");
      dialog.locator("[data-batch-watch]").click();
      page.locator(".said").getByText("“inbox” is watched").waitFor();
      Path ready = root.resolve("inbox/ready");
      until(() -> names(ready).contains("cat-Silver larch.jpg"));

      // more comes, one of it torn
      lay(from, "pet-black-dog", "dog.jpg");
      Files.writeString(from.resolve("torn.jpg"), "no picture at all");
      until(() -> names(ready).contains("dog-Silver larch.jpg"));
      page.navigate("/folders");
      page.waitForCondition(
          () -> {
            page.reload();
            return page.locator(".watched .fault").innerText().contains("torn.jpg");
          });
      assertThat(page.locator(".watched").innerText()).contains("2 photos made, 1 failed");
      lay(from, "pet-white-dog-stained-beard", "white.jpg");
      until(() -> names(ready).contains("white-Silver larch.jpg"));
      assertThat(names(ready)).as("each once").hasSize(3);

      // it rests, then goes on
      page.reload();
      page.getByText("Let it rest").click();
      page.getByText("· rests").waitFor();
      page.waitForLoadState(); // a button listens once the scripts of its page have come
      lay(from, "newborn-brown-skin-even", "born.jpg");
      page.getByText("Go on", new Page.GetByTextOptions().setExact(true)).click();
      until(() -> names(ready).contains("born-Silver larch.jpg"));
      page.reload();
      page.getByText("Watch no longer").click();
      page.getByText("No folder is watched.").waitFor();
      assertThat(names(ready)).hasSize(4);
      assertThat(observed.faults()).isEmpty();
    }
  }

  @Test
  void aNameThatLeadsElsewhereIsRefused() {
    String id = http.fitting("kit:1", 12);
    for (String name : new String[] {"../out", "/tmp", "a/../../b", ".hidden", "a\\b", "a//b"}) {
      var answer =
          http.json(
              "POST",
              "/api/fittings/%s/batch".formatted(id),
              Json.write(Json.object("photos", List.of(1), "to", name)));
      assertThat(answer.statusCode()).as(name).isEqualTo(422);
      assertThat(answer.body()).contains("is no name of a folder");
    }
    Fields all = Json.read(http.get("/api/folders").body(), "");
    assertThat(all.text("root")).isEqualTo(root.toString());
  }

  /**
   * One of 1.5 GB beside three good ones kept the folder busy for ever, with a job every moment.
   */
  @Test
  void aFileThatIsLargerThanWhatIsTakenIsNamedAndTheOthersGoOn() throws IOException {
    Path from = folder("giant");
    lay(from, "pet-ginger-cat", "b.jpg");
    try (var giant = new java.io.RandomAccessFile(from.resolve("a.jpg").toFile(), "rw")) {
      giant.write(Files.readAllBytes(Path.of("../demo/photos/pet-ginger-cat.jpg")));
      giant.setLength(2_300_000_000L); // with holes: it takes no room
    }
    lay(from, "pet-black-dog", "c.jpg");
    String id = http.fitting("kit:1", 12);
    String wanted =
        Json.write(
            Json.object(
                "photos",
                List.of(),
                "from",
                "giant",
                "to",
                "giant-ready",
                "names",
                "{photo}",
                "format",
                "jpg",
                "longSide",
                100));
    assertThat(http.json("POST", "/api/fittings/%s/batch/watch".formatted(id), wanted).body())
        .contains("is watched");
    Path ready = root.resolve("giant-ready");
    until(() -> names(ready).equals(List.of("b.jpg", "c.jpg")));
    until(() -> http.get("/folders").body().contains("2 photos made, 1 failed"));
    assertThat(http.get("/folders").body()).contains("“a.jpg” has 2193 MB");
    int jobs = jobs();
    lay(from, "pet-white-dog-stained-beard", "d.jpg");
    until(() -> names(ready).contains("d.jpg"));
    assertThat(jobs()).as("one job for the one that came").isEqualTo(jobs + 1);
    Files.delete(from.resolve("a.jpg"));
    int watched =
        Integer.parseInt(
            http.get("/folders").body().replaceAll("(?s).*?folders/watched/(\\d+)[^\\d].*", "$1"));
    http.json("DELETE", "/api/folders/watched/" + watched, "");
  }

  private int jobs() {
    return http.get("/api/jobs?all=true").body().split("\"kind\":\"watched\"", -1).length;
  }
}
