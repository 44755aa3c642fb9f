package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.nineveils.app.base.start.CannotStart;
import org.springframework.mock.env.MockEnvironment;

class LoopbackGuardTest {
  private static LoopbackGuard guard(String address, String password) {
    return new LoopbackGuard(address, "8377", password(password));
  }

  private static Password password(String value) {
    MockEnvironment environment = new MockEnvironment();
    return new Password(environment.withProperty(Password.PROPERTY, value));
  }

  @Test
  void withoutAPasswordOnlyTheLoopbackIsListenedOn() {
    assertThatThrownBy(() -> guard("0.0.0.0", "").customize(null))
        .isInstanceOf(CannotStart.class)
        .hasMessageContaining("NINEVEILS_PASSWORD");
    LoopbackGuard loopback = guard("127.0.0.1", "");
    assertThatCode(() -> loopback.customize(null)).doesNotThrowAnyException();
    LoopbackGuard open = guard("0.0.0.0", "long enough");
    assertThatCode(() -> open.customize(null)).doesNotThrowAnyException();
  }

  @Test
  void whatIsNoPortNoAddressOrNoPasswordIsSaidInASentence() {
    assertThatThrownBy(() -> new LoopbackGuard("127.0.0.1", "70000", password("")).customize(null))
        .isInstanceOf(CannotStart.class)
        .hasMessageContaining("NINEVEILS_PORT is 70000");
    assertThatThrownBy(() -> guard("no.such.address.invalid", ""))
        .isInstanceOf(CannotStart.class)
        .hasMessageContaining("NINEVEILS_ADDRESS is “no.such.address.invalid”");
    assertThatThrownBy(() -> guard("127.0.0.1", " "))
        .isInstanceOf(CannotStart.class)
        .hasMessageContaining("is blank");
  }
}
