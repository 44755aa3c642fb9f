package org.nineveils.app.base.jobs;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.util.FileSystemUtils;

/** A folder for each job, in the data folder, so that results outlive a restart. */
public class JobFolders {
  private static final Logger LOG = LoggerFactory.getLogger(JobFolders.class);
  private final Path root;

  public JobFolders(Path root) {
    this.root = root;
  }

  Path of(long id) {
    return root.resolve(String.valueOf(id));
  }

  Path made(long id) {
    try {
      return Files.createDirectories(of(id));
    } catch (IOException e) {
      throw new UncheckedIOException("the folder of a job cannot be made", e);
    }
  }

  void remove(long id) {
    try {
      FileSystemUtils.deleteRecursively(of(id));
    } catch (IOException e) {
      LOG.warn("the folder of job {} stays", id, e);
    }
  }
}
