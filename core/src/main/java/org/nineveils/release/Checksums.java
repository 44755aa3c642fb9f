package org.nineveils.release;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.Map;

/** The list of SHA-256 sums in a package, in the form that {@code sha256sum --check} reads. */
public final class Checksums {
  /** Name of the list in the package. */
  public static final String FILE = "checksums.sha256";

  private Checksums() {}

  /** SHA-256 (FIPS 180-4) in lower-case hexadecimal. */
  public static String sha256(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }

  /** The list for files by their paths, in their order. */
  public static byte[] list(Map<String, byte[]> files) {
    StringBuilder lines = new StringBuilder();
    files.forEach(
        (path, bytes) -> lines.append(sha256(bytes)).append("  ").append(path).append('\n'));
    return lines.toString().getBytes(StandardCharsets.UTF_8);
  }

  static Map<String, String> parse(byte[] list) {
    Map<String, String> sums = new LinkedHashMap<>();
    for (String line : new String(list, StandardCharsets.UTF_8).split("\n", -1)) {
      if (line.isBlank()) {
        continue;
      }
      if (!line.matches("[0-9a-f]{64} [ *].+")) {
        throw new ReleaseException("%s has a line that is no checksum.".formatted(FILE));
      }
      sums.put(line.substring(66), line.substring(0, 64));
    }
    return sums;
  }
}
