package org.nineveils.release.signing;

import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.release.Checksums;

/**
 * What the signature of a package is worth.
 *
 * @param state whether it is signed, and still as it was signed
 * @param key the public key in hexadecimal; empty where it is not signed
 */
public record Signed(State state, String key) {
  /** File of the signature in a package; it has no checksum, since it is made of the checksums. */
  public static final String FILE = "signature.json";

  private static final String ALGORITHM = "Ed25519";

  /** How it stands with a package. */
  public enum State {
    /** It carries no signature. */
    UNSIGNED,
    /** All of it is as it was when the key signed it. */
    SOUND,
    /** The signature is not one of what is in it now. */
    CHANGED
  }

  private static final Signed UNSIGNED = new Signed(State.UNSIGNED, "");

  /** The file of a signature over a list of checksums. */
  public static byte[] file(MakersKey key, byte[] checksums) {
    Map<String, Object> file =
        Json.object(
            "algorithm",
            ALGORITHM,
            "of",
            Checksums.FILE,
            "key",
            key.key(),
            "signature",
            HexFormat.of().formatHex(key.sign(checksums)));
    return Json.writePretty(file).getBytes(StandardCharsets.UTF_8);
  }

  /**
   * Reads a signature.
   *
   * @param file of the signature; null where there is none
   * @param checksums the list that it should be of
   * @throws org.nineveils.document.DocumentException with a sentence if it is no signature at all
   */
  public static Signed read(byte[] file, byte[] checksums) {
    if (file == null) {
      return UNSIGNED;
    }
    Fields f = Json.read(new String(file, StandardCharsets.UTF_8), "The signature");
    f.only("algorithm", "of", "key", "signature");
    String key = f.text("key");
    boolean ours = f.text("algorithm").equals(ALGORITHM) && f.text("of").equals(Checksums.FILE);
    boolean sound =
        ours
            && key.matches(MakersKey.HEX_32)
            && f.text("signature").matches("^[0-9a-f]{128}$")
            && PublicKeys.signed(key, checksums, HexFormat.of().parseHex(f.text("signature")));
    return new Signed(
        sound ? State.SOUND : State.CHANGED, key.matches(MakersKey.HEX_32) ? key : "");
  }

  /** As screens name the key; empty where it is not signed. */
  public String named() {
    return key.isEmpty() ? "" : PublicKeys.named(key);
  }
}
