package org.nineveils.release.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.picture.Scaling;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.table.CubeFile;
import org.nineveils.testing.Looks;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;
import org.w3c.dom.Element;

class TablesTest {
  @TempDir Path files;

  private static Effect demo(String name) throws IOException {
    Fields demo = Json.read(Files.readString(Path.of("../demo/demo.json")), "The demo");
    return demo
        .objects("kits", k -> k.objects("sections", s -> s.objects("effects", e -> e)))
        .stream()
        .flatMap(List::stream)
        .flatMap(List::stream)
        .filter(e -> e.text("name").equals(name))
        .map(e -> EffectJson.parse(e.object("effect")))
        .findFirst()
        .orElseThrow();
  }

  private static Picture photo(String name) throws IOException {
    return Scaling.toLongSide(Pictures.photo(name), 300);
  }

  private static Picture own(Effect effect, Picture photo) {
    return Renderer.render(photo, Stack.of(Bundle.of(effect, Map.of())));
  }

  @Test
  void whatIsColourAloneTravelsAndTheRestIsNamedWithItsReason() throws IOException {
    assertThat(Travel.of(demo("Clean larch")).how()).isEqualTo(Travel.How.WHOLE);
    Travel milk = Travel.of(demo("Milk linen"));
    assertThat(milk.how()).isEqualTo(Travel.How.IN_PART);
    assertThat(milk.left()).containsExactly(new Travel.Left("Light rim", Travel.Why.PLACE));
    assertThat(Travel.of(demo("Eyes awake")).how()).isEqualTo(Travel.How.NOT_AT_ALL);
    assertThat(Travel.of(demo("Pressed flowers")).left())
        .extracting(Travel.Left::why)
        .containsExactly(Travel.Why.NEIGHBOURHOOD, Travel.Why.PLACE);
    assertThat(Travel.of(demo("Bare linen")).left()).as("a lifted veil is not missed").isEmpty();
    assertThat(Travel.of(Effect.empty()).how()).isEqualTo(Travel.How.NOT_AT_ALL);
  }

  /** The goal of the makers: what travels whole looks as at home. */
  @ParameterizedTest
  @EnumSource(
      value = TableFormat.class,
      names = {"CUBE_33", "SQUARE", "CLF"})
  void effectsThatTravelWholeAreWithinThreeTenths(TableFormat format) throws IOException {
    List<Picture> photos =
        List.of(photo("portrait-deep-skin-studio"), photo("portrait-backlit-green-grass"));
    for (String name :
        List.of("Clean larch", "Slate matte", "Biscuit tin", "Graphite", "Lake ice")) {
      Effect effect = demo(name);
      Fit fit = Fit.of(onlyColour(effect), format, photos, PictureShelf.EMPTY);
      assertThat(fit.mean()).as("%s as %s", name, format).isLessThanOrEqualTo(0.3);
      assertThat(fit.high()).as("%s as %s", name, format).isLessThanOrEqualTo(1.5);
    }
  }

  private static Effect onlyColour(Effect effect) {
    return effect.withVeils(Travel.of(effect).veils());
  }

  /** What is left out is not hidden: the whole effect is what a table is measured against. */
  @Test
  void whatStaysBehindIsMeasuredToo() throws IOException {
    List<Picture> photos = List.of(photo("newborn-red-blotchy-skin"));
    Effect milk = demo("Milk linen");
    double whole = Fit.of(milk, TableFormat.CUBE_33, photos, PictureShelf.EMPTY).mean();
    double colour =
        Fit.of(onlyColour(milk), TableFormat.CUBE_33, photos, PictureShelf.EMPTY).mean();
    assertThat(whole).isGreaterThan(colour + 0.1);
    Fit byColours = Fit.of(milk, TableFormat.CUBE_33, List.of(), PictureShelf.EMPTY);
    assertThat(byColours.mean()).as("without a photo").isPositive();
  }

  @Test
  void aCubeFileIsReadBackToAMillionth() throws IOException {
    Effect effect = demo("Biscuit tin");
    String text =
        text(TableFormat.CUBE_17.write(effect, "A \"tin\"", PictureShelf.EMPTY).orElseThrow());
    assertThat(text).startsWith("TITLE \"A 'tin'\"\n").contains("\nLUT_3D_SIZE 17\n");
    Picture read = CubeFile.read(text, "tin.cube");
    Picture table = Lattices.of(effect, 17, 1, PictureShelf.EMPTY);
    for (int i = 0; i < table.r().length; i++) {
      assertThat(read.r()[i]).isCloseTo(Math.min(1, Math.max(0, table.r()[i])), within(1e-6f));
      assertThat(read.g()[i]).isCloseTo(Math.min(1, Math.max(0, table.g()[i])), within(1e-6f));
      assertThat(read.b()[i]).isCloseTo(Math.min(1, Math.max(0, table.b()[i])), within(1e-6f));
    }
    assertThatThrownBy(() -> TableFormat.ofId("cube99")).isInstanceOf(Refusal.class);
  }

  private static String text(byte[] bytes) {
    return new String(bytes, StandardCharsets.UTF_8);
  }

  /** FFmpeg's filters lut3d and haldclut, Debian's package: an outside reader of both formats. */
  @Test
  void anOutsideProgramGetsTheSamePicture() throws Exception {
    Effect effect = onlyColour(demo("Slate matte"));
    Picture photo = photo("portrait-brown-skin-window");
    Picture ours = own(effect, photo);
    Path cube =
        file("a.cube", TableFormat.CUBE_33.write(effect, "a", PictureShelf.EMPTY).orElseThrow());
    Path square =
        file("a.png", TableFormat.SQUARE.write(effect, "a", PictureShelf.EMPTY).orElseThrow());
    Path in = file("in.png", PictureWriter.png16(photo));
    Picture byCube =
        ffmpeg("-i", in.toString(), "-vf", "lut3d=file=%s:interp=tetrahedral".formatted(cube));
    Picture bySquare =
        ffmpeg(
            "-i",
            in.toString(),
            "-i",
            square.toString(),
            "-filter_complex",
            "haldclut=interp=tetrahedral");
    assertThat(Looks.apart(photo, ours).mean()).isGreaterThan(2);
    assertThat(Looks.apart(ours, byCube).mean()).isLessThanOrEqualTo(0.3);
    assertThat(Looks.apart(ours, bySquare).mean()).isLessThanOrEqualTo(0.3);
  }

  private Path file(String name, byte[] bytes) throws IOException {
    return Files.write(files.resolve(name), bytes);
  }

  private Picture ffmpeg(String... how) throws Exception {
    Path out = files.resolve("out.png");
    String program = System.getenv().getOrDefault("NINEVEILS_FFMPEG", "/usr/bin/ffmpeg");
    assertThat(Path.of(program)).as("./nv test installs Debian's ffmpeg").exists();
    List<String> line = new java.util.ArrayList<>(List.of(program, "-y", "-loglevel", "error"));
    line.addAll(List.of(how));
    line.addAll(List.of("-frames:v", "1", "-pix_fmt", "rgb48be", out.toString()));
    Process process = new ProcessBuilder(line).redirectErrorStream(true).start();
    String said = text(process.getInputStream().readAllBytes());
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(said).isZero();
    return PictureReader.read(out);
  }

  /**
   * ASC/AMPAS S-2014-006, from memory: the curve is looked up linearly, then the table by
   * tetrahedra, with blue running fastest.
   */
  @Test
  void aClfFileReadByItsSpecificationHoldsBlacksThatAnEvenTableLoses() throws Exception {
    Effect steep =
        new Effect(List.of(Pictures.veil("curve", Map.of("gamma", 1.9, "outBlack", 18))), "", 1);
    byte[] clf = TableFormat.CLF.write(steep, "Black & <soft>", PictureShelf.EMPTY).orElseThrow();
    var factory = DocumentBuilderFactory.newInstance();
    Element root =
        factory.newDocumentBuilder().parse(new ByteArrayInputStream(clf)).getDocumentElement();
    assertThat(root.getAttribute("name")).isEqualTo("Black & <soft>");
    float[] curve = numbers(root, "LUT1D");
    float[] table = numbers(root, "LUT3D");
    assertThat(curve).hasSize(1024);
    assertThat(table).hasSize(33 * 33 * 33 * 3);
    Picture dark = ramp();
    Picture ours = own(steep, dark);
    double even = Fit.of(steep, TableFormat.CUBE_33, List.of(dark), PictureShelf.EMPTY).high();
    Picture theirs = Picture.blank(dark.width(), dark.height());
    for (int i = 0; i < dark.r().length; i++) {
      float v = lookUp(curve, dark.r()[i]) * 32;
      int node = Math.min(31, (int) v);
      int low = ((node * 33 + node) * 33 + node) * 3; // a grey stays on the diagonal
      int high = low + (33 * 33 + 33 + 1) * 3;
      theirs.r()[i] = table[low] + (v - node) * (table[high] - table[low]);
      theirs.g()[i] = table[low + 1] + (v - node) * (table[high + 1] - table[low + 1]);
      theirs.b()[i] = table[low + 2] + (v - node) * (table[high + 2] - table[low + 2]);
    }
    double spread = Looks.apart(ours, theirs).high();
    assertThat(spread).isLessThan(0.6 * even).isLessThan(1);
    double measured = Fit.of(steep, TableFormat.CLF, List.of(dark), PictureShelf.EMPTY).high();
    assertThat(measured).isCloseTo(spread, within(0.1));
  }

  /** Greys up to a tenth. */
  private static Picture ramp() {
    Picture p = Picture.blank(500, 7);
    for (int i = 0; i < p.r().length; i++) {
      p.r()[i] = p.g()[i] = p.b()[i] = i % 500 / 5000f;
    }
    return p;
  }

  private static float[] numbers(Element root, String part) {
    Element array =
        (Element)
            ((Element) root.getElementsByTagName(part).item(0))
                .getElementsByTagName("Array")
                .item(0);
    String[] words = array.getTextContent().strip().split("\\s+", -1);
    float[] out = new float[words.length];
    for (int i = 0; i < words.length; i++) {
      out[i] = Float.parseFloat(words[i]);
    }
    return out;
  }

  private static float lookUp(float[] curve, float v) {
    float at = v * (curve.length - 1);
    int low = Math.min(curve.length - 2, (int) at);
    return curve[low] + (at - low) * (curve[low + 1] - curve[low]);
  }

  @Test
  void theListSaysOfEachEffectHowItTravels() throws IOException {
    Map<String, byte[]> made = new java.util.LinkedHashMap<>();
    List<Picture> photos = List.of(photo("portrait-light-skin-studio"));
    TableSet set = new TableSet(TableFormat.CUBE_17, photos, made::put);
    for (String name : List.of("Clean larch", "Eyes awake")) {
      set.add(
          "Larch Studio",
          new Release.EffectPart(name, "", demo(name), new byte[0], new byte[0]),
          PictureShelf.EMPTY);
    }
    set.finish();
    assertThat(made.keySet()).containsExactly("larch-studio/clean-larch.cube", TableSet.LIST);
    List<String> list = text(made.get(TableSet.LIST)).lines().toList();
    assertThat(list.get(1))
        .matches(
            "\"Larch Studio\",\"Clean larch\",whole,\"larch-studio/clean-larch.cube\",0\\.\\d\\d,\\d\\.\\d\\d,\"\"");
    assertThat(list.get(2))
        .startsWith("\"Larch Studio\",\"Eyes awake\",not at all,\"\",,,\"Lighter: it covers only");
  }

  /** “Milk”, “Milk!” and “Milk 2”, and kits of which no letter stays in a file's name. */
  @Test
  void noTableTakesThePlaceOfAnother() throws IOException {
    Effect look = new Effect(List.of(Pictures.veil("light", Map.of("exposure", 0.3))), "", 1);
    List<String> paths = new java.util.ArrayList<>();
    TableSet set = new TableSet(TableFormat.CUBE_17, List.of(), (path, file) -> paths.add(path));
    for (String kit : List.of("白い布", "青い布", "Willow")) {
      for (String name : List.of("Milk", "Milk!", "Milk 2", "Milk-2", "白", "青")) {
        set.add(
            kit,
            new Release.EffectPart(name, name, look, new byte[0], new byte[0]),
            PictureShelf.EMPTY);
      }
    }
    assertThat(paths).hasSize(18).doesNotHaveDuplicates();
    assertThat(paths).first().isEqualTo("unnamed/milk.cube");
    assertThat(paths).contains("willow/milk-2.cube", "unnamed-2/unnamed-2.cube");
    assertThat(set.lines()).extracting(TableSet.Line::file).doesNotHaveDuplicates();
  }

  /** A steep gamma is a function of colour, but seventeen entries an axis do not hold it. */
  @Test
  void whatStraysVisiblyDoesNotTravelWhole() {
    Effect steep = new Effect(List.of(Pictures.veil("curve", Map.of("gamma", 5))), "", 1);
    Travel said = Travel.of(steep);
    assertThat(said.how()).isEqualTo(Travel.How.WHOLE);
    Fit fit = Fit.of(steep, TableFormat.CUBE_17, List.of(), PictureShelf.EMPTY);
    assertThat(fit.high()).isGreaterThan(2);
    assertThat(said.measured(fit).how()).isEqualTo(Travel.How.ROUGHLY);
    Effect gentle = new Effect(List.of(Pictures.veil("curve", Map.of("gamma", 1.1))), "", 1);
    Fit close = Fit.of(gentle, TableFormat.CUBE_33, List.of(), PictureShelf.EMPTY);
    assertThat(Travel.of(gentle).measured(close).how()).isEqualTo(Travel.How.WHOLE);
  }
}
