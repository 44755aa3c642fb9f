package org.nineveils.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureReader;
import org.nineveils.kit.MakersOwn;
import org.nineveils.kit.StackingRule;
import org.nineveils.mask.Mask;
import org.nineveils.picture.Picture;
import org.nineveils.release.KitFile;
import org.nineveils.release.KitFiles;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.ReleaseWriter;
import org.nineveils.release.signing.MakersKey;
import org.nineveils.release.signing.Signed;
import org.nineveils.setting.SettingValues;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** Exit status 0 done, 1 the file is at fault, 2 typed wrongly; faults are one plain sentence. */
class MainTest {
  private static final Path PHOTO = Path.of("../demo/photos/pet-ginger-cat.jpg");

  @TempDir Path folder;
  @TempDir Path settings;
  private Path release;
  private String out;
  private String err;

  private static Veil veil(String id, String kind, Map<String, ?> settings, Mask mask) {
    var k = Kinds.ofId(kind);
    return new Veil(
        id,
        k.label(),
        k,
        SettingValues.parse(k.settings(), settings),
        BlendMode.NORMAL,
        0.9,
        false,
        mask,
        "");
  }

  private static Effect effect() {
    return new Effect(
        List.of(
            veil("a", "curve", Map.of("outBlack", 30), Mask.EVERYWHERE),
            veil("b", "light", Map.of("exposure", 1), Mask.BRUSH_ON)),
        "Brush it.",
        1,
        List.of(new Dial("a", "outBlack", "Matte", 0, 60)));
  }

  @BeforeEach
  void packARelease() throws IOException {
    System.setProperty(Trust.PROPERTY, settings.resolve("nine-veils/known-keys.json").toString());
    var part = new Release.EffectPart("Milk", "", effect(), new byte[0], new byte[0]);
    var section = new Release.SectionPart(1, "Looks", StackingRule.ONE_AT_A_TIME, List.of(part));
    var kit = new Release.KitPart("Cradle", "newborns", List.of(section));
    release = folder.resolve("milk.zip");
    Files.write(
        release,
        ReleaseWriter.write(new Release("Soft", "1.2", "Q", "", "", List.of(kit), Map.of())));
  }

  private int nv(Object... arguments) {
    StringWriter o = new StringWriter();
    StringWriter e = new StringWriter();
    String[] words = Stream.of(arguments).map(String::valueOf).toArray(String[]::new);
    int status = Main.run(new PrintWriter(o, true), new PrintWriter(e, true), words);
    out = o.toString();
    err = e.toString();
    return status;
  }

  private int apply(String effect, Path photo, Path to, Object... more) {
    List<Object> all = new ArrayList<>(List.of("apply", "--release", release, "--effect", effect));
    all.addAll(List.of("--photo", photo, "--out", to));
    all.addAll(List.of(more));
    return nv(all.toArray());
  }

  private void fails(int status, String... says) {
    assertThat(err).contains(says).doesNotContain("Exception", "\tat ");
    assertThat(status).isEqualTo(1);
    assertThat(err.strip().lines()).hasSize(1);
  }

  @Test
  void checkSaysWhatASoundReleaseHolds() {
    assertThat(nv("check", release)).isZero();
    assertThat(out.strip().lines())
        .containsExactly("“Soft” 1.2 by Q: 1 kits, 1 effects, all sound.", "Not signed.");
  }

  @Test
  void checkSaysWhoSignedAndEndsWithOneWhereItWasChangedSince() throws IOException {
    MakersKey key = MakersKey.make();
    Release soft = ReleaseReader.read(release);
    Files.write(release, ReleaseWriter.write(soft, key));
    assertThat(nv("check", release)).isZero();
    assertThat(out).contains("Signed with key %s (%s).".formatted(key.named(), key.key()));
    byte[] other = Signed.file(key, "other sums".getBytes(StandardCharsets.UTF_8));
    Map<String, byte[]> files = new java.util.LinkedHashMap<>();
    try (var zip = new java.util.zip.ZipFile(release.toFile())) {
      for (var entry : java.util.Collections.list(zip.entries())) {
        files.put(entry.getName(), zip.getInputStream(entry).readAllBytes());
      }
    }
    files.put(Signed.FILE, other);
    try (var zip = new java.util.zip.ZipOutputStream(Files.newOutputStream(release))) {
      for (var file : files.entrySet()) {
        zip.putNextEntry(new java.util.zip.ZipEntry(file.getKey()));
        zip.write(file.getValue());
      }
    }
    fails(nv("check", release), "was changed after it was signed with key " + key.named());
  }

  @Test
  void tablesAreWrittenIntoANewFolderWithAListOfWhatStaysBehind() throws IOException {
    Path to = folder.resolve("tables");
    Object[] line = {"tables", "--release", release, "--out", to, "--photos", "../demo/photos"};
    assertThat(nv(line)).isZero();
    assertThat(out).matches("(?s)Milk: in part, ΔE \\d+\\.\\d\\d, .*covers only a part.*");
    assertThat(to.resolve("cradle/milk.cube")).exists();
    assertThat(to.resolve("tables.csv")).content().contains("Milk");
    fails(nv(line), "is there already; nothing was written");
    fails(nv("tables", "--release", release, "--out", folder.resolve("t"), "--format", "x"), "“x”");
  }

  @Test
  void effectsListsSectionsWithTheirRules() {
    assertThat(nv("effects", release)).isZero();
    assertThat(out).contains("Cradle", "1 Looks (one at a time)", "Milk");
  }

  @Test
  void applyWritesWhatTheRendererGives() {
    Path file = folder.resolve("out.tif");
    assertThat(apply("milk", PHOTO, file)).isZero();
    assertThat(out).contains("“Milk” on pet-ginger-cat.jpg");
    Picture ours =
        Renderer.render(PictureReader.read(PHOTO), Stack.of(Bundle.of(effect().veils())));
    Picture written = PictureReader.read(file);
    double most = 0;
    for (int i = 0; i < ours.r().length; i++) {
      most = Math.max(most, Math.abs(ours.g()[i] - written.g()[i]));
    }
    assertThat(most).isLessThanOrEqualTo(0.5 / 65535 + 1e-6);
  }

  @Test
  void applyTakesAFolderGivesNamesWritesOverNothingAndNamesWhatFails() throws IOException {
    Path from = Files.createDirectories(folder.resolve("in"));
    Files.copy(PHOTO, from.resolve("cat.jpg"));
    Files.writeString(from.resolve("torn.jpg"), "no picture");
    Path to = Files.createDirectories(folder.resolve("done"));
    Files.writeString(to.resolve("001 cat Milk.png"), "was there");
    int status =
        apply(
            "Milk",
            from,
            to,
            "--names",
            "{number} {photo} {look}",
            "--format",
            "png",
            "--size",
            90);
    assertThat(status).isEqualTo(1);
    assertThat(err.strip().lines()).hasSize(1);
    assertThat(err).contains("torn.jpg");
    assertThat(out).contains("1 of 2 done.");
    assertThat(to.resolve("001 cat Milk.png")).hasContent("was there");
    assertThat(PictureReader.read(to.resolve("001 cat Milk-2.png")).longSide()).isEqualTo(90);
    fails(apply("Milk", from, from), "the folder that photos are taken from");
    fails(apply("Milk", from, to, "--names", "{look}"), "{photo} or {number}");
  }

  private Path kits(Effect effect) throws IOException {
    var part = new KitFile.EffectPart("Milk", effect, MakersOwn.NONE, "");
    var section =
        new KitFile.SectionPart(
            1, "Looks", StackingRule.ONE_AT_A_TIME, List.of(), Optional.empty(), List.of(part));
    var kit = new KitFile.KitPart("Cradle", "newborns", List.of(section));
    Path file = folder.resolve("cradle-%d.kits.zip".formatted(effect.hashCode()));
    return Files.write(file, KitFiles.write(new KitFile(List.of(kit), List.of(), Map.of())));
  }

  private int pack(Path kits, String version, Path to, Object... more) {
    List<Object> all = new ArrayList<>(List.of("pack", "--kits", kits, "--name", "Soft"));
    all.addAll(List.of("--release-version", version, "--out", to));
    all.addAll(List.of(more));
    return nv(all.toArray());
  }

  @Test
  void packMakesAReleaseOfAKitFileWithPicturesAndNewsOfAVersionThatIsHighEnough()
      throws IOException {
    Path one = folder.resolve("one.zip");
    assertThat(pack(kits(effect()), "1.0", one, "--mark", "Quillfern", "--photo", PHOTO)).isZero();
    Release packed = ReleaseReader.check(one);
    assertThat(packed.effect("Milk").after()).isNotEmpty();
    assertThat(packed.effect("Milk").effect()).isEqualTo(effect());
    Path two = folder.resolve("two.zip");
    Path darker = kits(effect().startingAt(0.5));
    fails(pack(darker, "1.1", two, "--since", one), "the version is at least 2.0, but is 1.1");
    assertThat(two).doesNotExist();
    assertThat(pack(darker, "2.0", two, "--since", one, "--mark", "Quillfern")).isZero();
    assertThat(ReleaseReader.read(two).news().lines())
        .containsExactly("“Milk” looks different: goes on at 50 % instead of 100 %.");
    Path low = folder.resolve("low.zip");
    assertThat(pack(darker, "1.1", low, "--since", one, "--version-as-is")).isZero();
    assertThat(ReleaseReader.read(low).news().lines())
        .contains("The collection: the maker's mark was “Quillfern” and is “”.");
    fails(pack(darker, "2.0", two), "is there already");
    fails(pack(darker, "2.0", folder.resolve("k.zip"), "--key", one), "NINEVEILS_PHRASE");
  }

  @Test
  void guideWritesPdfAndPageIntoANewFolder() {
    Path to = folder.resolve("guide");
    assertThat(nv("guide", "--release", release, "--out", to)).isZero();
    assertThat(to.resolve("guide.pdf")).isNotEmptyFile();
    assertThat(to.resolve("contact-sheet.html")).content().contains("Milk", "<h1>Soft</h1>");
    fails(nv("guide", "--release", release, "--out", to), "is there already");
  }

  /** One veil blows a photo by two stops; in the other release it is a third of one. */
  @Test
  void proofPrintsWhatIsOverAndWhatHasMovedAndEndsWithOne() throws IOException {
    Path photos = Files.createDirectories(folder.resolve("wall"));
    Files.copy(PHOTO, photos.resolve("pet-ginger-cat.jpg"));
    Path regions = photos.resolve("regions/pet-ginger-cat");
    Files.createDirectories(regions);
    Files.copy(Path.of("../demo/regions/pet-ginger-cat/fur.png"), regions.resolve("fur.png"));
    Path gentle = packed("gentle", 0.1);
    assertThat(nv("proof", "--release", gentle, "--photos", photos, "--all")).isZero();
    assertThat(out).contains("Milk", "pet-ginger-cat.jpg", "within", "1 proofs: 0 over");
    Path bright = packed("bright", 3);
    assertThat(nv("proof", "--release", bright, "--photos", photos)).isEqualTo(1);
    assertThat(out).contains("over · ", "1 over");
    Path limits = folder.resolve("limits.json");
    String off =
        String.join(
            "\":\"off\",\"",
            org.nineveils.proof.measure.Measures.all().stream().skip(1).map(m -> m.id()).toList());
    Files.writeString(limits, "{\"%s\":\"off\",\"blown\":100}".formatted(off));
    assertThat(nv("proof", "--release", bright, "--photos", photos, "--limits", limits)).isZero();
    assertThat(
            nv(
                "proof",
                "--release",
                bright,
                "--against",
                gentle,
                "--photos",
                photos,
                "--limits",
                limits))
        .as("within, but not as it was")
        .isEqualTo(1);
    assertThat(out).contains("moved · ΔE00 ", "1 moved");
    Files.writeString(limits, "{\"blown\":-1}");
    assertThat(nv("proof", "--release", bright, "--photos", photos, "--limits", limits))
        .isEqualTo(1);
    fails(1, "limits.json", "Newly blown");
    assertThat(nv("proof", "--release", bright, "--photos", folder.resolve("none"))).isEqualTo(1);
    fails(1, "is no folder of photos");
  }

  private Path packed(String name, double stops) throws IOException {
    Effect effect =
        new Effect(List.of(veil("b", "light", Map.of("exposure", stops), Mask.EVERYWHERE)), "", 1);
    var part = new Release.EffectPart("Milk", "", effect, new byte[0], new byte[0]);
    var section = new Release.SectionPart(1, "Looks", StackingRule.ONE_AT_A_TIME, List.of(part));
    var kit = new Release.KitPart("Cradle", "newborns", List.of(section));
    Path file = folder.resolve(name + ".zip");
    Files.write(
        file, ReleaseWriter.write(new Release(name, "1.2", "Q", "", "", List.of(kit), Map.of())));
    return file;
  }

  @Test
  void opacityNoughtGivesThePlainPhoto() {
    Path file = folder.resolve("plain.png");
    assertThat(apply("Milk", PHOTO, file, "--opacity", 0)).isZero();
    assertThat(PictureReader.read(file).r()).isEqualTo(PictureReader.read(PHOTO).r());
  }

  @Test
  void aDialIsTurnedByItsLabelWithinItsRange() {
    Path more = folder.resolve("more.png");
    Path less = folder.resolve("less.png");
    assertThat(apply("Milk", PHOTO, more, "--dial", "Matte=60")).isZero();
    assertThat(apply("Milk", PHOTO, less, "--dial", "matte=0")).isZero();
    float darkest = darkest(PictureReader.read(more).g());
    assertThat(darkest).isGreaterThan(darkest(PictureReader.read(less).g()) + 0.1f);
    fails(
        apply("Milk", PHOTO, more, "--over", "--dial", "Matte=90"),
        "Dial “Matte” goes from 0.0 to 60.0");
    fails(apply("Milk", PHOTO, more, "--over", "--dial", "Shine=1"), "no dial “Shine”", "Matte");
  }

  private static float darkest(float[] values) {
    float least = 1;
    for (float v : values) {
      least = Math.min(least, v);
    }
    return least;
  }

  @Test
  void paintShowsABrushOnVeilWhereItWent() throws IOException {
    Path paint = folder.resolve("paint.json");
    Files.writeString(
        paint,
        """
        {"b": [{"points": [0.2, 0.2], "size": 0.2, "softness": 0, "strength": 1, "flow": 1, "reveal": true}]}""");
    Path with = folder.resolve("with.png");
    Path without = folder.resolve("without.png");
    apply("Milk", PHOTO, with, "--paint", paint);
    apply("Milk", PHOTO, without);
    Picture a = PictureReader.read(with);
    Picture b = PictureReader.read(without);
    int inside = 360 * 1800 + 360;
    int outside = 1000 * 1800 + 1700;
    assertThat(a.g()[inside]).isGreaterThan(b.g()[inside]);
    assertThat(a.g()[outside]).isEqualTo(b.g()[outside]);
  }

  @Test
  void faultsOfFilesAreOneSentenceAndStatusOne() throws IOException {
    Path text = folder.resolve("text.jpg");
    Files.writeString(text, "no picture");
    Path file = folder.resolve("o.png");
    fails(nv("check", folder.resolve("gone.zip")), "There is no file");
    fails(nv("check", text), "not a ZIP file");
    fails(apply("Gold", PHOTO, file), "“Gold”", "Milk");
    fails(apply("Milk", text, file), "“text.jpg” is not a JPEG");
    fails(
        apply("Milk", PHOTO, file, "--opacity", 3),
        "--opacity must be between 0 and 1, but was 3.0");
    fails(apply("Milk", PHOTO, folder.resolve("o.bmp")), "“o.bmp”");
    fails(apply("Milk", PHOTO, folder.resolve("no/o.png")), "There is no folder");
    try (Stream<Path> left = Files.list(folder)) {
      assertThat(left).as("nothing is left behind").containsExactlyInAnyOrder(release, text);
    }
  }

  @Test
  void whatIsTypedWronglyIsStatusTwoWithTheUsage() {
    assertThat(nv("apply", "--release", release)).isEqualTo(2);
    assertThat(err).contains("Missing required options", "--photo");
    assertThat(nv("polish")).isEqualTo(2);
    assertThat(nv()).isEqualTo(2);
    assertThat(err).contains("check", "apply");
  }

  /** apply --photo in.jpg --out in.jpg wrote over the original without a word. */
  @Test
  void nothingIsWrittenOverUnlessThatIsAskedForAndThePhotoNever() throws IOException {
    Path own = Files.copy(PHOTO, folder.resolve("in.jpg"));
    byte[] before = Files.readAllBytes(own);
    fails(apply("Milk", own, own), "is what is read");
    fails(apply("Milk", own, own, "--over"), "is what is read");
    Path link = Files.createLink(folder.resolve("other-name.jpg"), own);
    fails(apply("Milk", own, link, "--over"), "is what is read");
    Path there = Files.writeString(folder.resolve("there.jpg"), "mine");
    fails(apply("Milk", own, there), "is there already", "--over");
    assertThat(Files.readString(there)).isEqualTo("mine");
    assertThat(apply("Milk", own, there, "--over")).isZero();
    assertThat(PictureReader.read(there).width()).isPositive();
    assertThat(Files.readAllBytes(own)).isEqualTo(before);
    try (Stream<Path> all = Files.list(folder)) {
      assertThat(all.filter(f -> f.toString().endsWith(".part"))).isEmpty();
    }
  }

  /** --format png16 wrote 8 bits for a single photo; --deep was not heard for folders. */
  @Test
  void aFormatIsHeardForOnePhotoAndForMany() throws IOException {
    Path file = folder.resolve("deep.png");
    assertThat(apply("Milk", PHOTO, file, "--format", "png16", "--size", 60)).isZero();
    assertThat(bits(file)).isEqualTo(16);
    fails(apply("Milk", PHOTO, folder.resolve("a.png"), "--format", "jpg"), "is called otherwise");
    Path from = Files.createDirectories(folder.resolve("from"));
    Files.copy(PHOTO, from.resolve("cat.jpg"));
    Path to = folder.resolve("to");
    Object[] deep = {"--format", "png", "--deep", "--size", 60, "--names", "{photo}"};
    assertThat(apply("Milk", from, to, deep)).isZero();
    assertThat(bits(to.resolve("cat.png"))).isEqualTo(16);
    fails(apply("Milk", from, to, "--deep"), "A JPEG has 8 bits");
  }

  @Test
  void theWordsOfAnOptionNameEveryFormat() {
    nv("apply", "--help");
    for (PictureFormat format : PictureFormat.values()) {
      assertThat(out).contains(format.id());
    }
  }

  /** PNG, third edition, 11.2.1: the ninth byte of the header is the depth. */
  private static int bits(Path png) throws IOException {
    return Files.readAllBytes(png)[24];
  }

  @Test
  void whatIsMissingIsSaidInASentence() throws IOException {
    Path words = folder.resolve("no-words.txt");
    Path kits = folder.resolve("k.kits.zip");
    Files.write(kits, KitFiles.write(KitFile.of(ReleaseReader.read(release))));
    Object[] pack = {"pack", "--kits", kits, "--name", "Soft", "--release-version", "1.3", "--out"};
    fails(nv(with(pack, folder.resolve("o.zip"), "--words", words)), "could not be read");
    fails(nv(with(pack, folder.resolve("none/o.zip"))), "There is no folder");
    Path off = Files.writeString(folder.resolve("off.json"), allOff());
    Path photos = Files.createDirectories(folder.resolve("photos"));
    Files.copy(PHOTO, photos.resolve("cat.jpg"));
    assertThat(nv("proof", "--release", release, "--photos", photos, "--limits", off, "--all"))
        .isZero();
    assertThat(out).contains("no limit is on");
  }

  private static Object[] with(Object[] some, Object... more) {
    return Stream.concat(Stream.of(some), Stream.of(more)).toArray();
  }

  private static String allOff() {
    return org.nineveils.proof.measure.Measures.all().stream()
        .map(m -> "\"%s\": \"off\"".formatted(m.id()))
        .collect(java.util.stream.Collectors.joining(", ", "{", "}"));
  }

  /** With its signature taken out and its checksums made anew, a release was only “not signed”. */
  @Test
  void aMakerWhoSignedOnceIsExpectedToSign() throws IOException {
    Release soft = ReleaseReader.read(release);
    Files.write(release, ReleaseWriter.write(soft, MakersKey.make()));
    assertThat(nv("effects", release)).isZero();
    Path bare = folder.resolve("bare.zip");
    Files.write(bare, ReleaseWriter.write(soft));
    fails(nv("effects", bare), "is not signed, but what came as “Q” before was signed");
    Path other = folder.resolve("other.zip");
    Files.write(other, ReleaseWriter.write(soft, MakersKey.make()));
    fails(nv("check", other), "Ask the maker", "--trust");
    assertThat(nv("check", other, "--trust")).isZero();
    assertThat(nv("effects", other)).as("it is remembered").isZero();
    fails(nv("effects", release), "was signed with key");
  }
}
