package org.nineveils.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Opens a release as the desk would and says what is in it. */
@Command(
    name = "check",
    description = "Checks a release file: paths, checksums, manifest, every effect and picture.",
    mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILE", description = "the release file")
  private Path file;

  @Override
  public Integer call() {
    Release release = ReleaseReader.check(file);
    spec.commandLine()
        .getOut()
        .printf(
            "“%s” %s by %s: %d kits, %d effects, all sound.%n",
            release.name(),
            release.version(),
            release.makersMark().isBlank() ? "an unnamed maker" : release.makersMark(),
            release.kits().size(),
            release.effects().size());
    return 0;
  }
}
