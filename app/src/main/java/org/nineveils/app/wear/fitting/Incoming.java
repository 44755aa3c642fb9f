package org.nineveils.app.wear.fitting;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.nineveils.app.base.data.DataFolder;
import org.nineveils.app.base.data.Room;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.refusal.Refusal;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/**
 * Files that are on their way into a batch: taken in one by one, moved into its job when it begins.
 */
@Component
class Incoming {
  /** Folder within the data folder. */
  static final String FOLDER = "incoming";

  private final Path folder;

  Incoming(Environment environment) {
    this.folder = DataFolder.path(environment).resolve(FOLDER);
  }

  /** Takes a file in without holding it in memory. @return its name here */
  String take(MultipartFile in) throws IOException {
    String token = UUID.randomUUID().toString();
    Room.check(folder, in.getSize());
    Files.createDirectories(folder);
    Path file = folder.resolve(token);
    try {
      in.transferTo(file);
    } catch (IOException e) {
      Files.deleteIfExists(file);
      throw e;
    }
    return token;
  }

  void moveTo(String token, Path other) throws IOException {
    if (!token.matches("[0-9a-f-]{36}")) {
      throw new Refusal("That is no name of a file that was taken in.");
    }
    if (!Files.exists(folder.resolve(token))) {
      throw new NotFound("A file of this batch is no longer here; choose the files again.");
    }
    Files.move(folder.resolve(token), other.resolve(token));
  }
}
