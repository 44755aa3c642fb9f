package org.nineveils.app.shop.desk;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.shop.stall.Combinations;
import org.nineveils.app.wear.fitting.Anywhere;
import org.nineveils.app.wear.looks.OwnLook;
import org.nineveils.app.wear.looks.OwnLookPictures;
import org.nineveils.app.wear.looks.OwnLooks;
import org.nineveils.kit.Combination;
import org.nineveils.kit.Worn;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.release.Words;
import org.nineveils.release.code.StallCode;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.springframework.stereotype.Service;

/**
 * Hands out looks of her own: whose effects are in one, under which licence, and whether each of
 * their makers allows it.
 */
@Service
class LookHandOut {
  private static final String LONG_LICENCE =
      "The licences of its collections; see the words for the photographer.";

  private final DeskService desk;
  private final OwnLooks looks;
  private final OwnLookPictures pictures;
  private final Anywhere anywhere;
  private final Combinations combinations;

  LookHandOut(
      DeskService desk,
      OwnLooks looks,
      OwnLookPictures pictures,
      Anywhere anywhere,
      Combinations combinations) {
    this.desk = desk;
    this.looks = looks;
    this.pictures = pictures;
    this.anywhere = anywhere;
    this.combinations = combinations;
  }

  /**
   * A collection whose effects are in a look.
   *
   * @param may whether its maker allows that they are handed out in looks
   */
  record Source(
      String collection, String makersMark, String licence, List<String> effects, boolean may) {
    /** Collection, maker, effects and licence in one line. */
    String words() {
      return "“%s”%s: %s. %s"
          .formatted(
              collection,
              makersMark.isBlank() ? " of an unnamed maker" : " by " + makersMark,
              String.join(", ", effects),
              licence.isBlank() ? "It came without a licence." : "Licence: " + licence);
    }
  }

  /** Whose effects are in a look, in the order in which they are worn. */
  List<Source> sources(OwnLook look) {
    Map<String, List<String>> byWardrobe = new LinkedHashMap<>();
    for (Worn worn : look.look().worn()) {
      byWardrobe
          .computeIfAbsent(Anywhere.wardrobeOf(worn.effect()), w -> new ArrayList<>())
          .add(anywhere.offer(worn.effect()).map(o -> o.name()).orElse("an effect that is gone"));
    }
    List<Source> out = new ArrayList<>();
    byWardrobe.forEach(
        (wardrobe, effects) ->
            out.add(
                desk.byWardrobe(wardrobe)
                    .map(row -> source(row, effects))
                    .orElseGet(
                        () ->
                            new Source(
                                look.gone().getOrDefault(wardrobe, "a collection that is gone"),
                                "",
                                "",
                                effects,
                                false))));
    return out;
  }

  private Source source(DeskRow row, List<String> effects) {
    Release release = desk.release(row);
    return new Source(
        row.called(), row.makersMark(), release.licence(), effects, release.mayHandOut());
  }

  /** Why a look may not be handed out, in one sentence; empty where it may. */
  String refused(OwnLook look) {
    String missing = looks.missing(look);
    if (!missing.isEmpty()) {
      return missing;
    }
    String kept =
        sources(look).stream()
            .filter(s -> !s.may())
            .map(s -> "“" + s.collection() + "”")
            .collect(Collectors.joining(", "));
    return kept.isEmpty()
        ? ""
        : "The maker of %s does not allow that looks with its effects are handed out. The look stays yours, for your own photos."
            .formatted(kept);
  }

  /** What becomes different when a look leaves as one effect, one sentence each. */
  List<String> details(OwnLook look) {
    return combination(look, "").said();
  }

  private Combination combination(OwnLook look, String note) {
    List<Combination.Pick> all = new ArrayList<>();
    for (Worn worn : look.look().worn()) {
      Effect effect = anywhere.effects().apply(worn.effect());
      if (effect != null) {
        all.add(
            new Combination.Pick(
                worn.effect(),
                effect.veils().stream().map(Veil::id).collect(Collectors.toSet()),
                true));
      }
    }
    return Combination.of(look.look(), all, anywhere.effects(), note);
  }

  /**
   * Puts a look out under a code.
   *
   * @param withPhoto the photo that shows it goes along, small, before and after
   * @throws Refusal with a sentence where a maker does not allow it
   */
  StallCode handOut(long id, String name, String note, boolean withPhoto) {
    OwnLook look = looks.get(id);
    String clean = Names.check("A look", name);
    String refused = refused(look);
    if (!refused.isEmpty()) {
      throw new Refusal(refused);
    }
    Optional<Photo> photo = withPhoto ? Optional.of(pictures.photo(look)) : Optional.empty();
    List<Source> sources = sources(look);
    StallCode code =
        combinations.putOut(
            new Combinations.Out(
                clean,
                combination(look, note).effect(),
                photo,
                "",
                licence(sources),
                notes(sources),
                true),
            Optional.empty());
    looks.handedOut(id, code.shown());
    return code;
  }

  /** The licences of all that is in it, as one line. */
  private static String licence(List<Source> sources) {
    String line =
        sources.stream()
            .map(Source::licence)
            .filter(l -> !l.isBlank())
            .distinct()
            .collect(Collectors.joining(" · "));
    return line.length() <= Words.LICENCE.most() ? line : LONG_LICENCE;
  }

  private static String notes(List<Source> sources) {
    String words =
        "A photographer's look, made with effects of\n"
            + sources.stream().map(Source::words).collect(Collectors.joining("\n"));
    return words.length() <= Words.NOTES.most()
        ? words
        : words.substring(0, words.lastIndexOf('\n', Words.NOTES.most()));
  }
}
