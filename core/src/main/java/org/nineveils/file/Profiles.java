package org.nineveils.file;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.InflaterInputStream;

/** ICC profiles: the sRGB one that results carry, and those inside files. */
final class Profiles {
  private static final ICC_Profile SRGB = ICC_Profile.getInstance(ColorSpace.CS_sRGB);
  private static final byte[] SRGB_BYTES = SRGB.getData();
  private static final byte[] MARK = "ICC_PROFILE\0".getBytes(StandardCharsets.ISO_8859_1);
  private static final int APP2 = 0xe2;
  private static final int SCAN = 0xda;
  private static final int MAX_PROFILE_BYTES = 8 * 1024 * 1024;

  private Profiles() {}

  static ICC_Profile srgb() {
    return SRGB;
  }

  static byte[] srgbBytes() {
    return SRGB_BYTES.clone();
  }

  static boolean isSrgb(ICC_Profile profile) {
    return profile == SRGB || Arrays.equals(profile.getData(), SRGB_BYTES);
  }

  /**
   * The profile of a PNG's iCCP chunk (PNG specification, third edition, 11.3.2.3), which the JDK's
   * reader leaves aside.
   *
   * @return the profile, or null where the file has none that can be read
   */
  static ICC_Profile ofPng(byte[] png) {
    byte[] chunk = PngChunks.find(png, "iCCP", MAX_PROFILE_BYTES);
    return chunk == null ? null : inflate(chunk);
  }

  /**
   * The profile in the APP2 segments of a JPEG (ICC.1:2022, Annex B.4).
   *
   * @return the profile, or null where the file has none that can be read
   */
  static ICC_Profile ofJpeg(byte[] jpeg) {
    Map<Integer, byte[]> parts = new TreeMap<>();
    int at = 2;
    while (at + 4 < jpeg.length && (jpeg[at] & 0xff) == 0xff && (jpeg[at + 1] & 0xff) != SCAN) {
      int length = ((jpeg[at + 2] & 0xff) << 8) | (jpeg[at + 3] & 0xff);
      int end = at + 2 + length;
      int from = at + 4 + MARK.length + 2;
      boolean isPart =
          (jpeg[at + 1] & 0xff) == APP2
              && from <= end
              && end <= jpeg.length
              && Arrays.equals(jpeg, at + 4, at + 4 + MARK.length, MARK, 0, MARK.length);
      if (isPart) {
        parts.put(jpeg[from - 2] & 0xff, Arrays.copyOfRange(jpeg, from, end));
      }
      at = Math.max(at + 2, end);
    }
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    parts.values().forEach(all::writeBytes);
    try {
      return ICC_Profile.getInstance(all.toByteArray());
    } catch (IllegalArgumentException e) {
      return null; // a damaged profile counts as none
    }
  }

  private static ICC_Profile inflate(byte[] chunk) {
    int nameEnd = 0;
    while (nameEnd < chunk.length && chunk[nameEnd] != 0) {
      nameEnd++;
    }
    int from = Math.min(chunk.length, nameEnd + 2);
    try (InflaterInputStream in =
        new InflaterInputStream(new ByteArrayInputStream(chunk, from, chunk.length - from))) {
      return ICC_Profile.getInstance(in.readNBytes(MAX_PROFILE_BYTES));
    } catch (IOException | IllegalArgumentException e) {
      return null; // a damaged profile counts as none
    }
  }
}
