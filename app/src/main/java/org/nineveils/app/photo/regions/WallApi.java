package org.nineveils.app.photo.regions;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.photos.Tags;
import org.nineveils.document.Json;
import org.nineveils.proof.measure.PhotoFacts;
import org.nineveils.proof.measure.SkinDepth;
import org.nineveils.region.WallGaps;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the photos of the wall are, as measured, and what the wall lacks. */
@RestController
class WallApi {
  private static final String FUR = "fur";

  /** How long an answer waits for photos that were not measured before. */
  private static final Duration MOMENT = Duration.ofMillis(600);

  private final PhotoService photos;
  private final WallFacts facts;
  private final Tags tags;

  WallApi(PhotoService photos, WallFacts facts, Tags tags) {
    this.photos = photos;
    this.facts = facts;
    this.tags = tags;
  }

  /** As far as it is known after a moment; asked again it is more, until it is whole. */
  @GetMapping("/api/wall")
  Map<String, Object> wall() {
    List<Photo> wall = photos.all(Side.WALL);
    Map<Long, PhotoFacts> known = facts.all(wall, MOMENT);
    Map<Long, List<String>> tagged = tags.all();
    Map<String, Object> lines = new LinkedHashMap<>();
    List<WallGaps.Held> held = new ArrayList<>();
    known.forEach(
        (id, one) -> {
          lines.put(
              String.valueOf(id),
              List.of(Facts.line(one), subject(one), one.lightness(), depth(one)));
          held.add(new WallGaps.Held(subject(one), tagged.getOrDefault(id, List.of())));
        });
    WallGaps gaps = WallGaps.of(subjects(), held);
    return Json.object(
        "lines", lines,
        "whole", known.size() == wall.size(),
        "subjects", gaps.subjects(),
        "lights", gaps.lights(),
        "counts", gaps.counts(),
        "missed", gaps.mostMissed());
  }

  private static List<String> subjects() {
    return Stream.concat(Stream.of(SkinDepth.values()).map(WallApi::named), Stream.of(FUR))
        .toList();
  }

  private static String named(SkinDepth depth) {
    return depth.word() + " skin";
  }

  /** Skin before fur; empty where neither can be told. */
  private static String subject(PhotoFacts facts) {
    return facts.depth().map(WallApi::named).orElse(facts.fur() ? FUR : "");
  }

  /** The typology angle, for ordering; beyond all angles where there is none. */
  private static double depth(PhotoFacts facts) {
    return facts.depth().isPresent() ? SkinDepth.angle(facts.skin()) : -100;
  }
}
