package org.nineveils.app.testing;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterTestExecutionCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Pages that a test has left. Where it failed, a picture of each and what went wrong on it are laid
 * into {@code target/failed}; then they are closed. JUnit finds this by its list of services.
 */
public final class LeftPages implements AfterTestExecutionCallback, AfterAllCallback {
  private static final Path FAILED = Path.of("target/failed");
  private static final List<RunningApp.ObservedPage> LEFT = new ArrayList<>();

  static void leave(RunningApp.ObservedPage page) {
    LEFT.add(page);
  }

  @Override
  public void afterTestExecution(ExtensionContext test) throws IOException {
    if (test.getExecutionException().isPresent()) {
      for (int i = 0; i < LEFT.size(); i++) {
        String name = test.getRequiredTestClass().getSimpleName() + "-" + test.getDisplayName();
        keep(LEFT.get(i), name.replaceAll("[^A-Za-z0-9-]+", "_") + "-" + i);
      }
    }
    close();
  }

  @Override
  public void afterAll(ExtensionContext test) {
    close();
  }

  private static void keep(RunningApp.ObservedPage observed, String name) throws IOException {
    Files.createDirectories(FAILED);
    try {
      Page.ScreenshotOptions to = new Page.ScreenshotOptions();
      observed.page().screenshot(to.setPath(FAILED.resolve(name + ".png")));
      String said = observed.page().url() + "\n" + String.join("\n", observed.faults()) + "\n";
      Files.writeString(FAILED.resolve(name + ".txt"), said);
    } catch (PlaywrightException e) {
      Files.writeString(FAILED.resolve(name + ".txt"), "no picture: " + e.getMessage());
    }
  }

  private static void close() {
    LEFT.forEach(left -> left.away().run());
    LEFT.clear();
  }
}
