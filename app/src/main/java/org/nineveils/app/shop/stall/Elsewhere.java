package org.nineveils.app.shop.stall;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.nineveils.app.base.start.CannotStart;
import org.nineveils.document.Json;
import org.nineveils.name.Names;
import org.nineveils.refusal.InputLimits;
import org.nineveils.refusal.Refusal;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The stall of another house on this machine, whose address the setting {@code nineveils.stall}
 * gives: what is not out here is asked for there. Without the setting there is none.
 *
 * <p>What is new there is asked for behind the pages, which take what was known last: a house that
 * is slow, closed or talks nonsense keeps no page waiting.
 */
@Component
class Elsewhere {
  private static final Duration PATIENCE = Duration.ofSeconds(20);
  private static final Duration FOR_A_FILE = Duration.ofSeconds(90);
  private static final int MOST_WAITING = 200;
  private static final long FRESH_NANOS = 2_000_000_000L;
  private static final long FIRST_WAIT_MS = 400;
  private static final int LONGEST_ANSWER = 1 << 12;
  private static final int LONGEST_LIST = 1 << 20;

  private final String address;
  private final Duration patience;
  private final HttpClient client =
      HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();

  /**
   * What was answered last.
   *
   * @param version empty where nothing is out, or no answer came
   */
  private record Known(Optional<String> version, long at) {}

  private final Map<String, Known> known = new ConcurrentHashMap<>();
  private final Map<String, CompletableFuture<Optional<String>>> asking = new ConcurrentHashMap<>();
  private volatile boolean slow;

  private final ThreadPoolExecutor worker =
      new ThreadPoolExecutor(
          0,
          1,
          5,
          TimeUnit.SECONDS,
          new ArrayBlockingQueue<>(MOST_WAITING),
          work -> {
            Thread thread = new Thread(work, "news of the other stall");
            thread.setDaemon(true);
            return thread;
          },
          new ThreadPoolExecutor.AbortPolicy());

  @Autowired
  Elsewhere(@Value("${nineveils.stall:}") String address) {
    this(address, PATIENCE);
  }

  /** One that waits that long for an answer to its end. */
  Elsewhere(String address, Duration patience) {
    this.address = address.strip().replaceFirst("/+$", "");
    this.patience = patience;
    if (!this.address.isEmpty() && !isHere()) {
      throw new CannotStart(
          "NINEVEILS_STALL is %s, which is no address of this machine. Name another stall here, or none."
              .formatted(address));
    }
  }

  private boolean isHere() {
    try {
      URI uri = URI.create(address);
      return uri.getHost() != null
          && String.valueOf(uri.getScheme()).matches("https?")
          && InetAddress.getByName(uri.getHost()).isLoopbackAddress();
    } catch (UnknownHostException | IllegalArgumentException e) {
      return false;
    }
  }

  /** An answer, whole and in time. */
  @SuppressWarnings("ArrayRecordComponent") // as it came
  private record Answer(int status, String location, byte[] body) {}

  /**
   * Asks and reads the answer to its end.
   *
   * @param most bytes that are read
   * @throws IOException where it does not answer in time, or breaks off
   */
  private Answer ask(String path, int most, Duration patience) throws IOException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(address + path)).timeout(patience).build();
    long until = System.nanoTime() + patience.toNanos();
    try {
      var answer = client.send(request, HttpResponse.BodyHandlers.ofInputStream());
      try (InputStream in = answer.body()) {
        // One that drips is cut off: reading waits for the next byte for ever.
        CompletableFuture.delayedExecutor(
                Math.max(0, until - System.nanoTime()), TimeUnit.NANOSECONDS)
            .execute(() -> close(in));
        byte[] body = in.readNBytes(most);
        if (System.nanoTime() > until) {
          throw new IOException("not in time");
        }
        String location = answer.headers().firstValue("Location").orElse("");
        return new Answer(answer.statusCode(), location, body);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  private static void close(InputStream in) {
    try {
      in.close();
    } catch (IOException e) {
      // it is of no use any more
    }
  }

  /**
   * What is out there under a code; empty where nothing is.
   *
   * @throws Refusal with a sentence where it does not say
   */
  Optional<StallService.Handed> fetch(String letters) {
    if (address.isEmpty()) {
      return Optional.empty();
    }
    Answer answer;
    try {
      Duration longer = patience.compareTo(PATIENCE) < 0 ? patience : FOR_A_FILE;
      answer =
          ask("/stall/%s/file".formatted(letters), (int) InputLimits.RELEASE_BYTES + 1, longer);
    } catch (IOException e) {
      throw new Refusal(
          "The stall at %s does not answer, or broke off; nothing was fetched. Try again."
              .formatted(address));
    }
    if (answer.status() == 401 || answer.location().contains("/log-in")) {
      throw new Refusal(
          "The stall at %s asks for a password, so nothing can be fetched there."
              .formatted(address));
    }
    if (answer.status() == 404) {
      return Optional.empty();
    }
    if (answer.status() != 200) {
      throw new Refusal(
          "The stall at %s did not hand it out (it answered %s); nothing was fetched."
              .formatted(address, answer.status()));
    }
    return Optional.of(new StallService.Handed(letters, "the release", answer.body()));
  }

  /**
   * All that is out there; what makes no sense of it is left out.
   *
   * @throws Refusal with a sentence where it does not say
   */
  List<StallService.Out> out() {
    if (address.isEmpty()) {
      return List.of();
    }
    Answer answer;
    try {
      answer = ask("/stall/out", LONGEST_LIST, patience);
    } catch (IOException e) {
      throw new Refusal("The stall at %s does not answer.".formatted(address));
    }
    try {
      if (answer.status() == 200) {
        return OutJson.parse(new String(answer.body(), StandardCharsets.UTF_8));
      }
    } catch (RuntimeException e) {
      // it talks nonsense
    }
    throw new Refusal("The stall at %s does not tell what is out.".formatted(address));
  }

  /**
   * The highest version that is out there under a code, as it was known last; empty too where
   * nothing is known. Only what was never asked for is waited for, and only a moment.
   */
  Optional<String> newest(String letters) {
    if (address.isEmpty()) {
      return Optional.empty();
    }
    Known last = known.get(letters);
    if (last != null && System.nanoTime() - last.at() < FRESH_NANOS) {
      return last.version();
    }
    CompletableFuture<Optional<String>> next = look(letters);
    if (last != null || slow) {
      return last == null ? Optional.empty() : last.version();
    }
    try {
      return next.get(FIRST_WAIT_MS, TimeUnit.MILLISECONDS);
    } catch (TimeoutException | ExecutionException e) {
      slow = true; // the next one is not waited for
      return Optional.empty();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }

  private CompletableFuture<Optional<String>> look(String letters) {
    CompletableFuture<Optional<String>> mine = new CompletableFuture<>();
    CompletableFuture<Optional<String>> other = asking.putIfAbsent(letters, mine);
    if (other != null) {
      return other;
    }
    try {
      worker.execute(() -> answer(letters, mine));
    } catch (RejectedExecutionException e) { // too many wait: it is asked for again later
      asking.remove(letters, mine);
      mine.complete(Optional.empty());
    }
    return mine;
  }

  private void answer(String letters, CompletableFuture<Optional<String>> mine) {
    Optional<String> version = Optional.empty();
    try {
      version = asked(letters);
    } finally {
      known.put(letters, new Known(version, System.nanoTime()));
      asking.remove(letters, mine);
      mine.complete(version);
    }
  }

  private Optional<String> asked(String letters) {
    try {
      Answer answer = ask("/stall/%s/newest".formatted(letters), LONGEST_ANSWER, patience);
      slow = false;
      if (answer.status() != 200) {
        return Optional.empty();
      }
      String text = new String(answer.body(), StandardCharsets.UTF_8);
      String version = Json.read(text, "The answer of the stall").text("version");
      return Optional.of(Names.checkVersion(version));
    } catch (IOException e) {
      slow = true;
      return Optional.empty(); // a shop that is closed says nothing of what is new
    } catch (RuntimeException e) {
      return Optional.empty(); // nor does one that talks nonsense
    }
  }

  @PreDestroy
  void close() {
    worker.shutdownNow();
  }
}
