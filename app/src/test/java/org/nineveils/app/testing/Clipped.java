package org.nineveils.app.testing;

import com.microsoft.playwright.Page;
import java.util.List;

/**
 * Words on a page that cannot be read whole: cut off, out of the window, or reaching into others.
 */
public final class Clipped {
  /** Widths and heights of windows that must work. */
  public static final List<int[]> SIZES =
      List.of(
          new int[] {1024, 768},
          new int[] {1280, 800},
          new int[] {1440, 900},
          new int[] {2560, 1440});

  private static final String WORDS =
      """
      () => [...document.querySelectorAll("body *")].filter((e) => {
        if (!e.checkVisibility() || e.closest(".gives-way, .way, dialog:not([open]), .sr-only, svg, select, .menu > div")) return false;
        const texts = [...e.childNodes].filter((n) => n.nodeType === 3 && n.textContent.trim());
        if (texts.length === 0) return false;
        const range = document.createRange();
        range.selectNodeContents(e);
        const words = range.getBoundingClientRect();
        const box = e.getBoundingClientRect();
        if (words.width < 1 || words.height < 1) return false;
        const scrolls = e.parentElement.closest(".offers, .strip, .readings, .beside, .open, .settings, .grid-scroll, .swept-scroll, .proofs-aside");
        if (words.right > innerWidth + 1 && !scrolls) return true;
        const style = getComputedStyle(e);
        if (style.textOverflow === "ellipsis" && e.title) return false; // whole in its hint
        const own = style.display !== "inline";
        return own && (words.right > box.right + 1.5 || words.left < box.left - 1.5);
      }).map((e) => e.tagName + " " + e.className + ": " + e.textContent.trim().slice(0, 40))""";

  private Clipped() {}

  /** Element, class and the beginning of each. */
  public static List<?> on(Page page) {
    return (List<?>) page.evaluate(WORDS);
  }
}
