package org.nineveils.app.soak;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.PackedApp;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/**
 * As much at once as a heap of 1 536 MB was seen to hang under: photos of 24 and 60 megapixels, a
 * proof of a whole kit, exports, somebody who looks, uploads in four threads, half of them pictures
 * whose data claims more than there is. It is bounded, and ends with everything answered, or
 * refused in words. The short form has smaller photos and fewer of them.
 */
class MemoryLoadIT {
  private static final boolean LONG = System.getProperty("nineveils.soak", "").equals("long");
  private static final int WIDE = LONG ? 9480 : 3000;
  private static final int MIDDLE = LONG ? 6000 : 1800;
  private static final int UPLOADS = LONG ? 6 : 2; // of each of four
  private static final int LOOKS = LONG ? 300 : 10;
  private static final String HEAP = LONG ? "1536m" : "640m";

  @TempDir Path folder;

  private final Map<String, Integer> answers = new TreeMap<>();

  private static byte[] photo(int width) throws IOException {
    BufferedImage image = new BufferedImage(width, width * 2 / 3, BufferedImage.TYPE_3BYTE_BGR);
    Random random = new Random(width);
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < width; x++) {
        image.setRGB(x, y, (x * 255 / width) << 16 | (y & 0xff) << 8 | random.nextInt(60));
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", out);
    return out.toByteArray();
  }

  /** 450 fields of its data name the same 250 kB: 271 kB that took 112 MB. */
  private static byte[] claiming() throws IOException {
    int fields = 450;
    int values = 8 + 2 + 12 * fields + 4;
    ByteBuffer exif = ByteBuffer.allocate(values + 250_000).order(ByteOrder.LITTLE_ENDIAN);
    exif.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8).putShort((short) fields);
    for (int i = 0; i < fields; i++) {
      exif.putShort((short) (0x9000 + i)).putShort((short) 7).putInt(250_000).putInt(values);
    }
    ByteArrayOutputStream plain = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_3BYTE_BGR), "png", plain);
    byte[] type = "eXIf".getBytes(StandardCharsets.US_ASCII);
    CRC32 crc = new CRC32();
    crc.update(type);
    crc.update(exif.array());
    ByteBuffer chunk = ByteBuffer.allocate(12 + exif.capacity());
    chunk.putInt(exif.capacity()).put(type).put(exif.array()).putInt((int) crc.getValue());
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(plain.toByteArray(), 0, 33);
    out.writeBytes(chunk.array());
    out.write(plain.toByteArray(), 33, plain.size() - 33);
    return out.toByteArray();
  }

  private synchronized void count(String what, int status, String body) {
    answers.merge(what + " " + status, 1, Integer::sum);
    boolean words = status < 300 || body.contains("\"sentence\"");
    assertThat(words).as("%s %d: %s", what, status, body).isTrue();
  }

  private int upload(Http http, String name, byte[] file) {
    var answer = http.upload("/api/photos/wall", name, file);
    count("upload", answer.statusCode(), answer.body());
    return answer.statusCode() == 200 ? Json.read(answer.body(), "").whole("id") : 0;
  }

  @Test
  void everythingIsAnsweredOrRefusedInWords() throws Exception {
    byte[] wide = photo(WIDE);
    byte[] middle = photo(MIDDLE);
    byte[] claiming = claiming();
    try (PackedApp app =
        new PackedApp(folder, HEAP, "--nineveils.demo=" + Path.of("../demo").toAbsolutePath())) {
      Http http = new Http(app.url());
      int large = upload(http, "wide.jpg", wide);
      assertThat(large).as("the first large photo on a fresh start is taken").isPositive();
      int other = upload(http, "middle.jpg", middle);
      http.json("POST", "/api/proofs/2/start", "");
      List<Integer> jobs = new ArrayList<>();
      for (int i = 0; i < 5; i++) {
        String export =
            "/api/effects/%d/export?photo=%d&format=%s"
                .formatted(i + 1, i % 2 == 0 ? large : other, i % 2 == 0 ? "jpg" : "tif");
        var answer = http.json("POST", export, "");
        count("export", answer.statusCode(), answer.body());
        jobs.add(Json.read(answer.body(), "").object("job").whole("id"));
      }
      AtomicBoolean done = new AtomicBoolean();
      CompletableFuture<Void> person =
          CompletableFuture.runAsync(() -> look(http, List.of(1, 2, 3, large, other), done));
      List<CompletableFuture<Void>> hands = new ArrayList<>();
      for (int hand = 0; hand < 4; hand++) {
        byte[] own = hand % 2 == 0 ? wide : middle;
        hands.add(
            CompletableFuture.runAsync(
                () -> {
                  for (int i = 0; i < UPLOADS; i++) {
                    upload(http, "a.png", i % 2 == 0 ? claiming : own);
                  }
                }));
      }
      CompletableFuture.allOf(hands.toArray(new CompletableFuture<?>[0]))
          .get(LONG ? 15 : 4, TimeUnit.MINUTES);
      done.set(true);
      person.get(4, TimeUnit.MINUTES);
      for (int job : jobs) {
        Fields ended = http.ended(job);
        answers.merge("export " + ended.text("state"), 1, Integer::sum);
        assertThat(ended.text("state")).as(ended.text("said")).isIn("done", "failed");
        assertThat(ended.text("said")).isNotBlank();
      }
      int proof = Json.read(http.get("/api/proofs/2").body(), "").object("job").whole("id");
      http.json("POST", "/api/jobs/%d/stop".formatted(proof), "");
      http.ended(proof);
      assertThat(http.get("/kits").statusCode()).isEqualTo(200);
    }
    System.out.printf("%nMemory, %s form: %s%n", LONG ? "long" : "short", answers);
  }

  private void look(Http http, List<Integer> photos, AtomicBoolean done) {
    Random random = new Random(9);
    for (int i = 0; i < LOOKS && !done.get(); i++) {
      int effect = 1 + random.nextInt(40);
      Fields state = Json.read(http.get("/api/effects/%d?photo=1".formatted(effect)).body(), "");
      String body =
          Json.write(
              Json.object(
                  "photo",
                  photos.get(random.nextInt(photos.size())),
                  "effect",
                  state.object("effect").raw(),
                  "longSide",
                  1400,
                  "view",
                  "somebody"));
      var answer = http.json("POST", "/api/effects/%d/render".formatted(effect), body);
      count("look", answer.statusCode(), answer.statusCode() < 300 ? "" : answer.body());
    }
  }
}
