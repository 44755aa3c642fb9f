package org.nineveils.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.release.table.TableFormat;
import org.nineveils.release.table.TableSet;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Writes colour tables of a release's effects, for other programs. */
@Command(
    name = "tables",
    description = {
      "Writes a colour table of each effect, or of what of it is colour alone, and tables.csv.",
      "Formats: cube17, cube33, cube65, square (a PNG), clf.",
      "With --photos each table is measured against the effect itself.",
    },
    mixinStandardHelpOptions = true)
final class TablesCommand implements Callable<Integer> {
  /** Long side at which photos are compared: that of proofs. */
  private static final int LONG_SIDE = 400;

  @Spec private CommandSpec spec;

  @Mixin private Trust trust;

  @Option(names = "--release", required = true, description = "the release file")
  private Path release;

  @Option(names = "--out", required = true, paramLabel = "DIR", description = "a new folder")
  private Path out;

  @Option(names = "--format", description = "cube33 unless said otherwise")
  private String format = "cube33";

  @Option(names = "--photos", paramLabel = "DIR", description = "photos to measure tables on")
  private Path photos;

  @Override
  public Integer call() throws IOException {
    Release opened = trust.read(release);
    if (Files.exists(out)) {
      throw new Refusal("“%s” is there already; nothing was written.".formatted(out));
    }
    List<Picture> compared =
        photos == null
            ? List.of()
            : TestPhoto.in(photos).stream()
                .map(p -> Scaling.toLongSide(p.plain().picture(), LONG_SIDE))
                .toList();
    TableSet set = new TableSet(TableFormat.ofId(format), compared, this::write);
    for (Release.KitPart kit : opened.kits()) {
      for (Release.SectionPart section : kit.sections()) {
        for (Release.EffectPart effect : section.effects()) {
          set.add(kit.name(), effect, opened.shelf());
        }
      }
    }
    set.finish();
    PrintWriter print = spec.commandLine().getOut();
    set.lines().forEach(line -> print.println(said(line)));
    return 0;
  }

  private void write(String path, byte[] file) throws IOException {
    Path to = out.resolve(path);
    Files.createDirectories(to.getParent());
    Files.write(to, file);
  }

  private String said(TableSet.Line line) {
    String fit =
        line.fit() == null || photos == null
            ? ""
            : String.format(
                Locale.ROOT,
                ", ΔE %.2f, 99th percentile %.2f",
                line.fit().mean(),
                line.fit().high());
    String left = TableSet.left(line.travel());
    return "%s: %s%s%s"
        .formatted(
            line.name(), line.travel().how().words(), fit, left.isEmpty() ? "" : " (" + left + ")");
  }
}
