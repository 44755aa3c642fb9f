package org.nineveils.release;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.nineveils.document.Json;
import org.nineveils.file.PictureFormat;
import org.nineveils.release.signing.MakersKey;
import org.nineveils.release.signing.Signed;

/** Puts files into a package: the same files give the same bytes. */
final class Packing {
  /** Later than the first moment that ZIP can tell, so that no time zone creeps in. */
  private static final LocalDateTime FIXED_TIME = LocalDateTime.of(1990, 1, 1, 0, 0);

  private Packing() {}

  static byte[] text(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  /** Adds pictures under names of what is in them, and their paths to the manifest. */
  static void pictures(
      Map<String, byte[]> pictures, Map<String, Object> manifest, Map<String, byte[]> files) {
    if (pictures.isEmpty()) {
      return;
    }
    List<String> paths = new ArrayList<>();
    new TreeMap<>(pictures)
        .forEach(
            (sha, file) -> {
              String path = Packed.PICTURES + sha + PictureFormat.ofBytes(file, sha).suffix();
              paths.add(path);
              files.put(path, file);
            });
    manifest.put("pictures", paths);
  }

  /** The package: manifest first, checksums last. */
  static byte[] zip(Map<String, Object> manifest, Map<String, byte[]> files) {
    return zip(summed(manifest, files));
  }

  /** The same with a signature over the checksums behind them. */
  static byte[] zip(Map<String, Object> manifest, Map<String, byte[]> files, MakersKey key) {
    Map<String, byte[]> all = summed(manifest, files);
    all.put(Signed.FILE, Signed.file(key, all.get(Checksums.FILE)));
    return zip(all);
  }

  private static Map<String, byte[]> summed(
      Map<String, Object> manifest, Map<String, byte[]> files) {
    Map<String, byte[]> all = new LinkedHashMap<>();
    all.put(Packed.MANIFEST, text(Json.writePretty(manifest)));
    all.putAll(files);
    all.put(Checksums.FILE, Checksums.list(all));
    return all;
  }

  private static byte[] zip(Map<String, byte[]> files) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
      zip.setLevel(Deflater.BEST_COMPRESSION);
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        ZipEntry entry = new ZipEntry(file.getKey());
        entry.setTimeLocal(FIXED_TIME);
        zip.putNextEntry(entry);
        zip.write(file.getValue());
        zip.closeEntry();
      }
    } catch (IOException e) {
      throw new UncheckedIOException("writing to memory cannot fail", e);
    }
    return bytes.toByteArray();
  }
}
