package org.nineveils.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.file.PictureWriter;
import org.nineveils.kit.Against;
import org.nineveils.kit.MakersOwn;
import org.nineveils.kit.Mark;
import org.nineveils.kit.StackingRule;
import org.nineveils.mask.Mask;
import org.nineveils.picture.Picture;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

class KitFilesTest {
  private static final byte[] PICTURE = PictureWriter.png16(Picture.blank(4, 3));

  private static Veil light() {
    VeilKind kind = Kinds.ofId("light");
    SettingValues values = SettingValues.parse(kind.settings(), Map.of("exposure", 0.5));
    return new Veil("a", "Lift", kind, values, BlendMode.SCREEN, 0.7, false, Mask.BRUSH_ON, "skin");
  }

  private static KitFile kits() {
    Effect effect =
        new Effect(
            List.of(light()),
            "Brush it on.\nLower it.",
            1,
            List.of(new Dial("a", "exposure", "Light", -1, 1)),
            0.6,
            List.of("newborn"));
    KitFile.EffectPart first =
        new KitFile.EffectPart(
            "Lift",
            effect,
            new MakersOwn(List.of("window light"), true, Optional.of(Mark.AGAIN)),
            "");
    KitFile.EffectPart second =
        new KitFile.EffectPart("Lift less", Effect.empty(), MakersOwn.NONE, "Lift");
    KitFile.SectionPart looks =
        new KitFile.SectionPart(
            1,
            "Looks",
            StackingRule.COLOUR_LOOK,
            List.of(new Against(2, true)),
            Optional.of(Mark.LATER),
            List.of(first, second));
    KitFile.SectionPart finish =
        new KitFile.SectionPart(
            2,
            "Finish",
            StackingRule.STACK_FREELY,
            List.of(new Against(1, true)),
            Optional.empty(),
            List.of());
    return new KitFile(
        List.of(new KitFile.KitPart("Cradle", "newborns", List.of(looks, finish))),
        List.of(new KitFile.SwatchPart("Quillfern", "Soft lift", light())),
        Map.of());
  }

  @Test
  void whatIsWrittenIsReadBackWholeAndTheSameKitsGiveTheSameBytes() {
    byte[] file = KitFiles.write(kits());
    assertThat(KitFiles.open(file, "kits.zip", "")).isEqualTo(kits());
    assertThat(KitFiles.write(KitFiles.open(file, "kits.zip", ""))).isEqualTo(file);
  }

  @Test
  void theManifestIsAsTheSchemaSaysAndEffectsAreAsInARelease() {
    Map<String, byte[]> files = ZipEntries.read(KitFiles.write(kits()), "kits.zip");
    SchemaRegistry registry = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);
    assertThat(
            registry
                .getSchema(KitFileSchema.manifest())
                .validate(text(files.get("manifest.json")), InputFormat.JSON))
        .isEmpty();
    String effect = "effects/01-cradle/01-looks/01-lift.json";
    assertThat(
            registry
                .getSchema(FormatSchema.effect())
                .validate(text(files.get(effect)), InputFormat.JSON))
        .isEmpty();
    assertThat(
            registry
                .getSchema(KitFileSchema.manifest())
                .validate("{\"format\": \"nine-veils-kits\"}", InputFormat.JSON))
        .isNotEmpty();
  }

  private static String text(byte[] bytes) {
    return new String(bytes, java.nio.charset.StandardCharsets.UTF_8);
  }

  @Test
  void placedPicturesGoAlongAndAMissingOneIsRefusedByName() {
    VeilKind kind = Kinds.ofId("overlay");
    String sha = Checksums.sha256(PICTURE);
    SettingValues values = SettingValues.parse(kind.settings(), Map.of("picture", sha));
    Veil veil =
        new Veil("p", "Linen", kind, values, BlendMode.MULTIPLY, 1, false, Mask.EVERYWHERE, "");
    KitFile.EffectPart part =
        new KitFile.EffectPart("Linen", new Effect(List.of(veil), "", 1), MakersOwn.NONE, "");
    KitFile.SectionPart section =
        new KitFile.SectionPart(
            1, "Paper", StackingRule.STACK_FREELY, List.of(), Optional.empty(), List.of(part));
    List<KitFile.KitPart> parts = List.of(new KitFile.KitPart("K", "", List.of(section)));
    byte[] whole = KitFiles.write(new KitFile(parts, List.of(), Map.of(sha, PICTURE)));
    assertThat(KitFiles.open(whole, "k.zip", "").pictures()).containsOnlyKeys(sha);
    byte[] without = KitFiles.write(new KitFile(parts, List.of(), Map.of()));
    assertThatThrownBy(() -> KitFiles.open(without, "k.zip", ""))
        .isInstanceOf(ReleaseException.class)
        .hasMessageContaining("“Linen”");
  }

  @Test
  void aReleaseOfOnesOwnMarkOpensAsKitsAndAnyOtherIsRefused() {
    var effect = new Release.EffectPart("Lift", "", Effect.empty(), new byte[0], new byte[0]);
    var section = new Release.SectionPart(1, "Looks", StackingRule.ONE_AT_A_TIME, List.of(effect));
    var kit = new Release.KitPart("Cradle", "", List.of(section));
    byte[] release =
        ReleaseWriter.write(
            new Release("First weeks", "1.0", "Quillfern", "", "", List.of(kit), Map.of()));
    KitFile opened = KitFiles.open(release, "first.zip", "Quillfern");
    assertThat(opened.kits().get(0).sections().get(0).effects())
        .extracting(KitFile.EffectPart::name)
        .containsExactly("Lift");
    for (String other : List.of("Larkrise", "")) {
      assertThatThrownBy(() -> KitFiles.open(release, "first.zip", other))
          .isInstanceOf(ReleaseException.class)
          .hasMessageContaining("a release by “Quillfern”");
    }
  }

  @Test
  void aDamagedFileIsRefusedWithTheFileAndThePlace() {
    byte[] file = KitFiles.write(kits());
    file[file.length / 3] ^= 0x55;
    assertThatThrownBy(() -> KitFiles.open(file, "kits.zip", ""))
        .isInstanceOf(ReleaseException.class)
        .hasMessageContaining("kits.zip");
  }
}
