package org.nineveils.app.order.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.leaving.collections.CollectionService;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.EffectTags;
import org.nineveils.app.making.kits.Marks;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.making.kits.ShownOn;
import org.nineveils.app.making.swatches.Swatches;
import org.nineveils.app.order.rack.Pieces;
import org.nineveils.app.proof.sheet.Summaries;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Mark;
import org.nineveils.kit.Query;
import org.nineveils.name.Names;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The page of the search, and what it finds. */
@Controller
class FindController {
  /** Most effects that are shown at once. */
  private static final int MOST = 240;

  private final FindService finding;
  private final SavedSearches saved;
  private final EffectService effects;
  private final EffectTags tags;
  private final Marks marks;
  private final ShownOn shown;
  private final Summaries summaries;
  private final Pieces pieces;
  private final Swatches swatches;
  private final CollectionService collections;
  private final Journal journal;

  FindController(
      FindService finding,
      SavedSearches saved,
      EffectService effects,
      EffectTags tags,
      Marks marks,
      ShownOn shown,
      Summaries summaries,
      Pieces pieces,
      Swatches swatches,
      CollectionService collections,
      Journal journal) {
    this.finding = finding;
    this.saved = saved;
    this.effects = effects;
    this.tags = tags;
    this.marks = marks;
    this.shown = shown;
    this.summaries = summaries;
    this.pieces = pieces;
    this.swatches = swatches;
    this.collections = collections;
    this.journal = journal;
  }

  @GetMapping("/find")
  String page(@RequestParam(name = "q", defaultValue = "") String typed, Model model) {
    Map<String, Object> state = found(typed);
    Query.Known known = finding.known();
    state.put("phrases", Stream.of(Query.Is.values()).map(Query.Is::phrase).toList());
    state.put("kinds", List.copyOf(known.kinds().values()));
    state.put("tags", known.tags());
    state.put("saved", searches());
    model.addAttribute("data", Json.write(state));
    model.addAttribute("typed", typed);
    model.addAttribute("undo", Undo.of(journal, SavedSearches.SCOPE));
    return "order/find/find";
  }

  /** What is found: kits with effects as they hang on a rack, swatches, collections. */
  @GetMapping("/api/find")
  @ResponseBody
  Map<String, Object> found(@RequestParam(name = "q", defaultValue = "") String typed) {
    Query query = Query.parse(typed, finding.known());
    boolean asked = !query.words().isEmpty() || query.asksForFacts();
    List<FindService.Found> found = asked ? finding.find(query) : List.of();
    int left = MOST;
    List<Object> kits = new ArrayList<>();
    for (FindService.Found kit : found) {
      if (left > 0) {
        kits.add(kit(kit, left));
      }
      left -= kit.effects().size();
    }
    return Json.object(
        "q",
        typed,
        "asked",
        asked,
        "count",
        found.stream().mapToInt(f -> f.effects().size()).sum(),
        "kits",
        kits,
        "more",
        Math.max(0, -left),
        "swatches",
        query.asksForFacts() || !asked ? List.of() : swatches(query),
        "collections",
        query.asksForFacts() || !asked ? List.of() : collections(query));
  }

  private Map<String, Object> kit(FindService.Found found, int most) {
    Rows.Kit kit = found.kit();
    Map<Long, String> docs = effects.docs(kit.id());
    Map<Long, Summaries.Summary> proofs = summaries.of(kit.id());
    Map<Long, List<String>> tagged = tags.inKit(kit.id());
    Map<Long, Mark> marked = marks.ofEffects(kit.id());
    return Json.object(
        "id", kit.id(),
        "name", kit.name(),
        "photo", shown.cover(kit.id()),
        "effects",
            found.effects().stream()
                .limit(most)
                .map(
                    head -> {
                      Map<String, Object> piece =
                          pieces.of(
                              head,
                              docs.get(head.id()),
                              proofs.getOrDefault(head.id(), Summaries.NONE));
                      piece.put("tags", tagged.getOrDefault(head.id(), List.of()));
                      piece.put("variantOf", "");
                      Mark mark = marked.get(head.id());
                      piece.put(
                          "mark",
                          mark == null
                              ? null
                              : Json.object("sign", mark.sign(), "word", mark.word()));
                      return piece;
                    })
                .toList());
  }

  private List<Object> swatches(Query query) {
    return swatches.named().stream()
        .filter(s -> holds(s.name() + " " + s.mark() + " " + s.kind(), query))
        .<Object>map(s -> Json.object("name", s.name(), "mark", s.mark(), "kind", s.kind()))
        .toList();
  }

  private List<Object> collections(Query query) {
    return collections.named().stream()
        .filter(c -> holds(c.name() + " " + c.notes(), query))
        .<Object>map(c -> Json.object("id", c.id(), "name", c.name(), "version", c.version()))
        .toList();
  }

  /** Whether every word begins a word of the text. */
  private static boolean holds(String text, Query query) {
    String spaced = " " + Names.key(text).replaceAll("[^\\p{L}\\p{N}]+", " ");
    return query.words().stream().allMatch(word -> spaced.contains(" " + word));
  }

  private List<Object> searches() {
    return saved.all().stream()
        .<Object>map(s -> Json.object("id", s.id(), "name", s.name(), "q", s.query()))
        .toList();
  }

  /** Keeps a search: takes name and q. */
  @PostMapping("/api/find/saved")
  @ResponseBody
  Map<String, Object> save(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    saved.save(f.text("name"), f.text("q"));
    return Json.object("saved", searches());
  }

  @DeleteMapping("/api/find/saved/{id}")
  @ResponseBody
  Map<String, Object> remove(@PathVariable("id") long id) {
    saved.remove(id);
    return Json.object("saved", searches());
  }

  @PostMapping("/api/find/undo")
  @ResponseBody
  Map<String, Object> undo(Steps steps) {
    return Undo.run(journal, SavedSearches.SCOPE, steps);
  }
}
