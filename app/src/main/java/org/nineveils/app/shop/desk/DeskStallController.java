package org.nineveils.app.shop.desk;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.shop.stall.OutJson;
import org.nineveils.app.shop.stall.StallService;
import org.nineveils.document.Json;
import org.nineveils.release.code.StallCode;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** The stall as it is seen from the desk: what can be fetched, and what of it is here already. */
@Controller
class DeskStallController {
  private final StallService stall;
  private final DeskService desk;

  DeskStallController(StallService stall, DeskService desk) {
    this.stall = stall;
    this.desk = desk;
  }

  /**
   * What can be fetched.
   *
   * @param here the version that is at the desk; empty for none
   */
  record Line(StallService.Out out, String here) {}

  private List<Line> lines(List<StallService.Out> all) {
    Map<String, String> here = new HashMap<>();
    desk.all().stream()
        .filter(row -> !row.code().isEmpty())
        .forEach(row -> here.put(row.code(), row.version()));
    return all.stream()
        .map(o -> new Line(o, here.getOrDefault(StallCode.parse(o.code()).letters(), "")))
        .toList();
  }

  @GetMapping("/desk/stall")
  String all(Model model) {
    model.addAttribute("lines", lines(stall.out()));
    return "shop/desk/stall";
  }

  /** What can be fetched from the other house; asked for by the page, which does not wait. */
  @GetMapping("/api/desk/stall/elsewhere")
  @ResponseBody
  Map<String, Object> elsewhere() {
    return Json.object(
        "out", lines(stall.outElsewhere()).stream().map(DeskStallController::one).toList());
  }

  private static Map<String, Object> one(Line line) {
    Map<String, Object> out = OutJson.one(line.out());
    out.put("here", line.here());
    return out;
  }
}
