package org.nineveils.release.raster;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.picture.Scaling;
import org.nineveils.proof.Difference;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/**
 * The file is read back by the layout of the OpenRaster specification (from memory), and its layers
 * are put together by the formulas of W3C Compositing and Blending Level 1, written here anew.
 */
class OpenRasterTest {
  private static final Picture PHOTO =
      Scaling.toLongSide(
          PictureReader.read(Path.of("../demo/photos/portrait-light-skin-studio.jpg")), 300);

  private static Effect effect(String veils) {
    String doc = "{\"veils\":[%s],\"note\":\"\",\"edition\":1,\"dials\":[]}".formatted(veils);
    return EffectJson.parse(Json.read(doc, "The effect"));
  }

  private static String veil(String id, String kind, String settings, String blend, String more) {
    return """
        {"id":"%s","name":"Veil %s","kind":"%s","settings":{%s},"blend":"%s","opacity":0.7,%s}"""
        .formatted(id, id, kind, settings, blend, more);
  }

  private static final String EVERYWHERE = "\"lifted\":false,\"mask\":{\"cover\":\"everywhere\"}";
  private static final String BY_LIGHT =
      "\"lifted\":false,\"mask\":{\"cover\":\"by-rule\",\"rules\":[{\"kind\":\"brightness\",\"join\":\"and\",\"inverted\":false,\"settings\":{\"from\":62,\"to\":100,\"featherBelow\":22}}]}";

  private static List<OpenRaster.Named> worn() {
    Effect one =
        effect(
            veil("a", "light", "\"exposure\":0.6", "normal", EVERYWHERE)
                + ","
                + veil(
                    "b",
                    "tint",
                    "\"colourise\":100,\"hue\":36,\"saturation\":30",
                    "soft-light",
                    EVERYWHERE)
                + ","
                + veil(
                    "c", "light", "\"exposure\":1", "normal", EVERYWHERE.replace("false", "true")));
    Effect two =
        effect(
            veil("d", "light", "\"exposure\":-1", "multiply", EVERYWHERE)
                + ","
                + veil("e", "light", "\"temperature\":40", "exclusion", EVERYWHERE));
    return List.of(
        new OpenRaster.Named("First", Bundle.of(one, Map.of())),
        new OpenRaster.Named("Second & <last>", Bundle.of(two, Map.of(), 0.4)));
  }

  private static Map<String, byte[]> entries(byte[] file) throws IOException {
    Map<String, byte[]> out = new LinkedHashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        out.put(e.getName(), zip.readAllBytes());
      }
    }
    return out;
  }

  private static byte[] written(List<OpenRaster.Named> worn) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    OpenRaster.write(PHOTO, worn, PictureShelf.EMPTY, out);
    return out.toByteArray();
  }

  /** Premultiplied colour and alpha of every pixel. */
  private static final class Canvas {
    final double[][] rgb;
    final double[] a;

    Canvas(int n) {
      rgb = new double[3][n];
      a = new double[n];
    }

    static Canvas of(byte[] png) throws IOException {
      BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
      int w = image.getWidth();
      Canvas out = new Canvas(w * image.getHeight());
      for (int i = 0; i < out.a.length; i++) {
        int argb = image.getRGB(i % w, i / w);
        out.a[i] = (argb >>> 24) / 255.0;
        for (int c = 0; c < 3; c++) {
          out.rgb[c][i] = ((argb >> (16 - 8 * c)) & 255) / 255.0 * out.a[i];
        }
      }
      return out;
    }

    void under(Canvas source, String operator, double opacity) {
      for (int i = 0; i < a.length; i++) {
        double as = source.a[i] * opacity;
        for (int c = 0; c < 3; c++) {
          double cs = source.a[i] == 0 ? 0 : source.rgb[c][i] / source.a[i];
          double cb = a[i] == 0 ? 0 : rgb[c][i] / a[i];
          rgb[c][i] =
              operator.equals("svg:dst-in")
                  ? rgb[c][i] * as
                  : as * ((1 - a[i]) * cs + a[i] * blend(operator, cb, cs)) + (1 - as) * rgb[c][i];
        }
        a[i] = operator.equals("svg:dst-in") ? a[i] * as : as + a[i] * (1 - as);
      }
    }

    private static double blend(String operator, double b, double s) {
      return switch (operator) {
        case "svg:src-over" -> s;
        case "svg:multiply" -> b * s;
        case "svg:screen" -> b + s - b * s;
        case "svg:soft-light" -> {
          double d = b <= 0.25 ? ((16 * b - 12) * b + 4) * b : Math.sqrt(b);
          yield s <= 0.5 ? b - (1 - 2 * s) * b * (1 - b) : b + (2 * s - 1) * (d - b);
        }
        default -> throw new AssertionError(operator);
      };
    }

    Picture picture() {
      Picture out = Picture.blank(PHOTO.width(), PHOTO.height());
      for (int i = 0; i < a.length; i++) {
        out.r()[i] = (float) rgb[0][i];
        out.g()[i] = (float) rgb[1][i];
        out.b()[i] = (float) rgb[2][i];
      }
      return out;
    }
  }

  private static Canvas composed(Element stack, Map<String, byte[]> files) throws IOException {
    Canvas out = new Canvas(PHOTO.r().length);
    for (Node n = stack.getLastChild(); n != null; n = n.getPreviousSibling()) {
      if (n instanceof Element e && !e.getAttribute("visibility").equals("hidden")) {
        Canvas source =
            e.getTagName().equals("stack")
                ? composed(e, files)
                : Canvas.of(files.get(e.getAttribute("src")));
        out.under(
            source, e.getAttribute("composite-op"), Double.parseDouble(e.getAttribute("opacity")));
      }
    }
    return out;
  }

  private static Element image(Map<String, byte[]> files) throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new ByteArrayInputStream(files.get("stack.xml")))
        .getDocumentElement();
  }

  private static Element root(Element image) {
    return (Element) image.getElementsByTagName("stack").item(0);
  }

  @Test
  void theFileIsLaidOutAsTheSpecificationHasIt() throws Exception {
    byte[] file = written(worn());
    assertThat(new String(file, 30, 8, StandardCharsets.US_ASCII)).isEqualTo("mimetype");
    assertThat(new String(file, 38, 16, StandardCharsets.US_ASCII))
        .as("first, and not compressed")
        .isEqualTo("image/openraster");
    Map<String, byte[]> files = entries(file);
    assertThat(files).containsKeys("stack.xml", "mergedimage.png", "Thumbnails/thumbnail.png");
    BufferedImage small =
        ImageIO.read(new ByteArrayInputStream(files.get("Thumbnails/thumbnail.png")));
    assertThat(Math.max(small.getWidth(), small.getHeight())).isEqualTo(256);
    Element image = image(files);
    assertThat(image.getAttribute("w")).isEqualTo(String.valueOf(PHOTO.width()));
    var layers = image.getElementsByTagName("layer");
    assertThat(layers.getLength()).as("photo, three veils, below, two veils").isEqualTo(7);
    for (int i = 0; i < layers.getLength(); i++) {
      assertThat(files).containsKey(((Element) layers.item(i)).getAttribute("src"));
    }
    Element top = (Element) image.getElementsByTagName("stack").item(1);
    assertThat(top.getAttribute("name")).isEqualTo("Second & <last>");
    assertThat(top.getAttribute("isolation")).isEqualTo("isolate");
  }

  @Test
  void layersPutTogetherByTheirOperatorsAreThePictureThatIsWorn() throws Exception {
    Map<String, byte[]> files = entries(written(worn()));
    Picture own =
        Renderer.render(
            PHOTO,
            PHOTO.area(),
            new Stack(worn().stream().map(OpenRaster.Named::bundle).toList()),
            Manner.exact());
    Picture together = composed(root(image(files)), files).picture();
    assertThat(Difference.mean(own, together)).isLessThan(0.3);
    Picture merged = PictureReader.read(files.get("mergedimage.png"), "merged");
    for (int i = 0; i < own.r().length; i++) {
      assertThat(merged.g()[i])
          .isCloseTo(own.g()[i], org.assertj.core.data.Offset.offset(1.5f / 255));
    }
    assertThat(Difference.mean(own, PHOTO)).isGreaterThan(3);
  }

  @Test
  void aMaskOfAVeilAndOneOfTheWholeAreTransparency() throws Exception {
    Effect masked = effect(veil("m", "light", "\"exposure\":1.5", "screen", BY_LIGHT));
    Mask half = masked.veils().get(0).mask();
    Bundle bundle = new Bundle(masked.veils(), Map.of(), 0.8, half, Paint.NONE, 1);
    Map<String, byte[]> files = entries(written(List.of(new OpenRaster.Named("Lamp", bundle))));
    Picture own = Renderer.render(PHOTO, PHOTO.area(), Stack.of(bundle), Manner.exact());
    assertThat(Difference.mean(own, composed(root(image(files)), files).picture())).isLessThan(0.3);
  }

  @Test
  void aLargePhotoIsMadeSmallerForIt() {
    Picture large = Picture.blank(6000, 4000);
    Picture sized = OpenRaster.sized(large);
    assertThat((long) sized.width() * sized.height()).isBetween(11_900_000L, 12_000_000L);
    assertThat(OpenRaster.sized(PHOTO)).isSameAs(PHOTO);
  }
}
