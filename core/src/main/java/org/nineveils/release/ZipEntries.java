package org.nineveils.release;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.nineveils.refusal.InputLimits;

/** The entries of a ZIP file in memory, within {@link InputLimits} and with harmless names only. */
final class ZipEntries {
  private ZipEntries() {}

  static Map<String, byte[]> read(byte[] bytes, String name) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    List<ZipDirectory.Said> all = new ArrayList<>();
    long total = 0;
    try (ZipInputStream zip =
        new ZipInputStream(new ByteArrayInputStream(bytes), StandardCharsets.UTF_8)) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        String path = entry.getName();
        if (all.size() == InputLimits.RELEASE_ENTRIES) {
          throw fault(
              name,
              String.format(
                  Locale.ROOT, "it has more than %d entries", InputLimits.RELEASE_ENTRIES));
        }
        if (entry.isDirectory() && isHarmless(path.substring(0, path.length() - 1))) {
          all.add(new ZipDirectory.Said(path, 0, 0));
          continue;
        }
        if (!isHarmless(path)) {
          throw fault(name, "“%s” is no path that may be in a release".formatted(path));
        }
        byte[] content = zip.readNBytes(InputLimits.RELEASE_ENTRY_BYTES + 1);
        total += content.length;
        if (content.length > InputLimits.RELEASE_ENTRY_BYTES
            || total > InputLimits.RELEASE_UNPACKED) {
          throw fault(name, "“%s” unpacks to more than is taken".formatted(path));
        }
        all.add(new ZipDirectory.Said(path, crc(content), content.length));
        if (files.put(path, content) != null) {
          throw fault(name, "“%s” is in it twice".formatted(path));
        }
      }
    } catch (IOException | IllegalArgumentException e) {
      throw new ReleaseException(
          "“%s” cannot be opened: it is damaged or not a ZIP file.".formatted(name), e);
    }
    if (files.isEmpty()) {
      throw fault(name, "it is empty or not a ZIP file");
    }
    if (!ZipDirectory.entries(bytes).equals(all)) {
      throw fault(name, "the list at its end does not name what is in it, as it is");
    }
    return files;
  }

  private static long crc(byte[] content) {
    CRC32 crc = new CRC32();
    crc.update(content);
    return crc.getValue();
  }

  /** Relative, forward slashes, no step upwards, no drive letters or control characters. */
  private static boolean isHarmless(String path) {
    if (path.isEmpty() || path.startsWith("/") || path.contains("\\") || path.contains(":")) {
      return false;
    }
    for (String part : path.split("/", -1)) {
      if (part.isEmpty() || part.equals(".") || part.equals("..")) {
        return false;
      }
    }
    return path.chars().noneMatch(Character::isISOControl);
  }

  private static ReleaseException fault(String name, String what) {
    return new ReleaseException("“%s” cannot be opened: %s.".formatted(name, what));
  }
}
