package org.nineveils.app.proof.pages;

import java.util.List;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.alike.AlikeService;
import org.nineveils.app.proof.approved.ApprovedService;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.measuring.CloserLook;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.app.proof.searches.SweepSearch;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.context.request.WebRequest;

/** Pictures of proofs: cells, steps of a dial, closer looks, differences. */
@Controller
class ProofPictures {
  private final Cells cells;
  private final Measuring measuring;
  private final CloserLook closer;
  private final AlikeService alike;
  private final ApprovedService approved;

  ProofPictures(
      Cells cells,
      Measuring measuring,
      CloserLook closer,
      AlikeService alike,
      ApprovedService approved) {
    this.cells = cells;
    this.measuring = measuring;
    this.closer = closer;
    this.alike = alike;
    this.approved = approved;
  }

  /** A cell. */
  @GetMapping("/proofs/pictures/{effect}/{photo}")
  ResponseEntity<byte[]> cell(
      @PathVariable("effect") long effect, @PathVariable("photo") long photo, WebRequest request) {
    Cell cell = cells.one(effect, photo);
    return Answers.jpeg(new Thumbnails.Small(cell.key(), () -> measuring.jpeg(cell)), request);
  }

  /** The same picture where nobody asks what it measures. */
  @GetMapping("/effects/{effect}/on/{photo}")
  ResponseEntity<byte[]> shown(
      @PathVariable("effect") long effect, @PathVariable("photo") long photo, WebRequest request) {
    Cell cell = cells.one(effect, photo);
    return Answers.jpeg(new Thumbnails.Small(cell.key(), () -> measuring.shown(cell)), request);
  }

  /** A cell with a dial at a value, be its range narrower by now than when it was swept. */
  @GetMapping("/proofs/pictures/{effect}/{photo}/dial")
  ResponseEntity<byte[]> dial(
      @PathVariable("effect") long effectId,
      @PathVariable("photo") long photo,
      @RequestParam("dial") String label,
      @RequestParam("value") double value) {
    Cell cell = cells.one(effectId, photo);
    Dial dial = SweepSearch.dial(cell.effect(), label);
    Effect turned = cell.effect().turned(dial, value);
    return once(Thumbnails.once(measuring.tried(cell).picture(turned, turned.start())));
  }

  /** Two effects over one another on a photo. */
  @GetMapping("/proofs/pictures/two")
  ResponseEntity<byte[]> two(
      @RequestParam("one") long one,
      @RequestParam("two") long two,
      @RequestParam("photo") long photo) {
    return once(
        Thumbnails.once(measuring.worn(List.of(cells.one(one, photo), cells.one(two, photo)))));
  }

  /** A part of a cell's photo at its own size, about the middle of a region. */
  @GetMapping("/proofs/pictures/{effect}/{photo}/close")
  ResponseEntity<byte[]> close(
      @PathVariable("effect") long effect,
      @PathVariable("photo") long photo,
      @RequestParam(name = "region", defaultValue = "") String region,
      @RequestParam(name = "plain", defaultValue = "false") boolean plain,
      @RequestParam("width") int width,
      @RequestParam("height") int height) {
    return once(closer.look(cells.one(effect, photo), region, plain, width, height));
  }

  /** Where two effects differ on a photo. */
  @GetMapping("/proofs/pictures/difference")
  ResponseEntity<byte[]> difference(
      @RequestParam("one") long one,
      @RequestParam("two") long two,
      @RequestParam("photo") long photo) {
    return once(alike.difference(one, two, photo));
  }

  /** A cell as it was approved. */
  @GetMapping("/proofs/{kit}/approved/{effect}/{photo}")
  ResponseEntity<byte[]> before(
      @PathVariable("kit") long kit,
      @PathVariable("effect") long effect,
      @PathVariable("photo") long photo) {
    return once(approved.before(kit, effect, photo));
  }

  /** Where a cell differs from how it was approved. */
  @GetMapping("/proofs/{kit}/approved/{effect}/{photo}/difference")
  ResponseEntity<byte[]> moved(
      @PathVariable("kit") long kit,
      @PathVariable("effect") long effect,
      @PathVariable("photo") long photo) {
    return once(approved.difference(kit, effect, photo));
  }

  private static ResponseEntity<byte[]> once(byte[] jpeg) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noStore())
        .body(jpeg);
  }
}
