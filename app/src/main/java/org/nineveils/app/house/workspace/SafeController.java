package org.nineveils.app.house.workspace;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.nineveils.app.base.data.DataFolder;
import org.nineveils.app.base.data.Room;
import org.nineveils.app.base.start.BackupFile;
import org.nineveils.app.base.start.DataCheck;
import org.nineveils.document.Json;
import org.nineveils.refusal.Refusal;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;

/** The page “Keeping safe”: what lies where, backups, and restoring one. */
@Controller
class SafeController {
  private final Path folder;
  private final Backups backups;

  SafeController(Environment environment, Backups backups) {
    this.folder = DataFolder.path(environment);
    this.backups = backups;
  }

  /** A part of the data folder. */
  record Part(String what, String where, String size) {}

  @GetMapping("/safe")
  String page(Model model) throws IOException {
    model.addAttribute("folder", folder.toString());
    model.addAttribute(
        "parts",
        List.of(
            part("The database: kits, effects, fittings, paint, undo", DataCheck.DATABASE),
            part("Photos, placed pictures, packed releases", "files"),
            part("Small pictures, made again when they are missing", "thumbnails"),
            part("Daily copies of the database", DataCheck.COPIES)));
    model.addAttribute("copies", copies());
    model.addAttribute("next", Files.exists(next()));
    model.addAttribute("aside", aside());
    return "house/workspace/safe";
  }

  private Part part(String what, String name) throws IOException {
    Path at = folder.resolve(name);
    long bytes = 0;
    if (Files.isDirectory(at)) {
      try (Stream<Path> all = Files.walk(at)) {
        for (Path file : all.filter(Files::isRegularFile).toList()) {
          bytes += Files.size(file);
        }
      }
    }
    for (Path file : List.of(at, folder.resolve(name + "-wal"))) { // what was written last
      bytes += Files.isRegularFile(file) ? Files.size(file) : 0;
    }
    return new Part(what, name, size(bytes));
  }

  private static String size(long bytes) {
    return bytes < 100_000
        ? String.format(Locale.ROOT, "%d kB", bytes / 1000)
        : String.format(Locale.ROOT, "%.1f MB", bytes / 1e6);
  }

  /** The days of the daily copies, the newest first, with their sizes. */
  private List<Part> copies() throws IOException {
    Path at = folder.resolve(DataCheck.COPIES);
    List<Part> out = new ArrayList<>();
    if (Files.isDirectory(at)) {
      try (Stream<Path> all = Files.list(at)) {
        for (Path copy :
            all.filter(f -> f.toString().endsWith(".db"))
                .sorted(Comparator.reverseOrder())
                .toList()) {
          String name = copy.getFileName().toString();
          out.add(
              new Part(
                  name.replaceAll(".*?(\\d{4}-\\d\\d-\\d\\d).*", "$1"),
                  name,
                  size(Files.size(copy))));
        }
      }
    }
    return out;
  }

  /** Databases that were set aside when another one took their place. */
  private List<String> aside() throws IOException {
    try (Stream<Path> all = Files.list(folder)) {
      return all.map(f -> f.getFileName().toString())
          .filter(f -> f.startsWith("set-aside-") && f.endsWith(".db"))
          .sorted()
          .toList();
    }
  }

  private Path next() {
    return folder.resolve(DataCheck.NEXT);
  }

  /** Begins a backup: takes photos. */
  @PostMapping("/api/safe/backup")
  @ResponseBody
  Map<String, Object> backup(@RequestBody String body) {
    boolean photos = Json.read(body, "The request").flag("photos", true);
    return Map.of("job", backups.start(photos).shown());
  }

  /** Takes a backup's bytes and checks all of it; it lies aside until it is said what then. */
  @PutMapping("/api/safe/restore")
  @ResponseBody
  Map<String, Object> bring(HttpServletRequest request) throws IOException {
    if (request.getContentLengthLong() < 0) {
      throw new Refusal("How large the backup is was not said; nothing was taken.");
    }
    Room.check(folder, request.getContentLengthLong());
    Path part = folder.resolve("restore.part");
    try {
      Files.copy(request.getInputStream(), part, StandardCopyOption.REPLACE_EXISTING);
      BackupFile.Facts facts = BackupFile.check(part);
      Files.move(part, folder.resolve("restore-checked.zip"), StandardCopyOption.REPLACE_EXISTING);
      return Map.of("words", facts.words());
    } finally {
      Files.deleteIfExists(part);
    }
  }

  /** What was checked takes the place of what is here at the next start. */
  @PostMapping("/api/safe/restore")
  @ResponseBody
  Map<String, Object> restore() throws IOException {
    Path checked = folder.resolve("restore-checked.zip");
    if (Files.exists(checked)) {
      Files.move(checked, next(), StandardCopyOption.REPLACE_EXISTING);
    }
    return Map.of("said", "It takes the place of what is here at the next start.");
  }

  /** What is here stays. */
  @DeleteMapping("/api/safe/restore")
  @ResponseBody
  Map<String, Object> leave() throws IOException {
    Files.deleteIfExists(folder.resolve("restore-checked.zip"));
    Files.deleteIfExists(next());
    return Map.of("said", "What is here stays.");
  }
}
