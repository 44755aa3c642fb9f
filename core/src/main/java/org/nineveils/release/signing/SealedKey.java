package org.nineveils.release.signing;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Map;
import javax.crypto.AEADBadTagException;
import javax.crypto.Cipher;
import javax.crypto.SecretKey;
import javax.crypto.SecretKeyFactory;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.PBEKeySpec;
import javax.crypto.spec.SecretKeySpec;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.refusal.Refusal;

/**
 * A maker's key as a file under a pass phrase: its seed under AES-256-GCM (NIST SP 800-38D), the
 * key of which is the phrase through PBKDF2 with HMAC-SHA-256 (RFC 8018, section 5.2).
 */
public final class SealedKey {
  /** Value of the file's field “format”. */
  static final String FORMAT = "nine-veils-key";

  /** Rounds of a new file: common practice in 2023 and after for this function, from memory. */
  private static final int ROUNDS = 600_000;

  /** Most rounds that a file may ask for: a few seconds of work. */
  private static final int MOST_ROUNDS = 5_000_000;

  /** Fewest characters of a pass phrase. */
  public static final int SHORTEST = 8;

  private static final int SALT = 16;
  private static final int NONCE = 12;
  private static final int TAG_BITS = 128;

  private SealedKey() {}

  /**
   * Writes a key.
   *
   * @throws Refusal with a sentence if the phrase is too short
   */
  public static String write(MakersKey key, String phrase) {
    return write(key, phrase, ROUNDS);
  }

  /** The same by another number of rounds. */
  public static String write(MakersKey key, String phrase, int rounds) {
    if (phrase.length() < SHORTEST) {
      throw new Refusal(
          String.format(Locale.ROOT, "A pass phrase has at least %d characters.", SHORTEST));
    }
    SecureRandom random = new SecureRandom();
    byte[] salt = new byte[SALT];
    byte[] nonce = new byte[NONCE];
    random.nextBytes(salt);
    random.nextBytes(nonce);
    HexFormat hex = HexFormat.of();
    try {
      Cipher cipher = cipher(Cipher.ENCRYPT_MODE, secret(phrase, salt, rounds), nonce);
      byte[] sealed = cipher.doFinal(hex.parseHex(key.seed()));
      Map<String, Object> file =
          Json.object(
              "format",
              FORMAT,
              "formatVersion",
              1,
              "key",
              key.key(),
              "kdf",
              "PBKDF2WithHmacSHA256",
              "rounds",
              rounds,
              "salt",
              hex.formatHex(salt),
              "cipher",
              "AES-256-GCM",
              "nonce",
              hex.formatHex(nonce),
              "sealed",
              hex.formatHex(sealed));
      return Json.writePretty(file);
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every Java 17 has AES and PBKDF2", e);
    }
  }

  /**
   * Opens the file of a key.
   *
   * @throws Refusal with a sentence if it is none, or the phrase is another
   */
  public static MakersKey open(byte[] file, String phrase) {
    Fields f = Json.read(new String(file, StandardCharsets.UTF_8), "The file of the key");
    if (!f.text("format", "").equals(FORMAT)) {
      throw new Refusal("This is no file of a maker's key.");
    }
    f.only("format", "formatVersion", "key", "kdf", "rounds", "salt", "cipher", "nonce", "sealed");
    int rounds = f.whole("rounds");
    if (rounds < 1 || rounds > MOST_ROUNDS || f.whole("formatVersion") != 1) {
      throw new Refusal("The file of the key is of another make than this program reads.");
    }
    try {
      SecretKey secret = secret(phrase, bytes(f, "salt"), rounds);
      byte[] seed =
          cipher(Cipher.DECRYPT_MODE, secret, bytes(f, "nonce")).doFinal(bytes(f, "sealed"));
      MakersKey key = MakersKey.of(seed);
      if (!key.key().equals(f.text("key"))) {
        throw new Refusal("The file of the key is damaged: its two halves do not belong together.");
      }
      return key;
    } catch (AEADBadTagException e) {
      throw new Refusal("The pass phrase does not open this key.");
    } catch (GeneralSecurityException | ArrayIndexOutOfBoundsException e) {
      throw new Refusal("The file of the key is damaged.");
    }
  }

  private static byte[] bytes(Fields f, String name) {
    String hex = f.text(name);
    if (!hex.matches("^([0-9a-f]{2}){1,256}$")) {
      throw new Refusal("The file of the key is damaged: “%s” is no number.".formatted(name));
    }
    return HexFormat.of().parseHex(hex);
  }

  private static SecretKey secret(String phrase, byte[] salt, int rounds)
      throws GeneralSecurityException {
    PBEKeySpec spec = new PBEKeySpec(phrase.toCharArray(), salt, rounds, 256);
    byte[] key =
        SecretKeyFactory.getInstance("PBKDF2WithHmacSHA256").generateSecret(spec).getEncoded();
    return new SecretKeySpec(key, "AES");
  }

  private static Cipher cipher(int mode, SecretKey secret, byte[] nonce)
      throws GeneralSecurityException {
    Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
    cipher.init(mode, secret, new GCMParameterSpec(TAG_BITS, nonce));
    return cipher;
  }
}
