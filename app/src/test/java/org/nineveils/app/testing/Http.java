package org.nineveils.app.testing;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** Requests as the scripts of the pages make them: with the session's CSRF token. */
public final class Http {
  private static final Pattern TOKEN = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"");
  private static final long STANDS_STILL = TimeUnit.MINUTES.toNanos(2);

  private final HttpClient client =
      HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
  private final String base;
  private final String token;

  public Http(RunningApp app) {
    this(app.url());
  }

  public Http(String base) {
    this.base = base;
    Matcher found = TOKEN.matcher(get("/kits").body());
    if (!found.find()) {
      throw new IllegalStateException("the page of kits carries no token");
    }
    token = found.group(1);
  }

  public HttpResponse<String> get(String path) {
    return send(HttpRequest.newBuilder(URI.create(base + path)).GET());
  }

  /** What is there, as bytes. */
  public byte[] bytes(String path) throws IOException, InterruptedException {
    HttpRequest request = HttpRequest.newBuilder(URI.create(base + path)).GET().build();
    return client.send(request, HttpResponse.BodyHandlers.ofByteArray()).body();
  }

  /** A copy of a kit of the demo under a name of its own; its id. */
  public long kitLike(int kit, String name) {
    String body = Json.write(Json.object("name", "%s %d".formatted(name, System.nanoTime())));
    Fields made = Json.read(json("POST", "/api/kits/%d/duplicate".formatted(kit), body).body(), "");
    return Long.parseLong(made.text("go").replaceAll("\\D", ""));
  }

  /** A kit of eighteen effects in five sections, which stays as it is when the demo grows. */
  public long eighteen() {
    try (InputStream file = Http.class.getResourceAsStream("/kits/eighteen.kits.zip")) {
      String path = "/api/kits/open?rename=true";
      Fields made = Json.read(upload(path, "eighteen.kits.zip", file.readAllBytes()).body(), "");
      return Long.parseLong(made.text("go").replaceAll("\\D", ""));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** The id of the fitting of a photo in a wardrobe, made where there was none. */
  public String fitting(String wardrobe, int photo) {
    return get("/fitting/of?wardrobe=%s&photo=%d".formatted(wardrobe, photo))
        .headers()
        .firstValue("Location")
        .orElseThrow()
        .replaceAll(".*/", "");
  }

  /** The cookies that a first visit is given, as they are sent. */
  public java.util.List<String> firstCookies() {
    try {
      return HttpClient.newHttpClient()
          .send(
              HttpRequest.newBuilder(URI.create(base + "/kits")).build(),
              HttpResponse.BodyHandlers.ofString())
          .headers()
          .allValues("Set-Cookie");
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** The same with one more head. */
  public HttpResponse<String> get(String path, String name, String value) {
    return send(HttpRequest.newBuilder(URI.create(base + path)).header(name, value).GET());
  }

  public HttpResponse<String> json(String method, String path, String body) {
    return send(trusted(path, body, method));
  }

  /** The same as a request of that name. */
  public HttpResponse<String> named(String name, String method, String path, String body) {
    return send(trusted(path, body, method).header("Idempotency-Key", name));
  }

  private HttpRequest.Builder trusted(String path, String body, String method) {
    return HttpRequest.newBuilder(URI.create(base + path))
        .header("X-CSRF-TOKEN", token)
        .header("Content-Type", "application/json")
        .method(method, HttpRequest.BodyPublishers.ofString(body));
  }

  /** Asks for long work, waits until it has ended and gives the job as it is then. */
  public Fields job(String path, String body) {
    HttpResponse<String> answer = json("POST", path, body);
    if (answer.statusCode() != 200) {
      throw new IllegalStateException(answer.body());
    }
    Fields job = Json.read(answer.body(), "The answer").object("job");
    return ended(job.whole("id"));
  }

  /**
   * Waits until a job has ended.
   *
   * @throws IllegalStateException where it does not go on for two minutes
   */
  public Fields ended(int id) {
    Fields job = Json.read(get("/api/jobs/" + id).body(), "The job");
    long end = System.nanoTime() + STANDS_STILL;
    while (job.flag("open", false)) {
      java.util.concurrent.locks.LockSupport.parkNanos(20_000_000);
      Fields now = Json.read(get("/api/jobs/" + id).body(), "The job");
      if (!Json.write(now.raw()).equals(Json.write(job.raw()))) {
        end = System.nanoTime() + STANDS_STILL;
      } else if (System.nanoTime() > end) {
        throw new IllegalStateException("the job stands still: " + Json.write(job.raw()));
      }
      job = now;
    }
    return job;
  }

  /** The same without the token. */
  public HttpResponse<String> forged(String method, String path, String body) {
    return send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", "application/json")
            .method(method, HttpRequest.BodyPublishers.ofString(body)));
  }

  public HttpResponse<String> upload(String path, String fileName, byte[] content) {
    String mark = "nine-veils-boundary";
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    body.writeBytes(
        ("--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"%s\"\r\n"
                    .formatted(mark, fileName)
                + "Content-Type: application/octet-stream\r\n\r\n")
            .getBytes(StandardCharsets.UTF_8));
    body.writeBytes(content);
    body.writeBytes(("\r\n--" + mark + "--\r\n").getBytes(StandardCharsets.UTF_8));
    return send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("X-CSRF-TOKEN", token)
            .header("Content-Type", "multipart/form-data; boundary=" + mark)
            .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray())));
  }

  private HttpResponse<String> send(HttpRequest.Builder request) {
    try {
      return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
