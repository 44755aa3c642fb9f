package org.nineveils.app.base.start;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Map;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.nineveils.document.DocumentException;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.refusal.Refusal;

/**
 * A workspace as one file: a ZIP file with a manifest, a copy of the database, and every kept file
 * under the SHA-256 of what is in it. It is read in one go, so it may be larger than memory.
 */
public final class BackupFile {
  private static final String FORMAT = "nine-veils-backup";
  private static final int VERSION = 1;
  private static final String MANIFEST = "manifest.json";
  private static final String FILE = "files/[0-9a-f]{64}";
  private static final int MOST_MANIFEST = 1 << 16;

  private BackupFile() {}

  /**
   * What a backup holds.
   *
   * @param at when it was made, ISO 8601 in UTC
   * @param photos whether photos, and what was painted on them, are in it
   * @param files kept files that are in it
   */
  public record Facts(String at, boolean photos, int kits, int effects, int files) {
    /** In a sentence. */
    public String words() {
      return String.format(
          Locale.ROOT,
          "A backup of %s with %d %s, %d %s and %d kept %s%s.",
          at.replace('T', ' ').replaceFirst(":\\d\\dZ$", ""),
          kits,
          kits == 1 ? "kit" : "kits",
          effects,
          effects == 1 ? "effect" : "effects",
          files,
          files == 1 ? "file" : "files",
          photos ? "" : ", without photos");
    }
  }

  /** Writes one file after the other. */
  public static final class Writer implements AutoCloseable {
    private final ZipOutputStream zip;

    /** Begins a backup with what it is to hold and the copy of the database. */
    public Writer(Path to, Facts facts, Path database) throws IOException {
      zip = new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(to)));
      zip.setLevel(Deflater.BEST_SPEED);
      Map<String, Object> manifest =
          Json.object(
              "format", FORMAT,
              "formatVersion", VERSION,
              "at", facts.at(),
              "photos", facts.photos(),
              "kits", facts.kits(),
              "effects", facts.effects(),
              "files", facts.files(),
              "database", sha(database));
      zip.putNextEntry(new ZipEntry(MANIFEST));
      zip.write(Json.writePretty(manifest).getBytes(StandardCharsets.UTF_8));
      zip.closeEntry();
      add(DataCheck.DATABASE, database);
    }

    /** Adds a kept file. */
    public void file(String sha, Path from) throws IOException {
      add("files/" + sha, from);
    }

    private void add(String name, Path from) throws IOException {
      zip.putNextEntry(new ZipEntry(name));
      Files.copy(from, zip);
      zip.closeEntry();
    }

    @Override
    public void close() throws IOException {
      zip.close();
    }
  }

  /**
   * Reads a backup to its end and checks every file in it.
   *
   * @throws Refusal with a sentence if it is none, or damaged
   */
  public static Facts check(Path file) {
    return read(file, null);
  }

  /**
   * Puts a backup's files where they belong: those that are there already are left as they are, the
   * database lies beside its place until all is there.
   *
   * @param folder the data folder
   * @return the database, not yet in its place
   * @throws Refusal with a sentence if it is none, or damaged; then only kept files were added
   */
  static Path unpack(Path file, Path folder) {
    read(file, folder);
    return folder.resolve("restoring");
  }

  private static Facts read(Path file, Path folder) {
    String name = String.valueOf(file.getFileName());
    try (ZipInputStream zip =
        new ZipInputStream(new BufferedInputStream(Files.newInputStream(file)))) {
      ZipEntry first = next(zip);
      if (first == null || !first.getName().equals(MANIFEST)) {
        throw new Refusal("“%s” is no backup.".formatted(name));
      }
      Fields manifest = manifest(zip.readNBytes(MOST_MANIFEST), name);
      int files = 0;
      boolean database = false;
      for (ZipEntry e = next(zip); e != null; e = next(zip)) {
        if (e.getName().equals(DataCheck.DATABASE)) {
          Path to = folder == null ? null : folder.resolve("restoring");
          checked(zip, manifest.text("database"), to, name, "its database");
          database = true;
        } else if (e.getName().matches(FILE)) {
          String sha = e.getName().substring(6);
          Path to = folder == null ? null : kept(folder, sha);
          checked(zip, sha, to, name, e.getName());
          files++;
        } else {
          throw new Refusal("“%s” is no backup: “%s” is in it.".formatted(name, e.getName()));
        }
      }
      if (!database || files != manifest.whole("files")) {
        throw new Refusal("“%s” is not whole: a part of it is missing.".formatted(name));
      }
      return new Facts(
          manifest.text("at"),
          manifest.flag("photos", true),
          manifest.whole("kits"),
          manifest.whole("effects"),
          files);
    } catch (IOException | DocumentException e) {
      Refusal refusal =
          new Refusal("“%s” is damaged or no backup; nothing was changed.".formatted(name));
      refusal.initCause(e);
      throw refusal;
    }
  }

  /** The next entry, null at the end; a name that is no UTF-8 is damage like any other. */
  private static ZipEntry next(ZipInputStream zip) throws IOException {
    try {
      return zip.getNextEntry();
    } catch (IllegalArgumentException e) {
      throw new IOException("an entry's name cannot be read", e);
    }
  }

  private static Fields manifest(byte[] bytes, String name) {
    Fields manifest = Json.read(new String(bytes, StandardCharsets.UTF_8), MANIFEST);
    if (!manifest.text("format").equals(FORMAT)) {
      throw new Refusal("“%s” is no backup.".formatted(name));
    }
    if (manifest.whole("formatVersion") > VERSION) {
      throw new Refusal(
          "“%s” was made by a newer version of Nine Veils; open it with that one.".formatted(name));
    }
    return manifest;
  }

  /** Where a kept file belongs; null where it is there already. */
  private static Path kept(Path folder, String sha) throws IOException {
    Path to = folder.resolve("files").resolve(sha.substring(0, 2)).resolve(sha);
    Files.createDirectories(to.getParent());
    return Files.exists(to) ? null : to;
  }

  /** Reads an entry to its end; what it holds is kept only where it is what it should be. */
  private static void checked(InputStream zip, String sha, Path to, String name, String what)
      throws IOException {
    DigestInputStream in = new DigestInputStream(zip, sha256());
    Path part = to == null ? null : to.resolveSibling(to.getFileName() + ".part");
    try {
      if (part == null) {
        in.transferTo(OutputStream.nullOutputStream());
      } else {
        Files.copy(in, part, StandardCopyOption.REPLACE_EXISTING);
      }
      if (!HexFormat.of().formatHex(in.getMessageDigest().digest()).equals(sha)) {
        throw new Refusal("“%s” is damaged: %s is not what was kept.".formatted(name, what));
      }
      if (part != null) {
        Files.move(part, to, StandardCopyOption.REPLACE_EXISTING);
      }
    } finally {
      if (part != null) {
        Files.deleteIfExists(part);
      }
    }
  }

  private static String sha(Path file) throws IOException {
    try (DigestInputStream in = new DigestInputStream(Files.newInputStream(file), sha256())) {
      in.transferTo(OutputStream.nullOutputStream());
      return HexFormat.of().formatHex(in.getMessageDigest().digest());
    }
  }

  private static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }
}
