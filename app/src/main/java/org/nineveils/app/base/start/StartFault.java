package org.nineveils.app.base.start;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.nineveils.app.base.fault.Faults;
import org.springframework.boot.context.properties.bind.BindException;
import org.springframework.boot.context.properties.source.InvalidConfigurationPropertyValueException;
import org.springframework.boot.web.server.PortInUseException;

/** Says in one sentence why the application did not start. Never shows a value of a setting. */
public final class StartFault {
  private StartFault() {}

  /** A sentence for what went wrong. */
  public static String sentence(Throwable fault) {
    for (Throwable t = fault; t != null; t = t.getCause()) {
      if (t instanceof CannotStart) {
        return t.getMessage();
      }
      if (t instanceof PortInUseException port) {
        return taken(String.valueOf(port.getPort()));
      }
      if (t instanceof InvalidConfigurationPropertyValueException setting) {
        return senseless(setting.getName());
      }
      if (t instanceof BindException setting) {
        return senseless(setting.getName().toString());
      }
      if (t instanceof java.net.BindException) {
        return taken("");
      }
    }
    String machine = Faults.sentence(fault);
    if (!machine.isEmpty()) {
      return "Nine Veils cannot start. " + machine;
    }
    return "Nine Veils cannot start: something went wrong that it has no words for%s."
        .formatted(kept(fault));
  }

  private static String senseless(String setting) {
    return "Nine Veils cannot start: what is set as %s makes no sense.".formatted(setting);
  }

  private static String taken(String port) {
    return "Nine Veils cannot start: port %s is taken by another program. Set NINEVEILS_PORT to a free one."
        .formatted(port)
        .replace("port  is", "its port is");
  }

  /** Keeps the details for whoever mends it. */
  private static String kept(Throwable fault) {
    try {
      StringWriter details = new StringWriter();
      fault.printStackTrace(new PrintWriter(details));
      Path file = Files.createTempFile("nine-veils-start-", ".log");
      Files.writeString(file, details.toString());
      return "; the details are in " + file;
    } catch (IOException e) {
      return "";
    }
  }
}
