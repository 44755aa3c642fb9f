package org.nineveils.app.base.jobs;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.springframework.core.io.FileSystemResource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.MediaTypeFactory;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The page of jobs, how far they are, stopping them, and their results. */
@Controller
class JobsController {
  private final Jobs jobs;

  JobsController(Jobs jobs) {
    this.jobs = jobs;
  }

  @GetMapping("/jobs")
  String page() {
    return "base/jobs/jobs";
  }

  /** Jobs that wait or run; with “all” also those that have ended, the newest first. */
  @GetMapping("/api/jobs")
  @ResponseBody
  Map<String, Object> list(@RequestParam(name = "all", defaultValue = "false") boolean all) {
    List<Job> list = all ? jobs.newest() : jobs.open();
    return Map.of("jobs", list.stream().map(Job::shown).toList());
  }

  @GetMapping("/api/jobs/{id}")
  @ResponseBody
  Map<String, Object> one(@PathVariable("id") long id) {
    return jobs.get(id).shown();
  }

  @PostMapping("/api/jobs/{id}/stop")
  @ResponseBody
  Map<String, Object> stop(@PathVariable("id") long id) {
    jobs.get(id);
    jobs.stop(id);
    return jobs.get(id).shown();
  }

  @GetMapping("/jobs/{id}/result")
  ResponseEntity<FileSystemResource> result(@PathVariable("id") long id) {
    Job job = jobs.get(id);
    Path file = jobs.result(job);
    MediaType type =
        MediaTypeFactory.getMediaType(job.fileName()).orElse(MediaType.APPLICATION_OCTET_STREAM);
    ContentDisposition as =
        ContentDisposition.attachment().filename(job.fileName(), StandardCharsets.UTF_8).build();
    return ResponseEntity.ok()
        .contentType(type)
        .header(HttpHeaders.CONTENT_DISPOSITION, as.toString())
        .cacheControl(CacheControl.noStore())
        .body(new FileSystemResource(file));
  }
}
