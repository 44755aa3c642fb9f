package org.nineveils.app.testing;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The packed application as a process of its own, which can be killed. */
public final class PackedApp implements AutoCloseable {
  private final Process process;
  private final String url;

  /** Starts it on a folder and waits until it is ready. */
  public PackedApp(Path data, String heap, String... more) throws IOException {
    List<String> command =
        new ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx" + heap,
                "-XX:+UnlockDiagnosticVMOptions", // as the launcher does
                "-XX:GCLockerRetryAllocationCount=1000",
                "-Djava.awt.headless=true",
                "-Dspring.aot.enabled=true",
                "-jar",
                "target/nine-veils.jar",
                "--server.port=0",
                "--nineveils.daily-copies=false",
                "--nineveils.warming=false",
                "--nineveils.data=" + data));
    command.addAll(List.of(more));
    process = new ProcessBuilder(command).redirectErrorStream(true).start();
    BufferedReader lines =
        new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    StringBuilder said = new StringBuilder();
    String found = null;
    for (String line = lines.readLine(); line != null && found == null; line = lines.readLine()) {
      said.append(line).append('\n');
      if (line.startsWith("Nine Veils is ready: ")) {
        found = line.substring(line.indexOf("http")).replaceAll("/$", "");
      }
    }
    if (found == null) {
      throw new IllegalStateException("the application ended before it was ready: " + said);
    }
    url = found;
    Thread rest = new Thread(() -> lines.lines().forEach(line -> {}), "output of the application");
    rest.setDaemon(true);
    rest.start();
  }

  public String url() {
    return url;
  }

  /** SIGKILL: nothing is tidied up. */
  public void kill() {
    process.destroyForcibly();
    try {
      if (!process.waitFor(20, TimeUnit.SECONDS)) {
        throw new IllegalStateException("the application does not end");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Has it collect its garbage, so that what is left is what it holds. */
  public void collect() throws IOException, InterruptedException {
    String jcmd = Path.of(System.getProperty("java.home"), "bin", "jcmd").toString();
    Process asked =
        new ProcessBuilder(jcmd, String.valueOf(process.pid()), "GC.run")
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    asked.waitFor(30, TimeUnit.SECONDS);
  }

  @Override
  public void close() {
    kill();
  }
}
