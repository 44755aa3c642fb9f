package org.nineveils.app.proof.approved;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.app.proof.sheet.ProofService;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;
import org.nineveils.proof.ApprovedSheet;
import org.nineveils.proof.Difference;
import org.nineveils.proof.Readings;
import org.nineveils.proof.measure.Samples;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Editions;
import org.springframework.stereotype.Service;

/** Sheets that were approved, and what has moved since. */
@Service
public class ApprovedService {
  private final ApprovedStore store;
  private final Cells cells;
  private final Measuring measuring;
  private final Judging judging;
  private final KitService kits;
  private final Blobs blobs;
  private final Journal journal;
  private final Clock clock;

  ApprovedService(
      ApprovedStore store,
      Cells cells,
      Measuring measuring,
      Judging judging,
      KitService kits,
      Blobs blobs,
      Journal journal,
      Clock clock) {
    this.store = store;
    this.cells = cells;
    this.measuring = measuring;
    this.judging = judging;
    this.kits = kits;
    this.blobs = blobs;
    this.journal = journal;
    this.clock = clock;
  }

  /** A cell as it would be approved now; its picture is kept for good. */
  ApprovedSheet.Cell now(Cell cell) {
    Readings readings = measuring.readings(cell);
    Samples colours = measuring.colours(List.of(cell)).get(cell.measured());
    String picture = blobs.put(measuring.jpeg(cell));
    return new ApprovedSheet.Cell(
        cell.head().name(), cell.photo().name(), picture, readings, colours);
  }

  /** Lets cells stand as approved. */
  void approve(long kitId, Map<ApprovedSheet.Place, ApprovedSheet.Cell> approved) {
    keep(
        kitId,
        "approve the sheet of " + kits.kit(kitId).name(),
        new ApprovedSheet(Editions.current(), approved));
  }

  private void keep(long kitId, String label, ApprovedSheet sheet) {
    String sha = store.keep(sheet);
    journal.edit(
        Judging.scope(kitId),
        label,
        () -> {
          store.put(kitId, clock.instant().toString(), sha, sheet);
          return null;
        });
  }

  static ApprovedSheet.Place place(Cell cell) {
    return new ApprovedSheet.Place(cell.head().id(), cell.photo().id());
  }

  /** Takes cells that moved as they are now. */
  public void accept(long kitId, List<ApprovedSheet.Place> places) {
    ApprovedSheet sheet = sheet(kitId);
    Map<ApprovedSheet.Place, ApprovedSheet.Cell> next = new LinkedHashMap<>();
    for (ApprovedSheet.Place place : places) {
      Cell cell = cells.one(place.effect(), place.photo());
      if (cell.head().kitId() != kitId) {
        throw new Refusal("“%s” is in another kit.".formatted(cell.head().name()));
      }
      next.put(place, now(cell));
    }
    String what = places.size() == 1 ? "one changed proof" : places.size() + " changed proofs";
    keep(kitId, "accept " + what, sheet.with(next));
  }

  private ApprovedSheet sheet(long kitId) {
    return store.sheet(
        store
            .find(kitId)
            .orElseThrow(() -> new NotFound("No sheet of this kit was approved yet.")));
  }

  /** What has moved since the sheet was approved, farthest first. */
  public Map<String, Object> changed(long kitId) {
    Optional<ApprovedStore.Row> row = store.find(kitId);
    if (row.isEmpty()) {
      return Json.object("approved", false);
    }
    ApprovedSheet sheet = store.sheet(row.get());
    List<Cell> all = cells.all(kitId);
    Map<String, Readings> there = measuring.there(all);
    Map<String, Samples> colours = measuring.colours(all);
    Judging.Rules rules = judging.rules(kitId);
    List<List<Object>> moved = new ArrayList<>();
    int fresh = 0;
    int missing = 0;
    for (Cell cell : all) {
      ApprovedSheet.Cell before = sheet.cells().get(place(cell));
      Samples now = colours.get(cell.measured());
      Readings taken = there.get(cell.measured());
      if (now == null || taken == null) {
        missing++;
      } else if (before == null) {
        fresh++;
      } else {
        ApprovedSheet.Move move = ApprovedSheet.move(before.colours(), now);
        if (move.isMoved()) {
          List<Object> line = new ArrayList<>(List.of(move.by(), move.where(), before.picture()));
          line.addAll(ProofService.shown(cell, rules.judge(cell, taken)));
          line.add(rules.judge(cell, before.readings()).state().word());
          moved.add(line);
        }
      }
    }
    moved.sort(Comparator.comparingDouble((List<Object> m) -> -(double) m.get(0)));
    List<ApprovedSheet.Place> places = all.stream().map(ApprovedService::place).toList();
    long gone = sheet.cells().keySet().stream().filter(p -> !places.contains(p)).count();
    return Json.object(
        "approved",
        true,
        "at",
        row.get().at(),
        "edition",
        sheet.edition(),
        "bound",
        ApprovedSheet.MOVED,
        "moved",
        moved,
        "fresh",
        fresh,
        "gone",
        gone,
        "missing",
        missing);
  }

  /** The picture of a cell as it was approved. */
  public byte[] before(long kitId, long effect, long photo) {
    return blobs.get(approved(kitId, effect, photo).picture());
  }

  private ApprovedSheet.Cell approved(long kitId, long effect, long photo) {
    ApprovedSheet.Cell cell = sheet(kitId).cells().get(new ApprovedSheet.Place(effect, photo));
    if (cell == null) {
      throw new NotFound("This proof is not on the approved sheet.");
    }
    return cell;
  }

  /** Where a cell differs from how it was approved, eight times as strong. */
  public byte[] difference(long kitId, long effect, long photo) {
    Picture before = PictureReader.read(before(kitId, effect, photo), "The approved proof");
    Picture now = PictureReader.read(measuring.jpeg(cells.one(effect, photo)), "The proof");
    if (!before.area().equals(now.area())) {
      throw new Refusal("The photo has another size than when the sheet was approved.");
    }
    return Thumbnails.once(Difference.of(before, now));
  }
}
