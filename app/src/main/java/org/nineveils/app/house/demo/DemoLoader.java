package org.nineveils.app.house.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.leaving.collections.CollectionDoc;
import org.nineveils.app.leaving.collections.CollectionService;
import org.nineveils.app.making.bench.BenchService;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.ShownOn;
import org.nineveils.app.making.maker.MakersMark;
import org.nineveils.app.making.swatches.Swatches;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.photos.Tags;
import org.nineveils.app.photo.regions.RegionService;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.LimitsJson;
import org.nineveils.document.PaintJson;
import org.nineveils.kit.StackingRule;
import org.nineveils.region.Regions;
import org.nineveils.veil.Veil;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Fills an empty data folder with the made-up scenario of a demo folder: {@code demo.json} beside
 * the photos that it names. Does nothing where there is anything already.
 */
@Component
class DemoLoader implements SmartInitializingSingleton {
  private final Path folder;
  private final Journal journal;
  private final PhotoService photos;
  private final RegionService regions;
  private final Tags tags;
  private final KitService kits;
  private final ShownOn shown;
  private final EffectService effects;
  private final BenchService bench;
  private final CollectionService collections;
  private final Swatches swatches;
  private final Judging judging;
  private final MakersMark mark;
  private final Map<String, Long> effectIds = new HashMap<>();

  DemoLoader(
      @Value("${nineveils.demo}") String folder,
      Journal journal,
      PhotoService photos,
      RegionService regions,
      Tags tags,
      KitService kits,
      ShownOn shown,
      EffectService effects,
      BenchService bench,
      CollectionService collections,
      Swatches swatches,
      Judging judging,
      MakersMark mark) {
    this.folder = folder.isEmpty() ? null : Path.of(folder);
    this.journal = journal;
    this.photos = photos;
    this.regions = regions;
    this.tags = tags;
    this.kits = kits;
    this.shown = shown;
    this.effects = effects;
    this.bench = bench;
    this.collections = collections;
    this.swatches = swatches;
    this.judging = judging;
    this.mark = mark;
  }

  /** Before the web server listens, so that nobody sees half of it. */
  @Override
  public void afterSingletonsInstantiated() {
    boolean empty = kits.kits().isEmpty() && photos.all(Side.WALL).isEmpty();
    if (folder != null && empty) {
      String text = new String(bytes("demo.json"), StandardCharsets.UTF_8);
      journal.quietly(
          () -> {
            load(Json.read(text, "The demo"));
            journal.forgetAll();
            return null;
          });
    }
  }

  private void load(Fields demo) {
    Map<String, Long> photoIds = new HashMap<>();
    demo.objects("photos", photo -> photoIds.put(photo.text("name"), addPhoto(photo)));
    Map<String, Long> kitIds = new HashMap<>();
    demo.objects("kits", kit -> kitIds.put(kit.text("name"), addKit(kit, photoIds)));
    mark.set(demo.text("makersMark"));
    demo.objects("swatches", this::addSwatch);
    demo.objects("collections", collection -> addCollection(collection, kitIds, photoIds));
  }

  private long addPhoto(Fields f) {
    String file = f.text("file");
    long id = photos.add(Side.WALL, file, bytes("photos/" + file)).id();
    photos.rename(id, f.text("name"));
    addRegions(id, file.substring(0, file.lastIndexOf('.')));
    f.texts("tags").forEach(tag -> tags.tag(List.of(id), tag, true));
    return id;
  }

  /** Grey pictures in a folder of the photo's name, each called after what it shows. */
  private void addRegions(long photo, String name) {
    for (String region : Regions.all()) {
      String file = "regions/%s/%s.png".formatted(name, region.replace(' ', '-'));
      if (Files.exists(folder.resolve(file))) {
        regions.add(photo, region, file.substring(file.lastIndexOf('/') + 1), bytes(file));
      }
    }
  }

  private long addKit(Fields f, Map<String, Long> photoIds) {
    long id = kits.addKit(f.text("name"), f.text("purpose"));
    kits.sections(id).forEach(section -> kits.removeSection(section.id()));
    f.objects("sections", section -> addSection(id, section, photoIds));
    f.texts("shownOn").forEach(photo -> shown.show(id, photoIds.get(photo), true));
    long cover = photoIds.get(f.texts("shownOn").get(0));
    shown.setCover(id, cover);
    shown.photos(id).stream()
        .filter(p -> !f.texts("shownOn").contains(p.name()))
        .forEach(p -> shown.show(id, p.id(), false)); // the first of the wall, where it is none
    return id;
  }

  private Void addSection(long kit, Fields f, Map<String, Long> photoIds) {
    long id = kits.addSection(kit, f.text("name"), StackingRule.ofId(f.text("rule")));
    if (f.has("limits")) {
      judging.setLimits(kit, id, LimitsJson.parse(f.object("limits")), "limits");
    }
    f.objects("effects", effect -> addEffect(id, effect, photoIds));
    return null;
  }

  private Void addEffect(long section, Fields f, Map<String, Long> photoIds) {
    long id = effects.add(section, f.text("name"), EffectJson.parse(f.object("effect")));
    effectIds.put(f.text("name"), id);
    if (f.flag("favourite", false)) {
      effects.favour(id, true);
    }
    if (f.has("accepted")) {
      f.objects("accepted", a -> accept(id, a, photoIds));
    }
    Fields paint = f.object("paint");
    for (String photo : paint.names()) {
      PaintJson.parse(paint.object(photo))
          .forEach(
              (veil, strokes) ->
                  strokes
                      .strokes()
                      .forEach(stroke -> bench.addStroke(id, photoIds.get(photo), veil, stroke)));
    }
    return null;
  }

  private Void accept(long effect, Fields f, Map<String, Long> photoIds) {
    Long photo = f.has("photo") ? photoIds.get(f.text("photo")) : null;
    judging.accept(effect, photo, f.text("measure"), f.text("reason"));
    return null;
  }

  private Void addSwatch(Fields f) {
    Veil veil = EffectJson.parseVeil(f.object("veil"));
    swatches.add(f.text("name"), veil, f.flag("withRules", false));
    return null;
  }

  private Void addCollection(Fields f, Map<String, Long> kitIds, Map<String, Long> photoIds) {
    List<Long> chosen = new ArrayList<>();
    f.list("kits").forEach(name -> chosen.add(kitIds.get(name)));
    long id = collections.add(f.text("name"));
    Fields cover = f.object("cover");
    CollectionDoc whole =
        new CollectionDoc(
            f.text("name"),
            f.text("version"),
            f.text("licence"),
            f.text("notes"),
            f.flag("mayHandOut", false),
            chosen,
            List.of(),
            List.of(),
            photoIds.get(cover.text("photo")),
            effectIds.get(cover.text("effect")));
    collections.change(id, Save.on(1, "fill"), whole);
    return null;
  }

  private byte[] bytes(String file) {
    try {
      return Files.readAllBytes(folder.resolve(file));
    } catch (IOException e) {
      throw new UncheckedIOException("the demo's file " + file + " cannot be read", e);
    }
  }
}
