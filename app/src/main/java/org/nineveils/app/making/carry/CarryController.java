package org.nineveils.app.making.carry;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.app.base.web.Uploads;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.name.Names;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Kit files as they are fetched and opened in the browser. */
@RestController
class CarryController {
  private final KitCarrying carrying;
  private final Uploads uploads;
  private final KitService kits;

  CarryController(KitCarrying carrying, KitService kits, Uploads uploads) {
    this.uploads = uploads;
    this.carrying = carrying;
    this.kits = kits;
  }

  /** Kits as one file. */
  @GetMapping("/kits/file")
  ResponseEntity<byte[]> file(@RequestParam("kits") List<Long> ids) {
    byte[] bytes = carrying.file(ids);
    String name = ids.size() == 1 ? Names.slug(kits.kit(ids.get(0)).name()) : "kits";
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name + ".kits.zip").build().toString())
        .body(bytes);
  }

  /** Opens a kit file: “go” is where its kits are. */
  @PostMapping("/api/kits/open")
  Map<String, Object> open(
      @RequestParam("file") MultipartFile file,
      @RequestParam(name = "rename", defaultValue = "false") boolean rename) {
    String name = file.getOriginalFilename() == null ? "file" : file.getOriginalFilename();
    List<Long> made = uploads.read(file, bytes -> carrying.open(bytes, name, rename));
    return Map.of(
        "go", made.size() == 1 ? "/kits/" + made.get(0) : "/kits",
        "said",
            made.size() == 1
                ? "Opened."
                : String.format(Locale.ROOT, "%d kits were opened.", made.size()));
  }
}
