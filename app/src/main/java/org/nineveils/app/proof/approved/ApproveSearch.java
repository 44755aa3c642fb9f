package org.nineveils.app.proof.approved;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.searches.Search;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.proof.ApprovedSheet;
import org.springframework.stereotype.Component;

/** Approves a whole sheet: keeps its pictures, measures and colours. */
@Component
class ApproveSearch implements Search {
  private final KitService kits;
  private final Cells cells;
  private final ApprovedService approved;

  ApproveSearch(KitService kits, Cells cells, ApprovedService approved) {
    this.kits = kits;
    this.cells = cells;
    this.approved = approved;
  }

  @Override
  public String id() {
    return "approve";
  }

  @Override
  public String title(Fields request) {
    return "Approving the sheet of “%s”".formatted(kits.kit(request.whole("kit")).name());
  }

  /** All or nothing: a sheet of which a part could not be kept is not approved. */
  @Override
  public Object find(JobRun run, Fields request) {
    long kitId = request.whole("kit");
    List<Cell> all = cells.all(kitId);
    run.total(all.size(), 0);
    Map<Cell, ApprovedSheet.Cell> made = new ConcurrentHashMap<>();
    run.each(
        all,
        true,
        cell -> "%s on %s".formatted(cell.head().name(), cell.photo().name()),
        cell -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        cell -> made.put(cell, approved.now(cell)));
    boolean whole = made.size() == all.size();
    if (whole) {
      Map<ApprovedSheet.Place, ApprovedSheet.Cell> sheet = new LinkedHashMap<>();
      all.forEach(cell -> sheet.put(ApprovedService.place(cell), made.get(cell)));
      approved.approve(kitId, sheet);
    }
    return Json.object("approved", whole);
  }
}
