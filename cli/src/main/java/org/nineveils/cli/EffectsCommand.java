package org.nineveils.cli;

import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.nineveils.release.Release;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Lists what a release holds. */
@Command(
    name = "effects",
    description = "Lists the kits, sections and effects of a release file.",
    mixinStandardHelpOptions = true)
final class EffectsCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private Trust trust;

  @Parameters(paramLabel = "FILE", description = "the release file")
  private Path file;

  @Override
  public Integer call() {
    var out = spec.commandLine().getOut();
    for (Release.KitPart kit : trust.read(file).kits()) {
      out.println(kit.name());
      for (Release.SectionPart section : kit.sections()) {
        out.printf(
            Locale.ROOT,
            "  %d %s (%s)%n",
            section.number(),
            section.name(),
            section.rule().label());
        section.effects().forEach(e -> out.printf(Locale.ROOT, "    %s%n", e.name()));
      }
    }
    return 0;
  }
}
