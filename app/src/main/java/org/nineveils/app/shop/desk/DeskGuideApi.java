package org.nineveils.app.shop.desk;

import java.util.Map;
import org.nineveils.app.leaving.guides.GuideJobs;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Guides and contact sheets of releases at the desk. */
@RestController
class DeskGuideApi {
  private final DeskService desk;
  private final GuideJobs guides;

  DeskGuideApi(DeskService desk, GuideJobs guides) {
    this.desk = desk;
    this.guides = guides;
  }

  /** Starts making one. */
  @PostMapping("/api/desk/{id}/guide")
  Map<String, Object> guide(@PathVariable("id") long id, @RequestParam("format") String format) {
    DeskRow row = desk.get(id);
    return Map.of("job", guides.start(row.sha(), row.called(), format).shown());
  }
}
