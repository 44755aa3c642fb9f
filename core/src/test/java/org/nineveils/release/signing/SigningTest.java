package org.nineveils.release.signing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.refusal.Refusal;

class SigningTest {
  private static byte[] hex(String digits) {
    return HexFormat.of().parseHex(digits);
  }

  /**
   * RFC 8032, section 7.1, tests 1 to 3: secret key, public key, message, signature. Typed from
   * memory; a wrong digit could not pass.
   */
  @ParameterizedTest
  @CsvSource({
    "9d61b19deffd5a60ba844af492ec2cc44449c5697b326919703bac031cae7f60,"
        + "d75a980182b10ab7d54bfed3c964073a0ee172f3daa62325af021a68f707511a,'',"
        + "e5564300c360ac729086e2cc806e828a84877f1eb8e5d974d873e065224901555fb8821590a33bacc61e39701cf9b46bd25bf5f0595bbe24655141438e7a100b",
    "4ccd089b28ff96da9db6c346ec114e0f5b8a319f35aba624da8cf6ed4fb8a6fb,"
        + "3d4017c3e843895a92b70aa74d1b7ebc9c982ccf2ec4968cc0cd55f12af4660c,72,"
        + "92a009a9f0d4cab8720e820b5f642540a2b27b5416503f8fb3762223ebdb69da085ac1e43e15996e458f3613d0f11d8c387b2eaeb4302aeeb00d291612bb0c00",
    "c5aa8df43f9f837bedb7442f31dcb7b166d38535076f094b85ce3a2e0b4458f7,"
        + "fc51cd8e6218a1a38da47ed00230f0580816ed13ba3303ac5deb911548908025,af82,"
        + "6291d657deec24024827e69c3abe01a30ce548a284743a445e3680d7db5ac3ac18ff9b538d16f290ae67f760984dc6594a7c15e9716ed28dc027beceea1ec40a"
  })
  void theVectorsOfTheStandardSign(String secret, String key, String message, String signature) {
    MakersKey made = MakersKey.of(hex(secret));
    assertThat(made.key()).isEqualTo(key);
    assertThat(HexFormat.of().formatHex(made.sign(hex(message)))).isEqualTo(signature);
    assertThat(PublicKeys.signed(key, hex(message), hex(signature))).isTrue();
    assertThat(PublicKeys.signed(key, hex(message + "00"), hex(signature))).isFalse();
  }

  /**
   * The points of small order of the curve, and two numbers that are no y of the field; from
   * memory, checked against the equation of the curve: x² = (y² − 1) / (d·y² + 1) must be a square.
   */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "0100000000000000000000000000000000000000000000000000000000000000",
        "0100000000000000000000000000000000000000000000000000000000000080",
        "ecffffffffffffffffffffffffffffffffffffffffffffffffffffffffffff7f",
        "0000000000000000000000000000000000000000000000000000000000000000",
        "0000000000000000000000000000000000000000000000000000000000000080",
        "26e8958fc2b227b045c3f489f2ef98f0d5dfac05d3c63339b13802886d53fc05",
        "c7176a703d4dd84fba3c0b760d10670f2a2053fa2c39ccc64ec7fd7792ac037a",
        "edffffffffffffffffffffffffffffffffffffffffffffffffffffffffffff7f",
        "eeffffffffffffffffffffffffffffffffffffffffffffffffffffffffffff7f"
      })
  void aKeyOfSmallOrderSignsNothing(String key) {
    // R = the neutral point, S = 0 solves the equation of verification for each of them
    byte[] forged = hex("01" + "00".repeat(63));
    for (String message : new String[] {"", "72", "af82", "00", "01", "02", "03", "04"}) {
      assertThat(PublicKeys.signed(key, hex(message), forged)).isFalse();
    }
  }

  @Test
  void aSignatureIsSoundForWhatItWasMadeOfAndForNothingElse() {
    MakersKey key = MakersKey.make();
    byte[] list = "sums".getBytes(StandardCharsets.UTF_8);
    byte[] file = Signed.file(key, list);
    assertThat(Signed.read(file, list)).isEqualTo(new Signed(Signed.State.SOUND, key.key()));
    byte[] other = "other sums".getBytes(StandardCharsets.UTF_8);
    assertThat(Signed.read(file, other).state()).isEqualTo(Signed.State.CHANGED);
    String text = new String(file, StandardCharsets.UTF_8);
    byte[] anothers =
        text.replace(key.key(), MakersKey.make().key()).getBytes(StandardCharsets.UTF_8);
    assertThat(Signed.read(anothers, list).state()).isEqualTo(Signed.State.CHANGED);
    byte[] noKey = text.replace(key.key(), "f".repeat(64)).getBytes(StandardCharsets.UTF_8);
    assertThat(Signed.read(noKey, list).state()).isEqualTo(Signed.State.CHANGED);
    assertThat(Signed.read(null, list)).isEqualTo(new Signed(Signed.State.UNSIGNED, ""));
    assertThat(key.named()).matches("([0-9A-F]{4} ){4}[0-9A-F]{4}");
  }

  @Test
  void aKeyTravelsUnderItsPassPhraseAndUnderNoOther() {
    MakersKey key = MakersKey.make();
    String file = SealedKey.write(key, "linen by the window");
    assertThat(file).doesNotContain(key.seed());
    byte[] bytes = file.getBytes(StandardCharsets.UTF_8);
    assertThat(SealedKey.open(bytes, "linen by the window")).isEqualTo(key);
    assertThatThrownBy(() -> SealedKey.open(bytes, "linen by the door"))
        .isInstanceOf(Refusal.class)
        .hasMessage("The pass phrase does not open this key.");
    assertThatThrownBy(() -> SealedKey.write(key, "short"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("at least 8 characters");
    byte[] other = file.replace("nine-veils-key", "letter").getBytes(StandardCharsets.UTF_8);
    assertThatThrownBy(() -> SealedKey.open(other, "linen by the window"))
        .hasMessage("This is no file of a maker's key.");
    byte[] cut =
        file.replaceAll("\"sealed\"\\s*:\\s*\"[0-9a-f]{8}", "\"sealed\":\"")
            .getBytes(StandardCharsets.UTF_8);
    assertThatThrownBy(() -> SealedKey.open(cut, "linen by the window"))
        .isInstanceOf(Refusal.class);
  }
}
