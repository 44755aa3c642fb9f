package org.nineveils.app.house.workspace;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.nineveils.app.base.fault.Faults;
import org.nineveils.app.base.start.CannotStart;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** ./nv backup: one file of a folder that no application runs on. */
@Component
class BackupCommand implements ApplicationRunner {
  private final Backups backups;
  private final String file;
  private final boolean photos;

  BackupCommand(
      Backups backups,
      @Value("${nineveils.backup:}") String file,
      @Value("${nineveils.backup-photos:true}") boolean photos) {
    this.backups = backups;
    this.file = file;
    this.photos = photos;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    if (file.isEmpty()) {
      return;
    }
    Path to = Path.of(file);
    if (Files.exists(to)) {
      throw new CannotStart("There is a file %s already; it was not overwritten.".formatted(to));
    }
    try {
      System.out.println(backups.write(to, photos).words());
    } catch (IOException | RuntimeException e) {
      String machine = Faults.sentence(e);
      String why = machine.isEmpty() ? "it could not be written or read back" : machine;
      throw new CannotStart(
          "There is no backup: %s. Nothing of it was left.".formatted(why.replaceFirst("\\.$", "")),
          e);
    }
  }
}
