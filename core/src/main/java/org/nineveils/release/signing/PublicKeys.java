package org.nineveils.release.signing;

import java.math.BigInteger;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.PublicKey;
import java.security.Signature;
import java.security.interfaces.EdECPublicKey;
import java.security.spec.EdECPoint;
import java.security.spec.EdECPublicKeySpec;
import java.security.spec.NamedParameterSpec;
import java.util.HexFormat;
import java.util.Locale;
import org.nineveils.release.Checksums;

/** Public keys as they are written: y in little-endian order, the sign of x in the last bit. */
public final class PublicKeys {
  private static final int BYTES = 32;

  private PublicKeys() {}

  /** The 32 bytes of a key (RFC 8032, section 5.1.2). */
  static byte[] bytes(EdECPublicKey key) {
    byte[] big = key.getPoint().getY().toByteArray();
    byte[] out = new byte[BYTES];
    for (int i = 0; i < Math.min(BYTES, big.length); i++) {
      out[i] = big[big.length - 1 - i];
    }
    if (key.getPoint().isXOdd()) {
      out[BYTES - 1] |= (byte) 0x80;
    }
    return out;
  }

  private static PublicKey read(String hex) throws GeneralSecurityException {
    byte[] little = HexFormat.of().parseHex(hex);
    boolean odd = (little[BYTES - 1] & 0x80) != 0;
    byte[] big = new byte[BYTES];
    for (int i = 0; i < BYTES; i++) {
      big[i] = little[BYTES - 1 - i];
    }
    big[0] &= 0x7f;
    EdECPoint point = new EdECPoint(odd, new BigInteger(1, big));
    return KeyFactory.getInstance("Ed25519")
        .generatePublic(new EdECPublicKeySpec(NamedParameterSpec.ED25519, point));
  }

  /**
   * Whether a key made the signature of a message; false for what is no key or no signature.
   *
   * @param key 32 bytes in hexadecimal
   */
  static boolean signed(String key, byte[] message, byte[] by) {
    try {
      Signature signature = Signature.getInstance("Ed25519");
      signature.initVerify(read(key));
      signature.update(message);
      return signature.verify(by);
    } catch (GeneralSecurityException | RuntimeException e) {
      return false;
    }
  }

  /**
   * A key as people compare it: the first four bytes of its SHA-256 in two groups, such as “7F3A
   * 91C2”.
   *
   * @param key 32 bytes in hexadecimal
   */
  public static String named(String key) {
    String sum = Checksums.sha256(HexFormat.of().parseHex(key)).toUpperCase(Locale.ROOT);
    return sum.substring(0, 4) + " " + sum.substring(4, 8);
  }
}
