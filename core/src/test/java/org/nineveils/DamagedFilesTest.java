package org.nineveils;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.nineveils.document.DocumentException;
import org.nineveils.document.EffectJson;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.document.PaintJson;
import org.nineveils.file.PictureException;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.StackingRule;
import org.nineveils.kit.Worn;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Checksums;
import org.nineveils.release.KitFile;
import org.nineveils.release.KitFiles;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseException;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.ReleaseWriter;
import org.nineveils.release.signing.MakersKey;
import org.nineveils.release.signing.SealedKey;
import org.nineveils.release.signing.Signed;
import org.nineveils.table.ClfFile;
import org.nineveils.table.CubeFile;
import org.nineveils.veil.Effect;

/**
 * Files damaged in many ways, the same ways every time: whatever is read from outside is taken, or
 * refused with a sentence. A library's own exception must never come through.
 */
class DamagedFilesTest {
  /** How many ways each file is damaged; -Dnineveils.mutants=500 for a long run. */
  private static final int MUTANTS = Integer.getInteger("nineveils.mutants", 60);

  private static final String NAME = "given file";

  @SuppressWarnings("ArrayRecordComponent") // file contents, handed over
  private record Sort(
      String name, byte[] sound, Consumer<byte[]> read, BiFunction<byte[], Random, byte[]> damage) {
    Sort(String name, byte[] sound, Consumer<byte[]> read) {
      this(name, sound, read, DamagedFilesTest::damaged);
    }
  }

  private static Picture picture() {
    Random random = new Random(1);
    Picture p = Picture.blank(48, 32);
    for (float[] plane : new float[][] {p.r(), p.g(), p.b()}) {
      for (int i = 0; i < plane.length; i++) {
        plane[i] = 0.3f + 0.4f * random.nextFloat();
      }
    }
    return p;
  }

  private static String text(byte[] bytes) {
    return new String(bytes, StandardCharsets.UTF_8);
  }

  private static byte[] json(Object value) {
    return Json.writePretty(value).getBytes(StandardCharsets.UTF_8);
  }

  private static List<Sort> sorts() throws IOException {
    List<Sort> all = new ArrayList<>();
    for (PictureFormat format : PictureFormat.values()) {
      byte[] file = PictureWriter.write(picture(), format);
      all.add(new Sort(format.name(), file, b -> PictureReader.read(b, NAME)));
    }
    all.add(
        new Sort(
            "webp",
            Files.readAllBytes(Path.of("src/test/resources/pictures/columns-lossy.webp")),
            b -> PictureReader.read(b, NAME)));
    StringBuilder cube = new StringBuilder("TITLE \"t\"\nLUT_3D_SIZE 3\n");
    for (int i = 0; i < 27; i++) {
      cube.append("%.3f %.3f %.3f%n".formatted(i / 27.0, i / 30.0, 1 - i / 27.0));
    }
    all.add(
        new Sort(
            "table",
            cube.toString().getBytes(StandardCharsets.UTF_8),
            b -> CubeFile.read(text(b), NAME)));
    Paint paint = new Paint(List.of(new Stroke(List.of(0.1, 0.2, 0.3, 0.4), 0.1, 0.5, 1, 1, true)));
    Effect effect = EffectJson.parse(Json.read(text(anEffect()), NAME));
    all.add(new Sort("effect", anEffect(), b -> EffectJson.parse(Json.read(text(b), NAME))));
    all.add(
        new Sort(
            "paint",
            json(PaintJson.format(Map.of("v", paint))),
            b -> PaintJson.parse(Json.read(text(b), NAME))));
    Fitting fitting =
        new Fitting(
            List.of(
                new Worn(
                    "7",
                    0.5,
                    false,
                    Map.of("v", new Worn.VeilChange(0.4, true)),
                    Map.of("v", paint))));
    all.add(
        new Sort(
            "fitting",
            json(FittingJson.format(fitting)),
            b -> FittingJson.parse(Json.read(text(b), NAME))));
    byte[] small = PictureWriter.jpeg(picture(), 0.8f);
    Release release =
        new Release(
            "Trial",
            "1.0",
            "Mark",
            "One line.",
            "Notes.",
            List.of(
                new Release.KitPart(
                    "Kit",
                    "for trials",
                    List.of(
                        new Release.SectionPart(
                            1,
                            "Looks",
                            StackingRule.STACK_FREELY,
                            List.of(new Release.EffectPart("E", "", effect, small, small)))))),
            Map.of());
    all.add(new Sort("release", ReleaseWriter.write(release), b -> ReleaseReader.read(b, NAME)));
    MakersKey key = MakersKey.of(new byte[32]);
    Consumer<byte[]> checked = b -> ReleaseReader.check(b, NAME);
    all.add(
        new Sort(
            "release, sums made anew",
            ReleaseWriter.write(release),
            checked,
            (zip, random) -> within(zip, random, null)));
    all.add(
        new Sort(
            "release, signed anew",
            ReleaseWriter.write(release, key),
            checked,
            (zip, random) -> within(zip, random, key)));
    all.add(
        new Sort(
            "kit file, sums made anew",
            KitFiles.write(KitFile.of(release)),
            b -> KitFiles.open(b, NAME, "Mark"),
            (zip, random) -> within(zip, random, null)));
    all.add(new Sort("CLF", CLF.getBytes(StandardCharsets.UTF_8), b -> ClfFile.read(b, NAME)));
    all.add(
        new Sort(
            "key",
            SealedKey.write(key, "long enough", 1).getBytes(StandardCharsets.UTF_8),
            b -> SealedKey.open(b, "long enough")));
    return all;
  }

  /** Common LUT Format, 3.0, written by hand: a curve, a matrix and a table of eight entries. */
  private static final String CLF =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <ProcessList xmlns="urn:AMPAS:CLF:v3.0" id="a" compCLFversion="3.0">
        <LUT1D inBitDepth="32f" outBitDepth="32f"><Array dim="3 1">0 0.4 1</Array></LUT1D>
        <Matrix inBitDepth="32f" outBitDepth="32f">
          <Array dim="3 3">1 0 0 0 0.9 0.1 0 0 1</Array>
        </Matrix>
        <LUT3D inBitDepth="32f" outBitDepth="32f" interpolation="tetrahedral">
          <Array dim="2 2 2 3">
            0 0 0  0 0 1  0 1 0  0 1 1  1 0 0  1 0 1  1 1 0  1 1 1
          </Array>
        </LUT3D>
      </ProcessList>
      """;

  /** What a file of a package holds is damaged; its sums, and its signature, fit again. */
  private static byte[] within(byte[] zip, Random random, MakersKey key) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        files.put(e.getName(), in.readAllBytes());
      }
      files.remove(Checksums.FILE);
      files.remove(Signed.FILE);
      String path = List.copyOf(files.keySet()).get(random.nextInt(files.size()));
      files.put(path, damaged(files.get(path), random));
      byte[] sums = Checksums.list(files);
      files.put(Checksums.FILE, sums);
      if (key != null) {
        files.put(Signed.FILE, Signed.file(key, sums));
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      try (ZipOutputStream made = new ZipOutputStream(out)) {
        for (var file : files.entrySet()) {
          made.putNextEntry(new ZipEntry(file.getKey()));
          made.write(file.getValue());
        }
      }
      return out.toByteArray();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static byte[] anEffect() {
    return """
        {"edition": 1, "note": "brush it on", "dials": [], "veils": [
          {"id": "a", "name": "Even", "kind": "light", "blend": "screen", "opacity": 0.5, "lifted": false,
           "meantFor": "", "mask": {"cover": "by-rule", "rules": [{"kind": "brightness", "settings": {}}]},
           "settings": {"exposure": 0.5}},
          {"id": "b", "name": "Tone", "kind": "curve", "blend": "normal", "opacity": 1, "lifted": false,
           "meantFor": "", "mask": {"cover": "everywhere"}, "settings": {}}]}"""
        .getBytes(StandardCharsets.UTF_8);
  }

  /** Damages bytes: flips, cuts, repeats, zeros, high bytes, numbers made huge. */
  static byte[] damaged(byte[] sound, Random random) {
    byte[] out = sound.clone();
    int times = 1 + random.nextInt(4);
    for (int i = 0; i < times; i++) {
      int at = random.nextInt(out.length);
      switch (random.nextInt(7)) {
        case 0 -> out[at] ^= (byte) (1 << random.nextInt(8));
        case 1 -> out[at] = (byte) random.nextInt(256);
        case 2 -> out = Arrays.copyOf(out, Math.max(1, at));
        case 3 -> Arrays.fill(out, at, Math.min(out.length, at + 1 + random.nextInt(8)), (byte) 0);
        case 4 ->
            Arrays.fill(out, at, Math.min(out.length, at + 1 + random.nextInt(4)), (byte) 0xff);
        case 5 -> {
          int n = Math.min(out.length - at, 1 + random.nextInt(64));
          byte[] longer = Arrays.copyOf(out, out.length + n);
          System.arraycopy(out, at, longer, at + n, out.length - at);
          out = longer;
        }
        default -> { // most of what a file says of itself stands at its beginning
          int head = random.nextInt(Math.min(out.length, 120));
          out[head] = (byte) (random.nextBoolean() ? 0x7f : random.nextInt(256));
        }
      }
    }
    return out;
  }

  @TestFactory
  Stream<DynamicTest> aDamagedFileIsTakenOrRefusedWithASentence() throws IOException {
    return sorts().stream()
        .map(sort -> DynamicTest.dynamicTest(sort.name(), () -> everyMutant(sort)));
  }

  private static void everyMutant(Sort sort) {
    sort.read().accept(sort.sound());
    int refused = 0;
    for (int seed = 0; seed < MUTANTS; seed++) {
      byte[] mutant = sort.damage().apply(sort.sound(), new Random(1000L + seed));
      try {
        sort.read().accept(mutant);
      } catch (PictureException | ReleaseException | DocumentException | Refusal e) {
        assertThat(e.getMessage()).as("%s, seed %d", sort.name(), seed).isNotBlank().endsWith(".");
        refused++;
      } catch (OutOfMemoryError e) {
        refused++; // a size within the bounds of Limits: whoever gives memory out answers it
      } catch (RuntimeException | Error e) {
        throw new AssertionError("%s, seed %d".formatted(sort.name(), seed), e);
      }
    }
    assertThat(refused).as("the damage is felt").isPositive();
  }
}
