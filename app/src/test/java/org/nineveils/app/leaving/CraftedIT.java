package org.nineveils.app.leaving;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.kit.StackingRule;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseWriter;
import org.nineveils.release.signing.MakersKey;
import org.nineveils.veil.Effect;

/** Releases that somebody tampered with: the desk says what is wrong and takes nothing in. */
class CraftedIT {
  private static final String FILE = "fern.zip";
  private static final MakersKey KEY = MakersKey.make();

  private final Http http = new Http(RunningApp.empty());

  private static byte[] release(String name, MakersKey key) {
    Effect effect = Effect.empty().noted("Ease it.");
    var part = new Release.EffectPart("Fern", "", effect, new byte[0], new byte[0]);
    var section = new Release.SectionPart(1, "Looks", StackingRule.STACK_FREELY, List.of(part));
    var kit = new Release.KitPart("Ferns", "", List.of(section));
    Release release = new Release(name, "1.0", "Fernhand", "", "", List.of(kit), Map.of());
    return ReleaseWriter.write(release, key);
  }

  private void refused(byte[] file, String sentence) {
    String before = http.get("/desk").body();
    var answer = http.upload("/api/desk", FILE, file);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
    assertThat(answer.body()).contains(FILE, sentence).doesNotContain("Exception");
    assertThat(rows(http.get("/desk").body())).isEqualTo(rows(before));
  }

  private static int rows(String page) {
    return page.split("desk-collection", -1).length;
  }

  /** One file has other words in it; the list of checksums stays. */
  private static byte[] swapped(byte[] zip) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipInputStream in = new ZipInputStream(new java.io.ByteArrayInputStream(zip));
        ZipOutputStream made = new ZipOutputStream(out)) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        byte[] bytes = in.readAllBytes();
        made.putNextEntry(new ZipEntry(e.getName()));
        made.write(
            e.getName().startsWith("notes/")
                ? "Do not ease it.\n".getBytes(StandardCharsets.UTF_8)
                : bytes);
      }
    }
    return out.toByteArray();
  }

  @Test
  void whatIsCutOffSwappedOrWronglySignedGetsItsSentence() throws IOException {
    byte[] sound = release("Ferns one", KEY);
    refused(Arrays.copyOf(sound, sound.length / 2), "");
    refused(swapped(sound), "notes/");
    refused(
        Repacked.with(sound, "signature.json", "\"signature\" : \"", "\"signature\" : \"00"), "");
    refused(
        Repacked.with(sound, "manifest.json", "Ferns one", "Ferns two"),
        "was changed after it was signed");
    MakersKey thief = MakersKey.make();
    refused(
        Repacked.with(sound, "signature.json", KEY.key(), thief.key()),
        "was changed after it was signed");
  }

  @Test
  void aMarkThatComesWithAnotherKeyIsAskedAboutOnceAndSaidInTheList() {
    String one = http.upload("/api/desk", FILE, release("Ferns three", KEY)).body();
    assertThat(signed(one)).contains("a key that this desk had not seen before");
    String two = http.upload("/api/desk", FILE, release("Ferns four", KEY)).body();
    assertThat(signed(two)).contains("known since");
    MakersKey other = MakersKey.make();
    byte[] five = release("Ferns five", other);
    assertThat(http.upload("/api/desk", FILE, five).body())
        .contains("it is not signed with the key that you have known since", "sure=true");
    String three = http.upload("/api/desk?sure=true", FILE, five).body();
    assertThat(signed(three)).contains("was signed with another one, " + KEY.named());
    assertThat(http.get("/desk").body())
        .contains("another key than before", "signed, known since", "signed, first time");
    String four = http.upload("/api/desk", FILE, release("Ferns six", other)).body();
    assertThat(signed(four)).as("not asked again").contains("was signed with another one");
  }

  private String signed(String answer) {
    String page = http.get(answer.replaceAll(".*\"go\":\"([^\"]+)\".*", "$1")).body();
    return page.replaceAll("(?s).*data-signed[^>]*>([^<]*)<.*", "$1");
  }
}
