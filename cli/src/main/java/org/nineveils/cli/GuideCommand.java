package org.nineveils.cli;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.nineveils.guide.GuideFormat;
import org.nineveils.guide.Guides;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Writes guide and contact sheet of a release, as PDF and as web pages. */
@Command(
    name = "guide",
    description = "Writes guide and contact sheet of a release into a new folder.",
    mixinStandardHelpOptions = true)
final class GuideCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private Trust trust;

  @Option(names = "--release", required = true, description = "the release file")
  private Path release;

  @Option(names = "--out", required = true, paramLabel = "DIR", description = "a new folder")
  private Path out;

  @Override
  public Integer call() throws IOException {
    Release opened = trust.read(release);
    if (Files.exists(out)) {
      throw new Refusal("“%s” is there already; nothing was written.".formatted(out));
    }
    Files.createDirectories(out);
    for (GuideFormat format : GuideFormat.values()) {
      try (OutputStream file = Files.newOutputStream(out.resolve(format.file()))) {
        Guides.write(opened, format, file);
      }
      spec.commandLine().getOut().printf("%s written.%n", out.resolve(format.file()));
    }
    return 0;
  }
}
