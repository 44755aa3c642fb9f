package org.nineveils.app.proof.files;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.name.Names;
import org.nineveils.proof.Readings;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** Keeps a sheet as a file: PDF, PNG or CSV. */
@Service
public class SheetFiles implements JobKind {
  private static final String ID = "proof-file";

  /** How a sheet can be kept. */
  private enum As {
    PDF,
    PNG,
    CSV;

    String ending() {
      return name().toLowerCase(java.util.Locale.ROOT);
    }
  }

  private final KitService kits;
  private final Cells cells;
  private final Measuring measuring;
  private final Judging judging;
  private final Jobs jobs;

  SheetFiles(KitService kits, Cells cells, Measuring measuring, Judging judging, Jobs jobs) {
    this.kits = kits;
    this.cells = cells;
    this.measuring = measuring;
    this.judging = judging;
    this.jobs = jobs;
  }

  /**
   * Starts keeping the sheet of a kit.
   *
   * @throws Refusal with a sentence if it cannot be kept that way
   */
  public Job start(long kitId, String as) {
    String title = "Proof sheet of “%s” as %s".formatted(kits.kit(kitId).name(), of(as));
    return jobs.start(ID, "kit:" + kitId, title, new Asked(kitId, of(as).ending()));
  }

  private record Asked(long kit, String as) {}

  private static As of(String name) {
    for (As as : As.values()) {
      if (as.ending().equals(name)) {
        return as;
      }
    }
    throw new Refusal("A sheet is kept as PDF, PNG or CSV, not as “%s”.".formatted(name));
  }

  @Override
  public Nature nature() {
    return new Nature(ID, Turn.PATIENT, Restart.CUT_OFF);
  }

  @Override
  public void run(JobRun run) throws IOException {
    Asked asked = run.asked(Asked.class);
    long kitId = asked.kit();
    As as = of(asked.as());
    List<Cell> all = cells.all(kitId);
    Map<String, Readings> there = measuring.there(all);
    Judging.Rules rules = judging.rules(kitId);
    run.total(all.size(), 0);
    run.each(
        all.stream().filter(c -> !there.containsKey(c.measured())).toList(),
        true,
        c -> "%s on %s".formatted(c.head().name(), c.photo().name()),
        c -> (long) Thumbnails.LONG_SIDE * Thumbnails.LONG_SIDE,
        measuring::make);
    if (run.isStopped()) {
      return;
    }
    Map<String, Readings> taken = measuring.there(all);
    List<Sheet.Line> lines = new ArrayList<>();
    for (Cell cell : all) {
      Readings of = taken.get(cell.measured());
      if (of != null) {
        lines.add(new Sheet.Line(cell, of, rules.judge(cell, of)));
      }
    }
    Sheet sheet = new Sheet(kits.kit(kitId).name(), kits.filled(kitId), lines);
    String name = "sheet." + as.ending();
    write(as, sheet, run.folder().resolve(name));
    run.result(name, Names.slug(sheet.kit()) + "-proofs." + as.ending());
    run.said("The sheet of “%s” was kept.".formatted(sheet.kit()));
  }

  private void write(As as, Sheet sheet, Path file) throws IOException {
    switch (as) {
      case PDF -> {
        try (OutputStream out = Files.newOutputStream(file)) {
          new SheetPdf(measuring::jpeg).pages(sheet, out);
        }
      }
      case PNG -> new SheetPdf(measuring::jpeg).picture(sheet, file);
      case CSV -> Files.writeString(file, SheetCsv.of(sheet), StandardCharsets.UTF_8);
    }
  }
}
