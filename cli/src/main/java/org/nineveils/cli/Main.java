package org.nineveils.cli;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Locale;
import org.nineveils.document.DocumentException;
import org.nineveils.file.PictureException;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.ReleaseException;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/**
 * Entry point. Exit status: 0 done, 1 the file or the request is at fault (one plain sentence on
 * standard error), 2 the command was typed wrongly.
 */
@Command(
    name = "nv",
    description = "Nine Veils on the command line.",
    mixinStandardHelpOptions = true,
    version = "Nine Veils 0.1",
    subcommands = {
      CheckCommand.class,
      ApplyCommand.class,
      EffectsCommand.class,
      GuideCommand.class,
      PackCommand.class,
      ProofCommand.class,
      TablesCommand.class
    })
public final class Main {
  private Main() {}

  static {
    // What is written is the same whatever the machine is set to.
    Locale.setDefault(Locale.ROOT);
  }

  public static void main(String[] args) {
    System.exit(run(writer(System.out), writer(System.err), args));
  }

  /** UTF-8 whatever the locale: names and quotation marks are more than ASCII. */
  private static PrintWriter writer(OutputStream out) {
    return new PrintWriter(out, true, StandardCharsets.UTF_8);
  }

  /** Runs a command and gives its exit status; what it prints goes to the two writers. */
  public static int run(PrintWriter out, PrintWriter err, String... args) {
    CommandLine line = new CommandLine(new Main());
    line.setOut(out);
    line.setErr(err);
    line.setExecutionExceptionHandler(
        (fault, command, parsed) -> {
          command.getErr().println(sentence(fault));
          return 1;
        });
    if (args.length == 0) {
      line.usage(err);
      return 2;
    }
    return line.execute(args);
  }

  /** What went wrong, in one sentence; never a stack trace. */
  static String sentence(Exception fault) {
    if (isOurs(fault)) {
      return fault.getMessage();
    }
    if (fault instanceof NoSuchFileException e) {
      return "There is no file or folder “%s”.".formatted(e.getFile());
    }
    if (fault instanceof AccessDeniedException e) {
      return "“%s” cannot be read or written: permission is denied.".formatted(e.getFile());
    }
    if (fault instanceof IOException || fault instanceof UncheckedIOException) {
      return "A file could not be read or written: %s.".formatted(fault.getMessage());
    }
    return "Something went wrong in the program%s; nothing more was done.".formatted(kept(fault));
  }

  /** Keeps the details for whoever mends it. */
  private static String kept(Exception fault) {
    try {
      StringWriter details = new StringWriter();
      fault.printStackTrace(new PrintWriter(details));
      Path file = Files.createTempFile("nine-veils-", ".log");
      Files.writeString(file, details.toString());
      return " (the details are in %s)".formatted(file);
    } catch (IOException e) {
      return "";
    }
  }

  private static boolean isOurs(Exception fault) {
    return fault instanceof PictureException
        || fault instanceof ReleaseException
        || fault instanceof DocumentException
        || fault instanceof Refusal;
  }
}
