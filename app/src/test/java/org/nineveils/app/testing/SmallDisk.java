package org.nineveils.app.testing;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** A disk of some megabytes in memory, to be filled or made read-only. Needs the right to mount. */
public final class SmallDisk implements AutoCloseable {
  private final Path path;

  private SmallDisk(Path path) {
    this.path = path;
  }

  /** A disk at a path; null where none can be made. */
  public static SmallDisk of(Path path, int megabytes) throws IOException {
    Files.createDirectories(path);
    boolean made =
        run("mount", "-t", "tmpfs", "-o", "size=" + megabytes + "m", "tmpfs", path.toString());
    return made ? new SmallDisk(path) : null;
  }

  public Path path() {
    return path;
  }

  public void readOnly() {
    run("mount", "-o", "remount,ro", path.toString());
  }

  /** Writes until there is no room. */
  public void fill() throws IOException {
    byte[] block = new byte[64 * 1024];
    try (OutputStream out = Files.newOutputStream(path.resolve("filling"))) {
      while (true) {
        out.write(block);
      }
    } catch (IOException e) {
      if (!String.valueOf(e.getMessage()).contains("No space")) {
        throw e;
      }
    }
  }

  private static boolean run(String... command) {
    try {
      Process process = new ProcessBuilder(List.of(command)).redirectErrorStream(true).start();
      return process.waitFor(10, TimeUnit.SECONDS) && process.exitValue() == 0;
    } catch (IOException e) {
      return false;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  @Override
  public void close() {
    run("umount", "-l", path.toString());
  }
}
