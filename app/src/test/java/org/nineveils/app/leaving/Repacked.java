package org.nineveils.app.leaving;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.nineveils.release.Checksums;

/** A release with words changed and checksums that fit again: only its signature can tell. */
final class Repacked {
  private Repacked() {}

  static byte[] with(byte[] zip, String path, String from, String to) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip), StandardCharsets.UTF_8);
    for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
      files.put(e.getName(), in.readAllBytes());
    }
    String old = new String(files.get(path), StandardCharsets.UTF_8);
    byte[] text = old.replace(from, to).getBytes(StandardCharsets.UTF_8);
    String sums = new String(files.get(Checksums.FILE), StandardCharsets.UTF_8);
    String fitting = sums.replace(Checksums.sha256(files.get(path)), Checksums.sha256(text));
    files.put(path, text);
    files.put(Checksums.FILE, fitting.getBytes(StandardCharsets.UTF_8));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream made = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
      for (var file : files.entrySet()) {
        made.putNextEntry(new ZipEntry(file.getKey()));
        made.write(file.getValue());
      }
    }
    return out.toByteArray();
  }
}
