package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;

class SafetyIT {
  private final RunningApp app = RunningApp.demo();
  private final Http http = new Http(app);

  @Test
  void everyPageForbidsForeignAndInlineScripts() {
    for (String path :
        new String[] {"/kits", "/bench/1", "/photos", "/desk", "/proofs/1", "/collections/1"}) {
      var answer = http.get(path);
      String policy = answer.headers().firstValue("Content-Security-Policy").orElse("");
      assertThat(policy)
          .contains("default-src 'self'", "object-src 'none'")
          .doesNotContain("unsafe");
      assertThat(answer.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
      assertThat(answer.body()).doesNotContain("<script>", "onclick=", "style=\"");
    }
  }

  @Test
  void changesWithoutTheSessionsTokenAreRefused() {
    int before = http.get("/kits").body().length();
    assertThat(http.forged("POST", "/api/kits", "{\"name\": \"Forged\"}").statusCode())
        .isEqualTo(403);
    assertThat(http.forged("DELETE", "/api/kits/1", "").statusCode()).isEqualTo(403);
    assertThat(http.get("/kits").body()).hasSize(before).doesNotContain("Forged");
  }

  @Test
  void everyAnswerKeepsOtherSitesOut() {
    var headers = http.get("/kits").headers();
    assertThat(headers.firstValue("Referrer-Policy")).contains("same-origin");
    assertThat(headers.firstValue("Cross-Origin-Opener-Policy")).contains("same-origin");
    assertThat(headers.firstValue("Cross-Origin-Resource-Policy")).contains("same-origin");
    assertThat(http.firstCookies())
        .isNotEmpty()
        .allMatch(cookie -> cookie.contains("SameSite=Strict") && cookie.contains("HttpOnly"));
  }

  /** Fetch Metadata Request Headers, W3C Working Draft: what a browser says of who asks. */
  @Test
  void pagesOfOtherSitesCanNeitherChangeNorMakeTheApplicationRender() {
    for (String site : new String[] {"cross-site", "same-site"}) {
      assertThat(http.get("/effects/1/small?photo=1", "Sec-Fetch-Site", site).statusCode())
          .isEqualTo(403);
      assertThat(http.get("/api/proofs/1", "Sec-Fetch-Site", site).statusCode()).isEqualTo(403);
      assertThat(http.get("/api/proofs/1", "Sec-Fetch-Site", site).body())
          .contains("by a page of another site; nothing was done");
    }
    assertThat(http.get("/effects/1/small?photo=1", "Sec-Fetch-Site", "same-origin").statusCode())
        .isEqualTo(200);
  }

  @Test
  void aForgedRequestIsRefusedWithASentence() {
    assertThat(http.forged("POST", "/api/kits", "{}").body())
        .contains("is no longer trusted, and nothing was changed");
  }

  @Test
  void itListensOnTheLoopbackOnly() throws Exception {
    int port = URI.create(app.url()).getPort();
    for (var network : java.util.Collections.list(NetworkInterface.getNetworkInterfaces())) {
      for (var address : java.util.Collections.list(network.getInetAddresses())) {
        if (address.isLoopbackAddress() || !(address instanceof java.net.Inet4Address)) {
          continue;
        }
        try (Socket socket = new Socket()) {
          // A machine's own address, never another machine's.
          assertThat(connects(socket, new InetSocketAddress(address, port))).isFalse();
        }
      }
    }
  }

  @Test
  void withAPasswordNothingIsShownBeforeTheLogIn() throws Exception {
    RunningApp locked = RunningApp.withPassword("long enough");
    try {
      HttpClient client = HttpClient.newHttpClient();
      for (String path : new String[] {"/kits", "/desk", "/photos/1/small", "/api/proofs/1"}) {
        var answer =
            client.send(
                HttpRequest.newBuilder(URI.create(locked.url() + path)).build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).as(path).isIn(302, 401);
        assertThat(answer.body()).doesNotContain("Kits");
        assertThat(answer.headers().firstValue("Cache-Control").orElse("")).contains("no-store");
      }
    } finally {
      locked.close();
    }
  }

  /** A foreign page whose name points at this machine must not get at the application. */
  @Test
  void requestsUnderAForeignNameAreRefused() throws Exception {
    URI at = URI.create(app.url());
    try (Socket socket = new Socket(at.getHost(), at.getPort())) {
      socket
          .getOutputStream()
          .write(
              "GET /kits HTTP/1.1\r\nHost: foreign.example\r\nConnection: close\r\n\r\n"
                  .getBytes(StandardCharsets.US_ASCII));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(answer)
          .startsWith("HTTP/1.1 400")
          .contains("Nine Veils does not answer at this address")
          .doesNotContain("Willow Basket", "Exception");
    }
  }

  private static boolean connects(Socket socket, InetSocketAddress to) {
    try {
      socket.connect(to, 500);
      return true;
    } catch (java.io.IOException e) {
      return false;
    }
  }

  @Test
  void fontsStylesAndScriptsComeWithTheApplication() {
    String page = http.get("/kits").body();
    assertThat(page).doesNotContain("https://", "http://");
    for (String path :
        new String[] {
          "/css/nine-veils.css",
          "/fonts/instrument-sans.woff2",
          "/fonts/newsreader.woff2",
          "/favicon.svg",
          "/js/base/web/page.js"
        }) {
      assertThat(http.get(path).statusCode()).as(path).isEqualTo(200);
    }
    assertThat(http.get("/css/nine-veils.css").body()).doesNotContain("url(http");
  }

  @Test
  void aBrowserKeepsScriptsAndStylesForAsLongAsNothingInThemChanges() throws Exception {
    String page = http.get("/kits").body();
    Matcher kept = Pattern.compile("(/kept/[0-9a-f]+)/js/base/web/page.js").matcher(page);
    assertThat(kept.find()).isTrue();
    var script = http.get(kept.group());
    assertThat(script.headers().firstValue("Cache-Control").orElse(""))
        .contains("max-age=31536000", "immutable");
    assertThat(script.body()).isEqualTo(http.get("/js/base/web/page.js").body());
    assertThat(http.get("/kept/000000000000/js/base/web/page.js").statusCode())
        .as("under the address of other contents")
        .isEqualTo(404);
    try (var files = java.nio.file.Files.walk(java.nio.file.Path.of("src/main/resources"))) {
      for (var file : files.filter(f -> f.toString().endsWith(".html")).toList()) {
        if (!file.toString().matches(".*/(fault|log-in)\\.html")) { // stand when all else falls
          assertThat(file).content().doesNotContain("\"/js/", "\"/css/");
        }
      }
    }
  }

  /** POST /%6Cog-in passed the throttle, which compared the address as it was written. */
  @Test
  void howeverTheLogInIsAddressedAWrongPasswordMakesTheNextOneWait() throws Exception {
    RunningApp locked = RunningApp.withPassword("long enough");
    try {
      HttpClient client =
          HttpClient.newBuilder().cookieHandler(new java.net.CookieManager()).build();
      var page =
          client.send(
              HttpRequest.newBuilder(URI.create(locked.url() + "/log-in")).build(),
              HttpResponse.BodyHandlers.ofString());
      String token = page.body().replaceAll("(?s).*name=\"_csrf\" value=\"([^\"]+)\".*", "$1");
      java.util.List<String> ways = new java.util.ArrayList<>();
      for (String path : new String[] {"/log-in", "/%6Cog-in", "/log-in", "/%6Cog-in"}) {
        String body = "username=maker&password=guess&_csrf=" + token;
        var answer =
            client.send(
                HttpRequest.newBuilder(URI.create(locked.url() + path))
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(HttpRequest.BodyPublishers.ofString(body))
                    .build(),
                HttpResponse.BodyHandlers.ofString());
        ways.add(answer.headers().firstValue("Location").orElse("" + answer.statusCode()));
      }
      assertThat(ways.get(0)).endsWith("?wrong");
      assertThat(ways.subList(1, 4)).noneMatch(w -> w.endsWith("?wrong"));
      assertThat(ways.get(2)).endsWith("?wait");
    } finally {
      locked.close();
    }
  }

  @Test
  void theAddressOfFaultsAnswersWithAPage() {
    var answer = http.get("/error", "Accept", "text/html");
    assertThat(answer.body()).contains("There is no page at this address", "Nine Veils");
    assertThat(answer.body()).doesNotContain("Exception");
  }
}
