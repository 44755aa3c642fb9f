package org.nineveils.app.wear.fitting;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;

/** Results of a batch as one ZIP file, to be fetched. */
final class BatchZip {
  static final String FILE = "results.zip";

  private BatchZip() {}

  static boolean isThere(Path job) {
    return Files.exists(job.resolve(FILE));
  }

  static int count(Path job) throws IOException {
    if (!isThere(job)) {
      return 0;
    }
    try (ZipFile file = new ZipFile(job.resolve(FILE).toFile())) {
      return file.size();
    }
  }

  /**
   * Packs the results that are there, whole or not at all; none where there is no result.
   *
   * @param suffix of their names
   */
  static void pack(Path job, List<BatchItem> all, String suffix) throws IOException {
    List<BatchItem> made = all.stream().filter(i -> Files.exists(i.result(job))).toList();
    if (made.isEmpty()) {
      return;
    }
    Path part = job.resolve(FILE + ".part");
    try {
      try (OutputStream out = Files.newOutputStream(part);
          ZipOutputStream zip = new ZipOutputStream(out)) {
        zip.setLevel(Deflater.NO_COMPRESSION); // pictures do not get smaller
        Set<String> names = new HashSet<>();
        for (BatchItem item : made) {
          zip.putNextEntry(new ZipEntry(free(names, Files.readString(item.named(job))) + suffix));
          Files.copy(item.result(job), zip);
          zip.closeEntry();
        }
      }
      Files.move(part, job.resolve(FILE), StandardCopyOption.ATOMIC_MOVE);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static String free(Set<String> names, String wanted) {
    String name = wanted;
    for (int n = 2; !names.add(name); n++) {
      name = wanted + "-" + n;
    }
    return name;
  }
}
