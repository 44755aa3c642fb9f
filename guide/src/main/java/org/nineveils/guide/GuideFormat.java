package org.nineveils.guide;

import org.nineveils.refusal.Ids;
import org.nineveils.refusal.Refusal;

/** What is made for buyers of a release. */
public enum GuideFormat {
  GUIDE_PDF("guide", "Guide, PDF", "guide.pdf"),
  GUIDE_PAGE("guide-page", "Guide, web page", "guide.html"),
  CONTACT_PDF("contact-sheet", "Contact sheet, PDF", "contact-sheet.pdf"),
  CONTACT_PAGE("contact-sheet-page", "Contact sheet, web page", "contact-sheet.html");

  private final String id;
  private final String label;
  private final String file;

  GuideFormat(String id, String label, String file) {
    this.id = id;
    this.label = label;
    this.file = file;
  }

  /** Name in requests and on the command line. */
  public String id() {
    return id;
  }

  /** Name on screens. */
  public String label() {
    return label;
  }

  /** Name of its file. */
  public String file() {
    return file;
  }

  boolean isPdf() {
    return file.endsWith(".pdf");
  }

  boolean isGuide() {
    return this == GUIDE_PDF || this == GUIDE_PAGE;
  }

  /**
   * The format of that name.
   *
   * @throws Refusal with a sentence if there is none
   */
  public static GuideFormat ofId(String id) {
    return Ids.find(values(), GuideFormat::id, id)
        .orElseThrow(() -> new Refusal("There is no guide of the format “%s”.".formatted(id)));
  }
}
