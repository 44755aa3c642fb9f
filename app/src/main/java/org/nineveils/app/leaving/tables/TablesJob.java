package org.nineveils.app.leaving.tables;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.leaving.collections.CollectionService;
import org.nineveils.app.leaving.collections.Drafts;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.photos.Tags;
import org.nineveils.name.Names;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.refusal.Refusal;
import org.nineveils.region.PhotoTags;
import org.nineveils.release.Release;
import org.nineveils.release.table.TableFormat;
import org.nineveils.release.table.TableSet;
import org.nineveils.release.table.Travel;
import org.springframework.stereotype.Service;

/**
 * Makes colour tables of what goes into a collection, measured on the test wall, as one ZIP file.
 */
@Service
public class TablesJob implements JobKind {
  private static final String ID = "tables";

  /** Long side at which photos are compared: that of proofs. */
  private static final int LONG_SIDE = 400;

  private final CollectionService collections;
  private final Drafts drafts;
  private final PhotoService photos;
  private final Tags tags;
  private final Jobs jobs;

  TablesJob(
      CollectionService collections, Drafts drafts, PhotoService photos, Tags tags, Jobs jobs) {
    this.collections = collections;
    this.drafts = drafts;
    this.photos = photos;
    this.tags = tags;
    this.jobs = jobs;
  }

  /**
   * Starts it.
   *
   * @param format id of a {@link TableFormat}
   * @throws Refusal with a sentence if there is no such format
   */
  public Job start(long collection, String format) {
    String label = TableFormat.ofId(format).label();
    String title = "Tables of “%s”, %s".formatted(collections.get(collection).name(), label);
    return jobs.start(
        ID, CollectionService.scope(collection), title, new Tables(collection, format));
  }

  private record Tables(long collection, String format) {}

  @Override
  public Nature nature() {
    return new Nature(
        ID, Turn.PATIENT, Restart.CUT_OFF); // of one moment: it does not go on after a restart
  }

  /** An effect and the kit that it is in. */
  private record Placed(String kit, Release.EffectPart part) {}

  @Override
  public void run(JobRun run) throws IOException {
    Tables asked = run.asked(Tables.class);
    Release release = drafts.plain(drafts.snapshot(asked.collection()));
    TableFormat format = TableFormat.ofId(asked.format());
    List<Placed> all = new ArrayList<>();
    for (Release.KitPart kit : release.kits()) {
      for (Release.SectionPart section : kit.sections()) {
        section.effects().forEach(e -> all.add(new Placed(kit.name(), e)));
      }
    }
    String file = "tables.zip";
    TableSet set = null;
    try (OutputStream out = Files.newOutputStream(run.folder().resolve(file));
        ZipOutputStream zip = new ZipOutputStream(out)) {
      set = new TableSet(format, wall(), (path, bytes) -> put(zip, path, bytes));
      made(run, all, set, format, release.shelf());
    }
    if (run.isStopped()) {
      Files.delete(run.folder().resolve(file));
      run.said("No tables were made.");
      return;
    }
    run.result(
        file, "%s-%s-%s.zip".formatted(Names.slug(release.name()), release.version(), format.id()));
    run.said(said(set));
  }

  private static void made(
      JobRun run, List<Placed> all, TableSet set, TableFormat format, PictureShelf shelf)
      throws IOException {
    run.total(all.size(), 0);
    run.each(
        all,
        false,
        placed -> placed.part().name(),
        placed -> (long) format.side() * format.side() * format.side(),
        placed -> set.add(placed.kit(), placed.part(), shelf));
    set.finish();
  }

  private static void put(ZipOutputStream zip, String path, byte[] bytes) throws IOException {
    zip.putNextEntry(new ZipEntry(path));
    zip.write(bytes);
    zip.closeEntry();
  }

  /** The photos of the wall but for charts. */
  private List<Picture> wall() {
    Map<Long, List<String>> tagged = tags.all();
    return photos.all(Side.WALL).stream()
        .filter(p -> !tagged.getOrDefault(p.id(), List.of()).contains(PhotoTags.CHART))
        .map(p -> photos.once(p, LONG_SIDE))
        .toList();
  }

  /** How they travel and how well, in a sentence. */
  private static String said(TableSet set) {
    List<TableSet.Line> whole = of(set, Travel.How.WHOLE);
    String worst =
        whole.stream()
            .max(java.util.Comparator.comparingDouble(l -> l.fit().mean()))
            .map(
                l ->
                    String.format(
                        Locale.ROOT,
                        ", at most ΔE %.2f in the mean (%s)",
                        l.fit().mean(),
                        l.name()))
            .orElse("");
    return String.format(
        Locale.ROOT,
        "%d effects travel whole%s, %d in part, %d not at all; %s says which.",
        whole.size(),
        worst,
        of(set, Travel.How.IN_PART).size(),
        of(set, Travel.How.NOT_AT_ALL).size(),
        TableSet.LIST);
  }

  private static List<TableSet.Line> of(TableSet set, Travel.How how) {
    return set.lines().stream().filter(l -> l.travel().how() == how).toList();
  }
}
