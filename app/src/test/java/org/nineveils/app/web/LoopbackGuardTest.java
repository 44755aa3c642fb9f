package org.nineveils.app.web;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import org.junit.jupiter.api.Test;
import org.nineveils.app.start.CannotStart;
import org.springframework.mock.env.MockEnvironment;

class LoopbackGuardTest {
  private static LoopbackGuard guard(String address, String password) throws Exception {
    return new LoopbackGuard(InetAddress.getByName(address), password(password));
  }

  private static Password password(String value) {
    MockEnvironment environment = new MockEnvironment();
    return new Password(environment.withProperty(Password.PROPERTY, value));
  }

  @Test
  void withoutAPasswordOnlyTheLoopbackIsListenedOn() throws Exception {
    assertThatThrownBy(() -> guard("0.0.0.0", "").customize(null))
        .isInstanceOf(CannotStart.class)
        .hasMessageContaining("NINEVEILS_PASSWORD");
    LoopbackGuard loopback = guard("127.0.0.1", "");
    assertThatCode(() -> loopback.customize(null)).doesNotThrowAnyException();
    LoopbackGuard open = guard("0.0.0.0", "long enough");
    assertThatCode(() -> open.customize(null)).doesNotThrowAnyException();
  }
}
