package org.nineveils.app.proof.searches;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** Runs searches as jobs; what one finds is the job's result, as JSON. */
@Service
public class Searches implements JobKind {
  private static final String ID = "proof-search";
  private static final String SEARCH = "search";

  private final Map<String, Search> all = new LinkedHashMap<>();
  private final Jobs jobs;

  Searches(List<Search> searches, Jobs jobs) {
    searches.forEach(s -> all.put(s.id(), s));
    this.jobs = jobs;
  }

  /**
   * Starts one.
   *
   * @param request names the search, and what it is about
   * @throws Refusal with a sentence if there is no such search, or nothing to search
   */
  public Job start(Fields request) {
    Search search = of(request);
    String subject = "search:" + search.id();
    return jobs.start(ID, subject, search.title(request), Json.write(request.raw()));
  }

  private Search of(Fields request) {
    String id = request.text(SEARCH);
    Search search = all.get(id);
    if (search == null) {
      throw new Refusal("There is no search “%s” in proofs.".formatted(id));
    }
    return search;
  }

  @Override
  public Nature nature() {
    return new Nature(ID, Turn.PATIENT, Restart.CUT_OFF);
  }

  @Override
  public void run(JobRun run) throws IOException {
    Fields request = run.request();
    Object found = of(request).find(run, request);
    String file = "found.json";
    Files.writeString(run.folder().resolve(file), Json.write(found), StandardCharsets.UTF_8);
    run.result(file, request.text(SEARCH) + ".json");
  }
}
