package org.nineveils.app.photo.render;

import java.util.Map;
import org.nineveils.app.base.web.Uploads;
import org.nineveils.setting.PictureSetting;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Uploads of pictures that veils lay over photos. */
@RestController
class PlacedPicturesController {
  private final PlacedPictures pictures;
  private final Uploads uploads;

  PlacedPicturesController(PlacedPictures pictures, Uploads uploads) {
    this.uploads = uploads;
    this.pictures = pictures;
  }

  @PostMapping("/api/pictures")
  Map<String, Object> add(
      @RequestParam("file") MultipartFile file, @RequestParam("use") PictureSetting.Use use) {
    String name = file.getOriginalFilename() == null ? "picture" : file.getOriginalFilename();
    return Map.of(
        "sha",
        uploads.read(
            file,
            bytes ->
                use == PictureSetting.Use.COLOUR_TABLE
                    ? pictures.takeTable(name, bytes)
                    : pictures.take(name, bytes)));
  }

  @GetMapping("/pictures/{sha}/small")
  ResponseEntity<byte[]> small(@PathVariable("sha") String sha) {
    return Answers.jpeg(pictures.small(sha), sha);
  }
}
