package org.nineveils.file;

import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.lang.ProcessBuilder.Redirect;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.InputLimits;

/**
 * Develops camera raw files with LibRaw's tool {@code dcraw_emu}, as a process of its own that is
 * bounded in time, memory and what it writes, in a folder of its own that is always emptied. One
 * file always gives the same pixels, see {@link #OPTIONS}.
 */
final class RawDeveloper {
  /**
   * White balance as the camera set it (-w), no automatic brightening (-W), white where the sensor
   * is full and not where this photo is lightest (-c 0), 16 bits (-6), primaries of sRGB (-o 1) and
   * its curve (-g), colours of the mosaic by direction (-q 3), light beyond the sensor cut off (-H
   * 0). Turned upright, as the tool does by itself.
   */
  static final List<String> OPTIONS =
      List.of("-w", "-W", "-c", "0", "-6", "-o", "1", "-g", "2.4", "12.92", "-q", "3", "-H", "0");

  private static final String TOOL = "nineveils.dcraw";
  private static final String NAME = "photo.raw";
  private static final long MOST_MEMORY = 4L << 30;
  private static final int MOST_SECONDS = 120;
  private static final int DEEP = 65_535;
  private static final int LONGEST_HEAD = 64;

  private RawDeveloper() {}

  /**
   * The photo, upright, in sRGB.
   *
   * @param file the whole file
   * @param name how to call it in messages
   * @throws PictureException with a sentence: that it is damaged or of a sort that is not read, or
   *     what to install
   */
  static Picture develop(byte[] file, String name) {
    Path folder = null;
    try {
      folder = Files.createTempDirectory("nine-veils-raw");
      Files.write(folder.resolve(NAME), file);
      run(folder, name);
      Path made = folder.resolve("photo.ppm");
      if (!Files.exists(made)) {
        throw undeveloped(name, null);
      }
      try (InputStream in = Files.newInputStream(made)) {
        return pixels(new DataInputStream(new BufferedInputStream(in, 1 << 16)), name);
      }
    } catch (IOException e) {
      throw undeveloped(name, e);
    } finally {
      empty(folder);
    }
  }

  private static void run(Path folder, String name) throws IOException {
    Path said = folder.resolve("said");
    List<String> command = new ArrayList<>();
    command.add("prlimit");
    command.add("--as=" + MOST_MEMORY);
    command.add("--cpu=" + MOST_SECONDS);
    command.add("--fsize=" + (6 * InputLimits.PICTURE_PIXELS + LONGEST_HEAD));
    command.add("--core=0");
    command.add(System.getProperty(TOOL, "dcraw_emu"));
    command.addAll(OPTIONS);
    command.addAll(List.of("-Z", "ppm", NAME));
    ProcessBuilder builder = new ProcessBuilder(command).directory(folder.toFile());
    String path = builder.environment().get("PATH");
    builder.environment().clear();
    if (path != null) {
      builder.environment().put("PATH", path);
    }
    builder.redirectErrorStream(true).redirectOutput(said.toFile());
    builder.redirectInput(Redirect.from(folder.resolve(NAME).toFile()));
    Process process;
    try {
      process = builder.start();
    } catch (IOException e) {
      throw missing(name, e);
    }
    try {
      if (!process.waitFor(MOST_SECONDS + 30L, TimeUnit.SECONDS)) {
        throw new PictureException("“%s” took too long to develop.".formatted(name));
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new PictureException("“%s” was not developed to the end.".formatted(name), e);
    } finally {
      process.destroyForcibly();
    }
    String words = new String(Files.readAllBytes(said), StandardCharsets.UTF_8);
    if (process.exitValue() == 127 || words.contains("failed to execute")) {
      throw missing(name, null);
    }
    String low = words.toLowerCase(Locale.ROOT);
    if (process.exitValue() != 0 || low.contains("corrupt") || low.contains("unexpected end")) {
      throw undeveloped(name, null);
    }
  }

  /** A PPM of 16 bits a sample, the larger byte first, as the tool writes it. */
  private static Picture pixels(DataInputStream in, String name) throws IOException {
    List<String> head = new ArrayList<>();
    StringBuilder word = new StringBuilder();
    for (int n = 0; head.size() < 4 && n < LONGEST_HEAD; n++) {
      int c = in.readUnsignedByte();
      if (Character.isWhitespace(c)) {
        head.add(word.toString());
        word.setLength(0);
      } else {
        word.append((char) c);
      }
    }
    if (head.size() < 4 || !head.get(0).equals("P6") || !head.get(3).equals(String.valueOf(DEEP))) {
      throw undeveloped(name, null);
    }
    int width = Integer.parseInt(head.get(1));
    int height = Integer.parseInt(head.get(2));
    PictureReader.checkSize(width, height, name);
    Picture out = Picture.blank(width, height);
    byte[] row = new byte[6 * width];
    for (int y = 0; y < height; y++) {
      in.readFully(row);
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        out.r()[i] = sample(row, 6 * x);
        out.g()[i] = sample(row, 6 * x + 2);
        out.b()[i] = sample(row, 6 * x + 4);
      }
    }
    return out;
  }

  private static float sample(byte[] row, int at) {
    return (((row[at] & 0xff) << 8) | (row[at + 1] & 0xff)) / (float) DEEP;
  }

  private static void empty(Path folder) {
    if (folder == null) {
      return;
    }
    try (Stream<Path> all = Files.list(folder)) {
      for (Path file : all.toList()) {
        Files.deleteIfExists(file);
      }
      Files.deleteIfExists(folder);
    } catch (IOException e) {
      // the system empties its temporary folder too
    }
  }

  private static PictureException undeveloped(String name, Exception cause) {
    return new PictureException(
        "“%s” is a camera's raw file that cannot be developed: it is damaged, or of a camera that LibRaw does not know."
            .formatted(name),
        cause);
  }

  private static PictureException missing(String name, Exception cause) {
    return new PictureException(
        "“%s” is a camera's raw file, and the tool that develops them is not here. Type: apt-get install libraw-bin"
            .formatted(name),
        cause);
  }
}
