package org.nineveils.app.testing;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.nineveils.app.App;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * The application as browser tests drive it: on a free port of the loopback, with a data folder of
 * its own. One instance with the demo, one without, and one browser serve all tests of a run.
 */
public final class RunningApp implements AutoCloseable {
  private static final List<String> FLAGS =
      List.of(
          "--no-sandbox",
          "--disable-gpu",
          "--disable-quic",
          "--no-first-run",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync");

  private static RunningApp withDemo;
  private static RunningApp empty;
  private static Browser browser;

  private final Path data;
  private final ConfigurableApplicationContext context;
  private BrowserContext session;

  private RunningApp(String demo, String... more) {
    this(temporary(), 0, demo, more);
  }

  private static Path temporary() {
    try {
      return Files.createTempDirectory("nine-veils-test-");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private RunningApp(Path data, int port, String demo, String... more) {
    this.data = data;
    List<String> arguments = new ArrayList<>(List.of("--server.port=" + port));
    arguments.add("--nineveils.data=" + data);
    arguments.add("--nineveils.demo=" + demo);
    arguments.add("--nineveils.daily-copies=false");
    arguments.add("--nineveils.warming=false");
    arguments.addAll(List.of(more));
    context = new SpringApplicationBuilder(App.class).run(arguments.toArray(new String[0]));
  }

  /** The instance that holds the demo. */
  public static synchronized RunningApp demo() {
    if (withDemo == null) {
      withDemo = new RunningApp("../demo");
    }
    return withDemo;
  }

  /** The instance that started with nothing; tests add what they need. */
  public static synchronized RunningApp empty() {
    if (empty == null) {
      empty = new RunningApp("");
    }
    return empty;
  }

  /** An instance that asks for a password; the caller closes it. */
  public static RunningApp withPassword(String password) {
    return new RunningApp("", "--nineveils.password=" + password);
  }

  /** An instance of its own on a folder and a port; 0 takes a free one. The caller closes it. */
  public static RunningApp on(Path data, int port, String... more) {
    return new RunningApp(data, port, "", more);
  }

  public int port() {
    return Integer.parseInt(context.getEnvironment().getProperty("local.server.port"));
  }

  @Override
  public void close() {
    if (session != null && session.pages().isEmpty()) {
      session.close();
    }
    session = null; // a page that outlives the instance closes it when it is put away
    context.close();
  }

  public String url() {
    return "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
  }

  /** Takes all off that photos wear of a wardrobe, for tests share this instance and its photos. */
  public void takeAllOff(String wardrobe) {
    context
        .getBean(JdbcClient.class)
        .sql("delete from fitting where wardrobe = ?")
        .param(wardrobe)
        .update();
  }

  public Path data() {
    return data;
  }

  /**
   * A page of 1280×800 that nobody has used; what goes wrong on it is collected. Scripts and styles
   * that an earlier page of this instance has loaded are still known to the browser.
   */
  public ObservedPage page() {
    boolean isFree = session == null || session.pages().isEmpty();
    BrowserContext of = isFree && session != null ? session : context();
    session = isFree ? of : session;
    Page page = of.newPage();
    if (isFree) {
      forget(page);
    }
    List<String> faults = new ArrayList<>();
    page.onPageError(faults::add);
    page.onConsoleMessage(
        m -> {
          if (m.type().equals("error")) {
            faults.add(m.text() + " at " + m.location());
          }
        });
    return new ObservedPage(page, faults, () -> put(of));
  }

  private BrowserContext context() {
    return browser()
        .newContext(new Browser.NewContextOptions().setViewportSize(1280, 800).setBaseURL(url()));
  }

  /** Whatever pages before it have stored. */
  private void forget(Page page) {
    JsonObject what = new JsonObject();
    what.addProperty("origin", url());
    what.addProperty("storageTypes", "cookies,local_storage,indexeddb");
    CDPSession told = page.context().newCDPSession(page);
    told.send("Storage.clearDataForOrigin", what);
    told.detach();
  }

  /** Closes all pages of a context, and the context too where it is not the one that stays. */
  private void put(BrowserContext of) {
    if (of == session) {
      List.copyOf(of.pages()).forEach(Page::close);
    } else {
      of.close();
    }
  }

  /**
   * A page and the script errors seen on it.
   *
   * @param away puts it away, with pages that were opened beside it
   */
  public record ObservedPage(Page page, List<String> faults, Runnable away)
      implements AutoCloseable {
    /** Put away once the test has ended, so that one that failed can still be looked at. */
    @Override
    public void close() {
      LeftPages.leave(this);
    }
  }

  private static synchronized Browser browser() {
    if (browser == null) {
      String path = System.getenv().getOrDefault("NINEVEILS_CHROMIUM", "/usr/bin/chromium");
      System.setProperty("playwright.nodejs.path", node());
      Playwright playwright =
          Playwright.create(
              new Playwright.CreateOptions()
                  .setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
      browser =
          playwright
              .chromium()
              .launch(
                  new BrowserType.LaunchOptions()
                      .setExecutablePath(Path.of(path))
                      .setHeadless(true)
                      .setArgs(FLAGS));
    }
    return browser;
  }

  /** Node as the build uses it: the driver of the browser is a script. */
  private static String node() {
    return Stream.of(System.getenv("PATH").split(File.pathSeparator))
        .map(folder -> Path.of(folder, "node"))
        .filter(Files::isExecutable)
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("the browser tests need Node"))
        .toString();
  }
}
