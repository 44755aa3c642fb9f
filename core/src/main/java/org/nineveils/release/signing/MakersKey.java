package org.nineveils.release.signing;

import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.Signature;
import java.security.interfaces.EdECPublicKey;
import java.security.spec.EdECPrivateKeySpec;
import java.security.spec.NamedParameterSpec;
import java.util.HexFormat;
import org.nineveils.refusal.Refusal;

/**
 * The key that signs a maker's releases.
 *
 * @param seed the 32 secret bytes of RFC 8032, section 5.1.5, in lower-case hexadecimal
 * @param key the public key, 32 bytes as section 5.1.2 encodes them, in lower-case hexadecimal
 */
public record MakersKey(String seed, String key) {
  static final String HEX_32 = "^[0-9a-f]{64}$";

  public MakersKey {
    if (!seed.matches(HEX_32) || !key.matches(HEX_32)) {
      throw new Refusal("A maker's key has 32 secret and 32 public bytes.");
    }
  }

  /** A new key. */
  public static MakersKey make() {
    byte[] seed = new byte[32];
    new SecureRandom().nextBytes(seed);
    return of(seed);
  }

  /**
   * The key of a seed.
   *
   * @param seed 32 bytes
   */
  public static MakersKey of(byte[] seed) {
    try {
      KeyPairGenerator generator = KeyPairGenerator.getInstance("Ed25519");
      generator.initialize(NamedParameterSpec.ED25519, new Given(seed));
      EdECPublicKey made = (EdECPublicKey) generator.generateKeyPair().getPublic();
      byte[] key = PublicKeys.bytes(made);
      return new MakersKey(HexFormat.of().formatHex(seed), HexFormat.of().formatHex(key));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every Java 17 has Ed25519", e);
    }
  }

  /** The JDK makes a public key only beside a private one; its randomness is the seed. */
  private static final class Given extends SecureRandom {
    private static final long serialVersionUID = 1L;
    private final byte[] seed;

    Given(byte[] seed) {
      this.seed = seed.clone();
    }

    @Override
    public void nextBytes(byte[] bytes) {
      System.arraycopy(seed, 0, bytes, 0, bytes.length);
    }
  }

  /**
   * The signature of a message: the same message gives the same 64 bytes (RFC 8032, section 5.1.6).
   */
  public byte[] sign(byte[] message) {
    try {
      EdECPrivateKeySpec spec =
          new EdECPrivateKeySpec(NamedParameterSpec.ED25519, HexFormat.of().parseHex(seed));
      PrivateKey secret = KeyFactory.getInstance("Ed25519").generatePrivate(spec);
      Signature signature = Signature.getInstance("Ed25519");
      signature.initSign(secret);
      signature.update(message);
      return signature.sign();
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("a key of 32 bytes signs", e);
    }
  }

  /** As screens name the key. */
  public String named() {
    return PublicKeys.named(key);
  }
}
