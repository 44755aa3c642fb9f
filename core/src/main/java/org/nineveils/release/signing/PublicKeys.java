package org.nineveils.release.signing;

import java.math.BigInteger;
import java.security.GeneralSecurityException;
import java.security.InvalidKeyException;
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

  /** Prime of the field, and constant of the curve: RFC 8032, section 5.1. */
  private static final BigInteger P = BigInteger.TWO.pow(255).subtract(BigInteger.valueOf(19));

  private static final BigInteger D =
      BigInteger.valueOf(-121665).multiply(BigInteger.valueOf(121666).modInverse(P)).mod(P);

  private static final int GROUPS = 5;

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
    BigInteger y = new BigInteger(1, big);
    if (isSmall(y)) {
      throw new InvalidKeyException("a point of small order");
    }
    EdECPoint point = new EdECPoint(odd, y);
    return KeyFactory.getInstance("Ed25519")
        .generatePublic(new EdECPublicKeySpec(NamedParameterSpec.ED25519, point));
  }

  /**
   * Whether eight times a point is the neutral one: what such a “key” signed, anybody can have
   * signed. Also for numbers that are no y of the field. By the doubling of RFC 8032, section
   * 5.1.4, of which y alone is needed: x² follows from y² by the equation of the curve.
   */
  private static boolean isSmall(BigInteger y) {
    BigInteger now = y;
    for (int i = 0; i < 3; i++) {
      BigInteger yy = now.multiply(now).mod(P);
      BigInteger xx =
          yy.subtract(BigInteger.ONE)
              .multiply(D.multiply(yy).add(BigInteger.ONE).modInverse(P))
              .mod(P);
      BigInteger below = BigInteger.ONE.subtract(D.multiply(xx).multiply(yy)).mod(P);
      now = yy.add(xx).multiply(below.modInverse(P)).mod(P);
    }
    return y.compareTo(P) >= 0 || now.equals(BigInteger.ONE);
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
   * A key as people compare it: the first ten bytes of its SHA-256 in five groups, such as “7F3A
   * 91C2 04BE D650 8812”. With 80 bits, nobody finds another key of the same name by trying.
   *
   * @param key 32 bytes in hexadecimal
   */
  public static String named(String key) {
    String sum = Checksums.sha256(HexFormat.of().parseHex(key)).toUpperCase(Locale.ROOT);
    return sum.substring(0, GROUPS * 4).replaceAll("(.{4})(?=.)", "$1 ");
  }
}
