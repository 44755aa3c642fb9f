package org.nineveils.app.testing;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * What a maker does with pointer and keys at the bench and in a fitting. Waits on conditions only.
 */
public final class Workplace {
  private static final String SETTLED =
      """
      () => {
        const stage = document.querySelector("[data-stage]");
        return Number(stage.dataset.shown ?? 0) > 0 && !stage.classList.contains("is-busy") && !stage.classList.contains("is-behind")
          && document.querySelector("[data-saved]").textContent === "Saved";
      }""";

  private final Page page;

  public Workplace(Page page) {
    this.page = page;
  }

  /** Waits until the newest picture is shown and everything is saved. */
  public void settle() {
    page.waitForFunction(SETTLED);
    page.waitForFunction(
        "() => new Promise(d => requestAnimationFrame(() => requestAnimationFrame(d)))");
    page.waitForFunction(SETTLED);
  }

  /** Opens an effect of a kit at the bench. */
  public void atTheBench(int kit, String effect, int photo) {
    page.navigate("/kits/" + kit);
    Object id =
        page.evaluate(
            "async ([kit, name]) => (await (await fetch('/api/rack/' + kit)).json())"
                + ".effects.find(e => e.name === name).id",
            List.of(kit, effect));
    page.navigate("/bench/%s?photo=%d".formatted(id, photo));
  }

  /** Hangs a veil of a kind by the chooser; it opens. */
  public void hang(String kindId) {
    page.locator(".hang").click();
    page.locator(".kinds button[data-kind=" + kindId + "]").click();
    page.locator(".veil.is-open").waitFor();
    settle();
  }

  public void pick(String name) {
    veil(name).locator(".pick .name").click();
    settle();
  }

  /** Shows the readings beside the photo where an open veil stands in their place. */
  public void readings() {
    Locator tab = page.locator("[data-shows=readings]");
    if (tab.isVisible()) {
      tab.click();
    }
  }

  /** The cloth on the rail by a part of its name. */
  public Locator veil(String name) {
    Locator named = page.locator(".pick .name", new Page.LocatorOptions().setHasText(name));
    return page.locator(".veil", new Page.LocatorOptions().setHas(named));
  }

  /** Drags a cloth's hem with the pointer to a share of its full drop. */
  public void dragHem(String name, double share) {
    Locator hem = veil(name).locator(".hem");
    BoundingBox at = hem.boundingBox();
    double full = page.locator("[data-veils]").boundingBox().height - 24;
    double now = Double.parseDouble(hem.getAttribute("aria-valuenow")) / 100;
    double x = at.x + at.width / 2;
    double y = at.y + at.height / 2;
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x, y + (share - now) * full / 2);
    page.mouse().move(x, y + (share - now) * full);
    page.mouse().up();
    settle();
  }

  /** Types a number into a setting of the open veil, a slider or a cell of a table. */
  public void set(String key, double value) {
    String own = "[data-key=" + key + "] input";
    String shown = ".open .settings:not([hidden]) ";
    type(page.locator(shown + ".setting" + own + "[type=number], " + shown + ".cell" + own), value);
  }

  /** Types a number into a setting of one of the open veil's rules. */
  public void setRule(int index, String key, double value) {
    Locator rule = page.locator(".rule-box").nth(index);
    type(rule.locator(".setting[data-key=" + key + "] input[type=number]"), value);
  }

  private void type(Locator number, double value) {
    number.fill(String.valueOf(value));
    number.press("Enter");
    settle();
  }

  /** Paints along points given as shares of the stage's finished pane. */
  public void paint(double... shares) {
    BoundingBox pane = page.locator(".pane-finished").boundingBox();
    page.mouse().move(pane.x + shares[0] * pane.width, pane.y + shares[1] * pane.height);
    page.mouse().down();
    for (int i = 2; i < shares.length; i += 2) {
      page.mouse()
          .move(
              pane.x + shares[i] * pane.width,
              pane.y + shares[i + 1] * pane.height,
              new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
    }
    page.mouse().up();
    settle();
  }

  /** Red, green and blue of the finished picture at a share of its pane. */
  public List<Integer> colour(double x, double y) {
    Object rgb =
        page.evaluate(
            """
            ([x, y]) => {
              const c = document.querySelector(".pane-finished [data-picture]");
              const d = c.getContext("2d").getImageData(x * c.width, y * c.height, 1, 1).data;
              return [d[0], d[1], d[2]];
            }""",
            List.of(x, y));
    return ((List<?>) rgb).stream().map(v -> ((Number) v).intValue()).toList();
  }

  /** The whole finished picture as it is painted, to compare. */
  public Object picture() {
    return page.evaluate(
        "() => document.querySelector('.pane-finished [data-picture]').toDataURL()");
  }

  /** The share of the window that the shown photo takes, counted in its pixels. */
  public double photoShare() {
    Object share =
        page.evaluate(
            """
            () => {
              const c = document.querySelector(".pane-finished [data-picture]");
              const { data } = c.getContext("2d").getImageData(0, 0, c.width, c.height);
              let n = 0;
              for (let i = 3; i < data.length; i += 4) n += data[i] > 0;
              return n / devicePixelRatio ** 2 / (innerWidth * innerHeight);
            }""");
    return ((Number) share).doubleValue();
  }

  /** Lightness of that colour as the mean of its channels. */
  public double light(double x, double y) {
    return colour(x, y).stream().mapToInt(Integer::intValue).average().orElseThrow();
  }

  /** Clicks something that gives a file. */
  public byte[] download(String selector) {
    Download download = page.waitForDownload(() -> page.locator(selector).click());
    try {
      Path file = Files.createTempFile("nine-veils-", ".download");
      download.saveAs(file);
      return Files.readAllBytes(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
