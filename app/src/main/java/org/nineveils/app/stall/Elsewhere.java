package org.nineveils.app.stall;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Optional;
import org.nineveils.app.start.CannotStart;
import org.nineveils.document.Json;
import org.nineveils.refusal.Limits;
import org.nineveils.refusal.Refusal;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The stall of another house on this machine, whose address the setting {@code nineveils.stall}
 * gives: what is not out here is asked for there. Without the setting there is none.
 */
@Component
class Elsewhere {
  private static final Duration PATIENCE = Duration.ofSeconds(20);

  private final String address;
  private final HttpClient client =
      HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();

  Elsewhere(@Value("${nineveils.stall:}") String address) {
    this.address = address.replaceFirst("/+$", "");
    if (!address.isEmpty() && !isHere(URI.create(address).getHost())) {
      throw new CannotStart(
          "NINEVEILS_STALL is %s, which is no address of this machine. Name another stall here, or none."
              .formatted(address));
    }
  }

  private static boolean isHere(String host) {
    try {
      return host != null && InetAddress.getByName(host).isLoopbackAddress();
    } catch (UnknownHostException e) {
      return false;
    }
  }

  private Optional<HttpResponse<InputStream>> ask(String path) {
    if (address.isEmpty()) {
      return Optional.empty();
    }
    try {
      HttpRequest request =
          HttpRequest.newBuilder(URI.create(address + path)).timeout(PATIENCE).build();
      var answer = client.send(request, HttpResponse.BodyHandlers.ofInputStream());
      if (answer.statusCode() == 200) {
        return Optional.of(answer);
      }
      answer.body().close();
      return Optional.empty();
    } catch (IOException e) {
      throw new Refusal("The stall at %s does not answer; nothing was fetched.".formatted(address));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }

  /** What is out there under a code. */
  Optional<StallService.Handed> fetch(String letters) {
    Optional<HttpResponse<InputStream>> answer = ask("/stall/%s/file".formatted(letters));
    if (answer.isEmpty()) {
      return Optional.empty();
    }
    try (InputStream in = answer.get().body()) {
      byte[] file = in.readNBytes((int) Limits.RELEASE_BYTES + 1);
      return Optional.of(new StallService.Handed(letters, "the release", file));
    } catch (IOException e) {
      throw new Refusal("The stall broke off; nothing was fetched. Try again.");
    }
  }

  /** The highest version that is out there under a code; empty too where it does not answer. */
  Optional<String> newest(String letters) {
    try (InputStream in =
        ask("/stall/%s/newest".formatted(letters))
            .map(HttpResponse::body)
            .orElse(InputStream.nullInputStream())) {
      String text = new String(in.readNBytes(1 << 12), java.nio.charset.StandardCharsets.UTF_8);
      return text.isEmpty()
          ? Optional.empty()
          : Optional.of(Json.read(text, "The answer of the stall").text("version"));
    } catch (IOException | Refusal e) {
      return Optional.empty(); // a shop that is closed says nothing of what is new
    }
  }
}
