package org.nineveils.app.testing;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import java.util.List;

/** What axe-core calls serious or critical on a page (rules after WCAG 2.2, levels A and AA). */
public final class Axe {
  private Axe() {}

  /** Each with the elements that it is about. */
  public static List<String> faults(Page page) {
    return faults(new AxeBuilder(page));
  }

  /** The same within a part of a page. */
  public static List<String> faults(Page page, String part) {
    return faults(new AxeBuilder(page).include(part));
  }

  private static List<String> faults(AxeBuilder axe) {
    return axe
        .setLegacyMode(true) // one document, no frames
        .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
        .analyze()
        .getViolations()
        .stream()
        .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
        .map(Axe::said)
        .toList();
  }

  private static String said(Rule rule) {
    return rule.getId() + ": " + rule.getNodes().stream().limit(4).map(n -> n.getHtml()).toList();
  }
}
