package org.nineveils.app.leaving.guides;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.guide.GuideFormat;
import org.nineveils.guide.Guides;
import org.nineveils.name.Names;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.springframework.stereotype.Service;

/** Makes a guide or a contact sheet of a release file that is kept here. */
@Service
public class GuideJobs implements JobKind {
  private static final String ID = "guide";

  private final Blobs blobs;
  private final Jobs jobs;

  GuideJobs(Blobs blobs, Jobs jobs) {
    this.blobs = blobs;
    this.jobs = jobs;
  }

  /**
   * Starts it.
   *
   * @param sha of the release file
   * @param called name and version of the release
   * @param format id of a {@link GuideFormat}
   * @throws org.nineveils.refusal.Refusal with a sentence if there is no such format
   */
  public Job start(String sha, String called, String format) {
    String label = GuideFormat.ofId(format).label();
    return jobs.start(
        ID, "release:" + sha, "%s: %s".formatted(called, label), new Asked(sha, format));
  }

  private record Asked(String sha, String format) {}

  @Override
  public Nature nature() {
    return new Nature(ID, Turn.PATIENT, Restart.GOES_ON);
  }

  @Override
  public void run(JobRun run) throws IOException {
    Asked asked = run.asked(Asked.class);
    GuideFormat format = GuideFormat.ofId(asked.format());
    Release release = ReleaseReader.read(blobs.get(asked.sha()), "The release");
    run.total(1, 0);
    try (OutputStream out = Files.newOutputStream(run.folder().resolve(format.file()))) {
      Guides.write(release, format, out);
    }
    String name =
        "%s-%s-%s".formatted(Names.slug(release.name()), release.version(), format.file());
    run.result(format.file(), name);
    run.said("%s is ready.".formatted(format.label()));
  }
}
