package org.nineveils.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.file.PictureWriter;
import org.nineveils.kit.Against;
import org.nineveils.kit.StackingRule;
import org.nineveils.picture.Picture;
import org.nineveils.release.Release;
import org.nineveils.veil.Effect;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;

/** PDFs are read back with PDFBox, pages with an XML parser. */
class GuidesTest {
  private static final byte[] NONE = {};

  private static byte[] picture(int wide, int high) {
    float[] grey = new float[wide * high];
    java.util.Arrays.fill(grey, 0.5f);
    return PictureWriter.jpeg(new Picture(wide, high, grey, grey.clone(), grey.clone()), 0.8f);
  }

  private static Effect effect(String note) {
    String doc =
        """
        {"veils":[{"id":"v1","name":"Warm wash","kind":"light","settings":{"temperature":20},
          "blend":"normal","opacity":1,"lifted":false,"mask":{"cover":"brush-on"},"meantFor":"skin"}],
         "note":%s,"edition":1,"start":0.55,
         "dials":[{"veil":"v1","key":"temperature","label":"Warmth","min":-10,"max":60}]}"""
            .formatted(Json.write(note));
    return EffectJson.parse(Json.read(doc, "The effect"));
  }

  private static Release release() {
    byte[] lying = picture(60, 40);
    byte[] standing = picture(30, 50);
    List<Release.EffectPart> many = new ArrayList<>();
    for (int i = 1; i <= 14; i++) {
      many.add(
          new Release.EffectPart(
              "Wash " + i, "w" + i, effect("Brush it on, then ease it."), lying, lying));
    }
    many.add(new Release.EffectPart("Żółć & <ταν>", "z", effect("Łagodnie · Ж"), NONE, NONE));
    Release.SectionPart looks =
        new Release.SectionPart(
            1, "Looks", StackingRule.COLOUR_LOOK, List.of(new Against(2, true)), many);
    Release.SectionPart last =
        new Release.SectionPart(
            2,
            "Last",
            StackingRule.STACK_FREELY,
            List.of(new Release.EffectPart("Quiet rim", "q", effect(""), standing, standing)));
    Release.KitPart kit =
        new Release.KitPart("Hedge & Lane", "for rainy days", List.of(looks, last));
    return new Release(
        "Wet Wool",
        "1.2",
        "Quillfern",
        "One studio.",
        "Begin with a look.\nThen the rim.\nA soft finish first: flat, off, waffle, office file.",
        List.of(kit),
        Map.of(),
        new Release.Cover(standing, standing),
        new Release.News("1.1", List.of("“Quiet rim” is new, in Hedge & Lane, Last.")),
        false);
  }

  private static byte[] made(GuideFormat format) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Guides.write(release(), format, out);
    return out.toByteArray();
  }

  @Test
  void theGuideTellsEachSectionsRuleAndOfEachEffectNoteDialsAndWhatIsBrushed() throws IOException {
    try (PDDocument pdf = Loader.loadPDF(made(GuideFormat.GUIDE_PDF))) {
      String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
      assertThat(text)
          .contains("Wet Wool", "version 1.2 by Quillfern", "16 effects", "One studio.")
          .contains("Begin with a look.", "Then the rim.", "New since 1.1")
          .contains("1 Looks", StackingRule.COLOUR_LOOK.sentence())
          .contains("It asks before it is worn with Last.")
          .contains("Wash 14", "Brush it on, then ease it.", "Goes on at 55 %.")
          .contains("“Warm wash” is brushed on, made for skin.")
          .contains("Dial “Warmth”: −10 to 60")
          .contains("Żółć & <ταν>", "Łagodnie · Ж")
          .contains("A soft finish first: flat, off, waffle, office file.");
      assertThat(pdf.getDocumentCatalog().getOutputIntents())
          .singleElement()
          .satisfies(intent -> assertThat(intent.getDestOutputIntent()).isNotNull());
      assertThat(pdf.getNumberOfPages()).isGreaterThan(3);
    }
  }

  @Test
  void everyFontIsWithinThePdfAndIsOurs() throws IOException {
    try (PDDocument pdf = Loader.loadPDF(made(GuideFormat.GUIDE_PDF))) {
      List<String> names = new ArrayList<>();
      for (PDPage page : pdf.getPages()) {
        for (COSName name : page.getResources().getFontNames()) {
          PDFont font = page.getResources().getFont(name);
          assertThat(font.isEmbedded()).as(font.getName()).isTrue();
          names.add(font.getName().replaceFirst("^[A-Z]{6}\\+", ""));
        }
      }
      assertThat(names)
          .contains("InstrumentSans-Regular", "InstrumentSans-SemiBold", "Newsreader-Italic");
    }
  }

  @Test
  void bookmarksLeadToKitSectionAndEffectAndThePdfIsTagged() throws IOException {
    try (PDDocument pdf = Loader.loadPDF(made(GuideFormat.GUIDE_PDF))) {
      List<String> all = new ArrayList<>();
      outline(pdf, pdf.getDocumentCatalog().getDocumentOutline().getFirstChild(), "", all);
      assertThat(all)
          .containsSequence("How to begin", "Hedge & Lane", "  1 Looks", "    Wash 1")
          .contains("  2 Last", "    Quiet rim");
      assertThat(pdf.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
      assertThat(pdf.getDocumentCatalog().getLanguage()).isEqualTo("en-GB");
      assertThat(pdf.getDocumentInformation().getTitle()).isEqualTo("Wet Wool 1.2, Guide");
    }
  }

  private static void outline(PDDocument pdf, PDOutlineItem item, String in, List<String> to)
      throws IOException {
    for (PDOutlineItem i = item; i != null; i = i.getNextSibling()) {
      assertThat(i.findDestinationPage(pdf)).as(i.getTitle()).isNotNull();
      to.add(in + i.getTitle());
      outline(pdf, i.getFirstChild(), in + "  ", to);
    }
  }

  @Test
  void theContactSheetHoldsEveryNameOnce() throws IOException {
    try (PDDocument pdf = Loader.loadPDF(made(GuideFormat.CONTACT_PDF))) {
      String text = new PDFTextStripper().getText(pdf);
      for (int i = 1; i <= 14; i++) {
        assertThat(text.split("Wash " + i + "\\s", -1)).hasSize(2);
      }
    }
  }

  /** Headings go down one level at a time, each picture has words, nothing is fetched. */
  @Test
  void thePageForABrowserStandsAloneAndCanBeReadAloud() throws Exception {
    for (GuideFormat format : List.of(GuideFormat.GUIDE_PAGE, GuideFormat.CONTACT_PAGE)) {
      byte[] file = made(format);
      String text = new String(file, StandardCharsets.UTF_8).replace("<!DOCTYPE html>", "");
      Document page =
          DocumentBuilderFactory.newInstance()
              .newDocumentBuilder()
              .parse(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
      assertThat(page.getDocumentElement().getAttribute("lang")).isEqualTo("en-GB");
      NodeList all = page.getElementsByTagName("*");
      int level = 0;
      for (int i = 0; i < all.getLength(); i++) {
        var e = (org.w3c.dom.Element) all.item(i);
        if (e.getTagName().matches("h[1-6]")) {
          int own = e.getTagName().charAt(1) - '0';
          assertThat(own).as(e.getTextContent()).isLessThanOrEqualTo(level + 1);
          level = own;
        }
        if (e.getTagName().equals("img")) {
          assertThat(e.getAttribute("alt")).isNotBlank();
          assertThat(e.getAttribute("src")).startsWith("data:image/jpeg;base64,");
        }
      }
      assertThat(level).isGreaterThan(1);
      assertThat(text).doesNotContain("url(http", "<script", "bookmark");
    }
  }
}
