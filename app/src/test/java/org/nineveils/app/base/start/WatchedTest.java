package org.nineveils.app.base.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The launcher, with a stand-in for the application that notes each of its starts. */
class WatchedTest {
  private static final Path LAUNCHER = Path.of("../scripts/watched");

  @TempDir Path folder;

  private record Ended(int status, String said) {}

  private Process start(String application) throws IOException {
    Path script =
        Files.writeString(
            folder.resolve("application"),
            "cd '%s'\necho \"start ${NINEVEILS_STARTED_AGAIN:-first}\" >> starts\nn=$(wc -l < starts)\n%s\n"
                .formatted(folder, application));
    ProcessBuilder launcher =
        new ProcessBuilder(
            "bash", LAUNCHER.toString(), folder.toString(), "bash", script.toString());
    launcher.environment().put("NINEVEILS_WATCH_EVERY", "0.1");
    launcher.environment().put("NINEVEILS_WATCH_MOST", "6");
    return launcher.redirectErrorStream(true).start();
  }

  private static Ended ended(Process process) throws Exception {
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    return new Ended(process.exitValue(), said.strip());
  }

  private List<String> starts() throws IOException {
    return Files.readAllLines(folder.resolve("starts"));
  }

  @Test
  void anEndThatWasMeantIsTheEnd() throws Exception {
    assertThat(ended(start("exit 3"))).isEqualTo(new Ended(3, ""));
    assertThat(starts()).hasSize(1);
  }

  @Test
  void whereItEndsItselfForWantOfMemoryItIsStartedAgain() throws Exception {
    int again = LastResort.START_AGAIN;
    Ended ended = ended(start("[ $n -lt 3 ] && exit %d; exit 0".formatted(again)));
    assertThat(ended.status()).isZero();
    assertThat(starts()).hasSize(3);
    assertThat(starts())
        .as("a restore, for one, is asked for once")
        .containsExactly("start first", "start yes", "start yes");
    assertThat(ended.said().lines()).hasSize(2).allMatch("Nine Veils is started again."::equals);
  }

  /** Nothing runs any more in a heap that is full, so that nothing within it can tell. */
  @Test
  void whereItStandsStillItIsEndedAndStartedAgain() throws Exception {
    Ended ended = ended(start("[ $n -gt 1 ] && exit 0; touch heartbeat; exec sleep 1000"));
    assertThat(ended.status()).isZero();
    assertThat(starts()).hasSize(2);
    assertThat(ended.said()).contains("stands still", "what was saved is safe", "started again");
  }

  @Test
  void oneThatEndsItselfAgainAndAgainIsLeft() throws Exception {
    Ended ended = ended(start("exit %d".formatted(LastResort.START_AGAIN)));
    assertThat(ended.status()).isEqualTo(1);
    assertThat(starts()).hasSize(6);
    assertThat(ended.said()).contains("five times within ten minutes");
  }

  @Test
  void whoeverEndsTheLauncherEndsTheApplicationInOrder() throws Exception {
    Process launcher =
        start(
            "trap 'echo ended > orderly; exit 0' TERM; while :; do touch heartbeat; sleep 0.1; done");
    while (!Files.exists(folder.resolve("heartbeat"))) {
      Thread.onSpinWait();
    }
    launcher.toHandle().destroy(); // as kill does; its words are still read
    ended(launcher);
    assertThat(folder.resolve("orderly")).exists();
    assertThat(starts()).hasSize(1);
  }

  @Test
  void onlyThreadsByWhichItIsReachedAreVital() {
    assertThat(LastResort.isVital("http-nio-127.0.0.1-8377-Poller")).isTrue();
    assertThat(LastResort.isVital("http-nio-127.0.0.1-8377-Acceptor")).isTrue();
    assertThat(LastResort.isVital("http-nio-127.0.0.1-8377-exec-3")).isFalse();
  }
}
