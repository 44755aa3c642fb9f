package org.nineveils.release;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.zip.CRC32;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.nineveils.refusal.InputLimits;

/**
 * The entries of a ZIP file in memory, within {@link InputLimits} and with harmless names only.
 * What is in the file is what the directory at its end names, under the names, with the sizes and
 * checksums that it says; nothing else of the file counts.
 */
final class ZipEntries {
  private ZipEntries() {}

  static Map<String, byte[]> read(byte[] bytes, String name) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (ZipFile zip =
        ZipFile.builder()
            .setSeekableByteChannel(new SeekableInMemoryByteChannel(bytes))
            .setCharset(StandardCharsets.UTF_8)
            .setUseUnicodeExtraFields(false)
            .get()) {
      int entries = 0;
      long total = 0;
      for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
        if (entries++ == InputLimits.RELEASE_ENTRIES) {
          throw fault(
              name,
              String.format(
                  Locale.ROOT, "it has more than %d entries", InputLimits.RELEASE_ENTRIES));
        }
        String path = new String(entry.getRawName(), StandardCharsets.UTF_8);
        if (entry.isDirectory() && isHarmless(path.substring(0, path.length() - 1))) {
          continue;
        }
        if (!isHarmless(path)) {
          throw fault(name, "“%s” is no path that may be in a release".formatted(path));
        }
        byte[] content = content(zip, entry, name);
        total += content.length;
        if (total > InputLimits.RELEASE_UNPACKED) {
          throw tooMuch(name, path);
        }
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
    return files;
  }

  private static byte[] content(ZipFile zip, ZipArchiveEntry entry, String name)
      throws IOException {
    if (!zip.canReadEntryData(entry)) {
      throw fault(name, "“%s” is locked or packed in an unusual way".formatted(entry.getName()));
    }
    byte[] content;
    try (InputStream in = zip.getInputStream(entry)) {
      content = in.readNBytes(InputLimits.RELEASE_ENTRY_BYTES + 1);
    }
    if (content.length > InputLimits.RELEASE_ENTRY_BYTES) {
      throw tooMuch(name, entry.getName());
    }
    CRC32 crc = new CRC32();
    crc.update(content);
    if (content.length != entry.getSize() || crc.getValue() != entry.getCrc()) {
      throw fault(name, "the list at its end does not name what is in it, as it is");
    }
    return content;
  }

  private static ReleaseException tooMuch(String name, String path) {
    return fault(name, "“%s” unpacks to more than is taken".formatted(path));
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
