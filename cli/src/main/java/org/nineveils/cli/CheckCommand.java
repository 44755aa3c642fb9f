package org.nineveils.cli;

import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.signing.Signed;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
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

  @Mixin private Trust trust;

  @Parameters(paramLabel = "FILE", description = "the release file")
  private Path file;

  @Override
  public Integer call() {
    Release release = trust.check(file);
    Signed signed = ReleaseReader.signed(file);
    spec.commandLine()
        .getOut()
        .printf(
            Locale.ROOT,
            "“%s” %s by %s: %d kits, %d effects, all sound.%n",
            release.name(),
            release.version(),
            release.makersMark().isBlank() ? "an unnamed maker" : release.makersMark(),
            release.kits().size(),
            release.effects().size());
    spec.commandLine()
        .getOut()
        .println(
            signed.state() == Signed.State.UNSIGNED
                ? "Not signed."
                : "Signed with key %s (%s).".formatted(signed.named(), signed.key()));
    return 0;
  }
}
