package org.nineveils.file;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.zip.InflaterInputStream;

/** ICC profiles: the sRGB one that results carry, and the one inside a PNG. */
final class Profiles {
  private static final ICC_Profile SRGB = ICC_Profile.getInstance(ColorSpace.CS_sRGB);
  private static final byte[] SRGB_BYTES = SRGB.getData();
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
