package org.nineveils.app.house.workspace;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** ./nv tidy: tidies a folder that no application runs on, or tells what would go. */
@Component
class TidyCommand implements ApplicationRunner {
  private final Tidy tidy;
  private final String how;

  TidyCommand(Tidy tidy, @Value("${nineveils.tidy:}") String how) {
    this.tidy = tidy;
    this.how = how;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    if (how.equals("look")) {
      tidy.look().forEach(n -> System.out.println(n.words()));
    } else if (how.equals("do")) {
      System.out.println(tidy.tidy());
    }
  }
}
