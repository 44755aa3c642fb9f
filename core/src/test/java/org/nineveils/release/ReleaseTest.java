package org.nineveils.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TimeZone;
import java.util.function.Consumer;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureWriter;
import org.nineveils.kit.StackingRule;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Rule;
import org.nineveils.mask.RuleKind;
import org.nineveils.mask.RuleKinds;
import org.nineveils.name.NamePattern;
import org.nineveils.refusal.InputLimits;
import org.nineveils.release.signing.MakersKey;
import org.nineveils.release.signing.Signed;
import org.nineveils.setting.SettingValues;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class ReleaseTest {
  private static final byte[] BEFORE = PictureWriter.jpeg(Pictures.flat(6, 4, 0.4, 0.4, 0.4), 0.8f);
  private static final byte[] AFTER = PictureWriter.jpeg(Pictures.flat(6, 4, 0.7, 0.6, 0.5), 0.8f);

  private static Release release() {
    Effect milk =
        new Effect(
            List.of(
                Pictures.veil("light", Map.of("exposure", 0.3)),
                Pictures.veil("curve", Map.of("outBlack", 20)).withOpacity(0.5)),
            "Ease it on white.",
            1);
    Effect brown =
        new Effect(
            List.of(
                Pictures.veil("tint", Map.of("monochrome", 100)),
                Pictures.veil("edge", Map.of("amount", -1)).withLifted(true),
                byRule()),
            "",
            1);
    return new Release(
        "First Weeks",
        "1.0.2",
        "Quillfern",
        "One line.",
        "Begin here.",
        List.of(
            new Release.KitPart(
                "Willow",
                "newborns",
                List.of(
                    new Release.SectionPart(
                        1,
                        "Looks",
                        StackingRule.ONE_AT_A_TIME,
                        List.of(
                            new Release.EffectPart("Milk", "", milk, BEFORE, AFTER),
                            new Release.EffectPart("Brown", "", brown, new byte[0], new byte[0]))),
                    new Release.SectionPart(2, "Empty", StackingRule.STACK_FREELY, List.of())))),
        Map.of());
  }

  private static Veil byRule() {
    RuleKind shape = RuleKinds.ofId("shape");
    SettingValues values = SettingValues.parse(shape.settings(), Map.of("x", 30));
    Mask mask = new Mask(Cover.BY_RULE, List.of(new Rule(shape, values, Rule.Join.OR, true)));
    Veil veil = Pictures.veil("light", Map.of("exposure", 1));
    return new Veil(
        "ruled", "Ruled", veil.kind(), veil.settings(), veil.blend(), 1, false, mask, "");
  }

  private static Map<String, byte[]> unzip(byte[] zip) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip), StandardCharsets.UTF_8);
    for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
      files.put(e.getName(), in.readAllBytes());
    }
    return files;
  }

  private static byte[] zip(Map<String, byte[]> files) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
      for (var file : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        zip.write(file.getValue());
      }
    }
    return out.toByteArray();
  }

  /** A release with some files changed, and checksums that fit again. */
  private static byte[] changed(Consumer<Map<String, byte[]>> change) throws IOException {
    Map<String, byte[]> files = unzip(ReleaseWriter.write(release()));
    files.remove(Checksums.FILE);
    change.accept(files);
    files.put(Checksums.FILE, Checksums.list(files));
    return zip(files);
  }

  private static void edit(Map<String, byte[]> files, String path, String from, String to) {
    String text = new String(files.get(path), StandardCharsets.UTF_8);
    assertThat(text).contains(from);
    files.put(path, text.replace(from, to).getBytes(StandardCharsets.UTF_8));
  }

  private static void refused(byte[] file, String... says) {
    assertThatThrownBy(() -> ReleaseReader.read(file, "first.zip"))
        .isInstanceOf(ReleaseException.class)
        .hasMessageStartingWith("“first.zip”")
        .hasMessageContainingAll(says);
  }

  @Test
  void theSameStateGivesTheSameBytesInAnyTimeZone() {
    byte[] first = ReleaseWriter.write(release());
    TimeZone before = TimeZone.getDefault();
    try {
      TimeZone.setDefault(TimeZone.getTimeZone("Pacific/Auckland"));
      assertThat(ReleaseWriter.write(release())).isEqualTo(first);
    } finally {
      TimeZone.setDefault(before);
    }
  }

  @Test
  void aSignatureSaysWhoMadeItAndWhetherItWasChangedSince() throws IOException {
    MakersKey key = MakersKey.make();
    byte[] file = ReleaseWriter.write(release(), key);
    assertThat(ReleaseWriter.write(release(), key)).as("the same bytes again").isEqualTo(file);
    assertThat(ReleaseReader.read(file, "first.zip").effects()).hasSize(2);
    assertThat(ReleaseReader.signed(file, "first.zip"))
        .isEqualTo(new Signed(Signed.State.SOUND, key.key()));
    Map<String, byte[]> files = unzip(file);
    byte[] signature = files.remove(Signed.FILE);
    assertThat(ReleaseReader.signed(zip(files), "first.zip").state())
        .isEqualTo(Signed.State.UNSIGNED);
    edit(files, "manifest.json", "Begin here.", "Begin there.");
    files.remove(Checksums.FILE);
    files.put(Checksums.FILE, Checksums.list(files));
    files.put(Signed.FILE, signature);
    assertThat(ReleaseReader.signed(zip(files), "first.zip"))
        .as("with checksums that fit again")
        .isEqualTo(new Signed(Signed.State.CHANGED, key.key()));
    refused(zip(files), "was changed after it was signed with key " + key.named());
    assertThatThrownBy(() -> KitFiles.open(zip(files), "first.zip", "Quillfern"))
        .hasMessageContaining("was changed after it was signed");
    files.put(Signed.FILE, "{}".getBytes(StandardCharsets.UTF_8));
    refused(zip(files), "The signature");
  }

  /** They go to desk, stall and guide: any bytes up to 8 MB were taken, of any size in pixels. */
  @Test
  void picturesThatShowEffectsAreLookedAtBeforeTheyAreTaken() throws IOException {
    String path = "previews/01-willow/01-looks/01-milk-after.jpg";
    refused(changed(f -> f.put(path, new byte[] {1, 2, 3})), path, "is no JPEG");
    byte[] huge = AFTER.clone();
    for (int i = 0; i < huge.length - 8; i++) { // the frame header: ITU-T T.81, B.2.2
      if ((huge[i] & 0xff) == 0xff && (huge[i + 1] & 0xff) == 0xc0) {
        huge[i + 5] = 0x20; // 8 196 lines
        huge[i + 7] = 0x20;
        break;
      }
    }
    refused(changed(f -> f.put(path, huge)), path, "megapixels");
  }

  /** What is in the file is what its directory says, as for most programs: APPNOTE 4.3.12. */
  @Test
  void whatTheDirectoryOfTheFileSaysIsWhatTheEntriesAre() {
    byte[] file = ReleaseWriter.write(release());
    assertThat(ReleaseReader.read(file, "first.zip").effects()).hasSize(2);
    java.nio.ByteBuffer in = java.nio.ByteBuffer.wrap(file).order(java.nio.ByteOrder.LITTLE_ENDIAN);
    int directory = in.getInt(file.length - 22 + 16);
    int second = directory + 46 + in.getShort(directory + 28) + in.getShort(directory + 30);
    for (int at : List.of(16, 20, 24, 42)) { // checksum, packed size, size, place
      byte[] other = file.clone();
      other[second + at] ^= 1;
      refused(other, "cannot be opened");
    }
    byte[] swapped = file.clone(); // each name leads to the other's content
    for (int i = 0; i < 4; i++) {
      swapped[directory + 42 + i] = file[second + 42 + i];
      swapped[second + 42 + i] = file[directory + 42 + i];
    }
    refused(swapped, "cannot be opened");
  }

  /** Under these locales, numbers were packed as ٠١ or ۰۱, and letters without their dots. */
  @Test
  void theSameStateGivesTheSameBytesUnderAnyLocale() {
    byte[] first = ReleaseWriter.write(release());
    Locale before = Locale.getDefault();
    try {
      for (String tag : List.of("ar-EG-u-nu-arab", "fa-IR", "tr-TR", "th-TH-u-nu-thai")) {
        Locale.setDefault(Locale.forLanguageTag(tag));
        assertThat(ReleaseWriter.write(release())).as(tag).isEqualTo(first);
        assertThat(KitFiles.write(KitFile.of(release()))).as(tag).asString().contains("01-willow");
        assertThat(
                new NamePattern("{number}-{photo}")
                    .of("IMG.jpg", "x", 7, java.util.Optional::empty))
            .isEqualTo("007-IMG");
      }
    } finally {
      Locale.setDefault(before);
    }
  }

  @Test
  void coverAndNewsTravel() {
    Release plain = release();
    Release with =
        new Release(
            plain.name(),
            plain.version(),
            plain.makersMark(),
            plain.licence(),
            plain.notes(),
            plain.kits(),
            plain.pictures(),
            new Release.Cover(BEFORE, AFTER),
            new Release.News("1.0.1", List.of("“Milk” is new, in Willow, Looks.")),
            true);
    Release read = ReleaseReader.read(ReleaseWriter.write(with), "first.zip");
    assertThat(read.cover().before()).isEqualTo(BEFORE);
    assertThat(read.cover().after()).isEqualTo(AFTER);
    assertThat(read.news()).isEqualTo(with.news());
    assertThat(read.mayHandOut()).isTrue();
    assertThat(ReleaseReader.read(ReleaseWriter.write(plain), "first.zip").mayHandOut())
        .as("not, unless its maker says so")
        .isFalse();
    assertThat(ReleaseReader.read(ReleaseWriter.write(plain), "first.zip").news())
        .isEqualTo(Release.News.NONE);
  }

  @Test
  void whatWasPackedComesOut() {
    Release read = ReleaseReader.read(ReleaseWriter.write(release()), "first.zip");
    assertThat(read.name()).isEqualTo("First Weeks");
    assertThat(read.notes()).isEqualTo("Begin here.");
    assertThat(read.kits().get(0).sections()).hasSize(2);
    Release.EffectPart milk = read.effect("milk");
    assertThat(milk.effect()).isEqualTo(release().effects().get(0).effect());
    assertThat(milk.key()).isEqualTo("effects/01-willow/01-looks/01-milk.json");
    assertThat(milk.before()).isEqualTo(BEFORE);
    assertThat(read.effect("Brown").after()).isEmpty();
  }

  /** docs/format.md: a manifest, one JSON per effect, a note per effect, pictures, checksums. */
  @Test
  void itHoldsJustTheFilesThatTheFormatNames() throws IOException {
    assertThat(unzip(ReleaseWriter.write(release())).keySet())
        .containsExactly(
            "manifest.json",
            "effects/01-willow/01-looks/01-milk.json",
            "notes/01-willow/01-looks/01-milk.txt",
            "previews/01-willow/01-looks/01-milk-before.jpg",
            "previews/01-willow/01-looks/01-milk-after.jpg",
            "effects/01-willow/01-looks/02-brown.json",
            "checksums.sha256");
  }

  /** FIPS 180-4, appendix example: SHA-256 of “abc”. */
  @Test
  void checksumsAreThoseOfTheStandard() throws IOException {
    assertThat(Checksums.sha256("abc".getBytes(StandardCharsets.UTF_8)))
        .isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
    Map<String, byte[]> files = unzip(ReleaseWriter.write(release()));
    assertThat(new String(files.get("checksums.sha256"), StandardCharsets.UTF_8))
        .contains(Checksums.sha256(files.get("manifest.json")) + "  manifest.json\n");
  }

  @Test
  void realReleasesFitThePublishedSchemas() throws IOException {
    Map<String, byte[]> files = unzip(ReleaseWriter.write(release()));
    assertThat(faults("manifest", files.get("manifest.json"))).isEmpty();
    assertThat(faults("effect", files.get("effects/01-willow/01-looks/01-milk.json"))).isEmpty();
    assertThat(faults("effect", files.get("effects/01-willow/01-looks/02-brown.json"))).isEmpty();
  }

  /** Both ways: what the reader takes the schema takes, and what one refuses the other does. */
  @Test
  void readerAndSchemaAgreeOnCraftedManifests() throws IOException {
    record Crafted(String from, String to) {}
    for (Crafted one :
        List.of(
            new Crafted("\"notes\" : \"Begin here.\"", "\"notes\" : \"Two\\nlines\\tand a tab\""),
            new Crafted("\"notes\" : \"Begin here.\"", "\"notes\" : \"bell \\u0007\""),
            new Crafted("\"notes\" : \"Begin here.\"", "\"notes\" : \"" + "n".repeat(4001) + "\""),
            new Crafted("\"notes\" : \"Begin here.\"", "\"notes\" : \"" + "n".repeat(4000) + "\""),
            new Crafted("\"licence\" : \"", "\"licence\" : \"two\\nlines"),
            new Crafted("\"licence\" : \"", "\"licence\" : \"" + "l".repeat(201)),
            new Crafted("\"makersMark\" : \"", "\"makersMark\" : \"" + "m".repeat(61)),
            new Crafted("\"kits\"", "\"pictures\" : [ ], \"kits\""),
            new Crafted("\"kits\"", "\"pictures\" : [ \"pictures/a.png\" ], \"kits\""),
            new Crafted("\"kits\"", "\"more\" : 1, \"kits\""))) {
      byte[] file = changed(f -> edit(f, "manifest.json", one.from, one.to));
      boolean schema = faults("manifest", unzip(file).get("manifest.json")).isEmpty();
      boolean reader = true;
      try {
        ReleaseReader.read(file, "first.zip");
      } catch (ReleaseException e) {
        reader = false;
      }
      assertThat(reader).as(one.to).isEqualTo(schema);
    }
  }

  @Test
  void anEffectNamedTwiceAndAVeilWithoutSettingsAreRefused() throws IOException {
    refused(
        changed(
            f ->
                edit(
                    f,
                    "manifest.json",
                    "effects/01-willow/01-looks/02-brown.json",
                    "effects/01-willow/01-looks/01-milk.json")),
        "is in its manifest twice");
    String path = "effects/01-willow/01-looks/01-milk.json";
    refused(changed(f -> edit(f, path, "\"settings\"", "\"settings2\"")), "settings");
  }

  @Test
  void aListAtTheEndThatNamesAnotherFileOrIsMissingIsRefused() {
    byte[] file = ReleaseWriter.write(release());
    String text = new String(file, StandardCharsets.ISO_8859_1);
    int last = text.lastIndexOf("01-milk.json");
    byte[] other = file.clone();
    other[last + 1] = 'X';
    refused(other, "0X-milk.json” has no checksum");
    refused(java.util.Arrays.copyOf(file, text.indexOf("PK\1\2")), "damaged or not a ZIP file");
  }

  @Test
  void theSchemasRefuseWhatTheReaderRefuses() throws IOException {
    Map<String, byte[]> files = unzip(ReleaseWriter.write(release()));
    String path = "effects/01-willow/01-looks/01-milk.json";
    edit(files, path, "\"opacity\" : 0.5", "\"opacity\" : 3");
    assertThat(faults("effect", files.get(path))).isNotEmpty();
    edit(files, "manifest.json", "\"version\" : \"1.0.2\"", "\"version\" : \"new\"");
    assertThat(faults("manifest", files.get("manifest.json"))).isNotEmpty();
  }

  private static List<?> faults(String schema, byte[] json) throws IOException {
    String text = Files.readString(Path.of("../docs/schema/" + schema + ".schema.json"));
    return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
        .getSchema(text, InputFormat.JSON)
        .validate(new String(json, StandardCharsets.UTF_8), InputFormat.JSON);
  }

  @Test
  void anEmptyZipAndOtherFilesAreRefused() throws IOException {
    refused(zip(Map.of()), "empty or not a ZIP file");
    refused(new byte[0], "damaged or not a ZIP file");
    refused("just text".getBytes(StandardCharsets.UTF_8), "not a ZIP file");
    refused(zip(Map.of("readme.txt", new byte[] {65})), "no manifest.json");
  }

  @Test
  void aCutFileIsRefused() {
    byte[] whole = ReleaseWriter.write(release());
    refused(java.util.Arrays.copyOf(whole, whole.length / 2), "cannot be opened");
  }

  @Test
  void pathsThatLeaveThePackageAreRefused() throws IOException {
    for (String path :
        List.of("../evil.txt", "a/../../b", "/etc/passwd", "a\\b", "C:x", "a//b", "./a")) {
      refused(
          changed(files -> files.put(path, new byte[] {1})), "no path that may be in a release");
    }
  }

  @Test
  void aWrongChecksumIsRefusedNamingTheFile() throws IOException {
    Map<String, byte[]> files = unzip(ReleaseWriter.write(release()));
    edit(files, "effects/01-willow/01-looks/01-milk.json", "0.3", "0.4");
    refused(zip(files), "01-milk.json", "checksum is wrong");
  }

  @Test
  void anUnknownKindIsRefusedNamingTheVeil() throws IOException {
    String path = "effects/01-willow/01-looks/02-brown.json";
    refused(
        changed(files -> edit(files, path, "\"kind\" : \"edge\"", "\"kind\" : \"fur\"")),
        "02-brown.json",
        "veils 2",
        "“fur”");
  }

  @Test
  void anOpacityOf300PerCentIsRefused() throws IOException {
    String path = "effects/01-willow/01-looks/01-milk.json";
    refused(
        changed(files -> edit(files, path, "\"opacity\" : 0.5", "\"opacity\" : 3.0")),
        "between 0 and 100 %",
        "300");
  }

  @Test
  void newerFormatsAndEditionsAreRefusedWithTheReason() throws IOException {
    refused(
        changed(f -> edit(f, "manifest.json", "\"formatVersion\" : 1", "\"formatVersion\" : 9")),
        "package format 9");
    refused(
        changed(f -> edit(f, "manifest.json", "\"edition\" : 1", "\"edition\" : 5")),
        "engine edition 5");
  }

  @Test
  void missingAndSpareFilesAreRefused() throws IOException {
    refused(
        changed(f -> f.remove("effects/01-willow/01-looks/02-brown.json")),
        "02-brown.json",
        "missing");
    refused(changed(f -> f.put("extra.bin", new byte[] {1})), "extra.bin", "belongs to nothing");
  }

  @Test
  void anEntryThatUnpacksToTooMuchIsRefused() throws IOException {
    byte[] bomb = new byte[InputLimits.RELEASE_ENTRY_BYTES + 10];
    refused(changed(f -> f.put("bomb.bin", bomb)), "unpacks to more than is taken");
  }

  @Test
  void anEffectIsFoundByNameAndMissingOnesListWhatThereIs() {
    Release read = ReleaseReader.read(ReleaseWriter.write(release()), "first.zip");
    assertThat(read.effect(" MILK ").name()).isEqualTo("Milk");
    assertThatThrownBy(() -> read.effect("Gold"))
        .hasMessageContaining("“Gold”")
        .hasMessageContaining("Milk, Brown");
  }

  /** Two kits may hold an effect of one name; then the file names it. */
  @Test
  void namesThatAreNotUniqueAskForTheFile() {
    Release.KitPart kit = release().kits().get(0);
    Release.KitPart other = new Release.KitPart("Second", "", kit.sections());
    Release two = new Release("Two", "1", "", "", "", List.of(kit, other), Map.of());
    Release read = ReleaseReader.read(ReleaseWriter.write(two), "two.zip");
    assertThatThrownBy(() -> read.effect("Milk")).hasMessageContaining("2 effects called “Milk”");
    String path = "effects/02-second/01-looks/01-milk.json";
    assertThat(read.effect(path).key()).isEqualTo(path);
  }

  @Test
  void paintHasNoPlaceInAnEffect() {
    assertThat(Veil.class.getRecordComponents()).extracting("name").doesNotContain("paint");
    assertThat(FormatSchema.effect()).doesNotContain("paint").doesNotContain("stroke");
  }

  private static Release withPicture(byte[] file, Map<String, byte[]> pictures) {
    Veil paper = Pictures.veil("overlay", Map.of("picture", Checksums.sha256(file)));
    Effect effect = new Effect(List.of(paper), "", 1);
    Release.EffectPart part = new Release.EffectPart("Paper", "", effect, new byte[0], new byte[0]);
    Release.SectionPart section =
        new Release.SectionPart(1, "Paper", StackingRule.STACK_FREELY, List.of(part));
    Release.KitPart kit = new Release.KitPart("Paper", "", List.of(section));
    return new Release("Paper", "1.0", "Q", "", "", List.of(kit), pictures);
  }

  @Test
  void aPlacedPictureTravelsInThePackageByteForByte() {
    byte[] file = PictureWriter.write(Pictures.random(20, 10, 3), PictureFormat.PNG);
    byte[] packed = ReleaseWriter.write(withPicture(file, Map.of(Checksums.sha256(file), file)));
    Release back = ReleaseReader.read(packed, "paper.zip");
    assertThat(back.pictures().get(Checksums.sha256(file))).isEqualTo(file);
    assertThat(back.shelf().find(Checksums.sha256(file)).get().width()).isEqualTo(20);
    assertThat(ReleaseWriter.write(back)).isEqualTo(packed);
  }

  @Test
  void aReleaseWithoutAPictureThatAnEffectLaysOverIsRefusedByItsName() {
    byte[] file = PictureWriter.write(Pictures.random(20, 10, 3), PictureFormat.PNG);
    byte[] packed = ReleaseWriter.write(withPicture(file, Map.of()));
    assertThatThrownBy(() -> ReleaseReader.read(packed, "paper.zip"))
        .isInstanceOf(ReleaseException.class)
        .hasMessageContaining("“Paper”")
        .hasMessageContaining("picture");
  }

  /** Opening looks at headers alone; before it is put out or taken in all is read to the end. */
  @Test
  void aDamagedPictureIsRefusedByItsPathWhereAReleaseIsChecked() {
    byte[] file = PictureWriter.write(Pictures.random(40, 30, 3), PictureFormat.PNG);
    byte[] half = java.util.Arrays.copyOf(file, file.length / 2);
    byte[] packed = ReleaseWriter.write(withPicture(half, Map.of(Checksums.sha256(half), half)));
    assertThat(ReleaseReader.read(packed, "paper.zip").pictures()).hasSize(1);
    assertThatThrownBy(() -> ReleaseReader.check(packed, "paper.zip"))
        .isInstanceOf(ReleaseException.class)
        .hasMessageContaining("pictures/" + Checksums.sha256(half));
  }

  /** Headers of 60 megapixels each, in a few bytes: refused before any is decoded. */
  @Test
  void picturesOfTooManyPixelsTogetherAreRefused() {
    Map<String, byte[]> pictures = new HashMap<>();
    byte[] first = null;
    for (int i = 0; i < 7; i++) {
      byte[] file = PictureWriter.write(Pictures.random(4 + i, 4, 3), PictureFormat.PNG);
      ByteBuffer.wrap(file).putInt(16, 10_000).putInt(20, 6_000);
      CRC32 crc = new CRC32();
      crc.update(file, 12, 17);
      ByteBuffer.wrap(file).putInt(29, (int) crc.getValue());
      pictures.put(Checksums.sha256(file), file);
      first = file;
    }
    byte[] packed = ReleaseWriter.write(withPicture(first, pictures));
    assertThatThrownBy(() -> ReleaseReader.read(packed, "paper.zip"))
        .isInstanceOf(ReleaseException.class)
        .hasMessageContaining("400 megapixels");
  }

  @Test
  void theSameReleaseCompressedOtherwiseHasTheSameChecksums() throws IOException {
    byte[] packed = ReleaseWriter.write(release());
    ByteArrayOutputStream again = new ByteArrayOutputStream();
    try (ZipOutputStream out = new ZipOutputStream(again);
        ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(packed))) {
      out.setLevel(1);
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        out.putNextEntry(new ZipEntry(entry.getName()));
        in.transferTo(out);
        out.closeEntry();
      }
    }
    assertThat(again.toByteArray()).isNotEqualTo(packed);
    assertThat(ReleaseReader.checksums(again.toByteArray(), "a.zip"))
        .isEqualTo(ReleaseReader.checksums(packed, "b.zip"))
        .isNotEmpty();
  }
}
