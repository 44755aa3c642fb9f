package org.nineveils.app.base.web;

import java.util.Locale;
import java.util.Map;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The log-in, and a token that is good now for pages that were open for long. */
@Controller
class LogInController {
  private final WrongPasswords wrongPasswords;

  LogInController(WrongPasswords wrongPasswords) {
    this.wrongPasswords = wrongPasswords;
  }

  @GetMapping(SecurityConfig.LOG_IN)
  String logIn(
      @RequestParam(name = "wrong", required = false) String wrong,
      @RequestParam(name = "wait", required = false) String wait,
      Model model) {
    long seconds = wrongPasswords.secondsLeft();
    String said = "";
    if (wrong != null) {
      said = "This is not the password.";
    } else if (wait != null && seconds > 0) {
      said =
          String.format(
              Locale.ROOT, "After a wrong password the next one is looked at in %d s.", seconds);
    }
    model.addAttribute("said", said);
    return "base/web/log-in";
  }

  @GetMapping("/api/token")
  @ResponseBody
  Map<String, Object> token(CsrfToken token) {
    return Map.of("token", token.getToken());
  }
}
