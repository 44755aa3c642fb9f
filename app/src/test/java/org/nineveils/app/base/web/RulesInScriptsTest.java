package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.file.PictureReader;
import org.nineveils.mask.Stroke;
import org.nineveils.name.Names;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Veil;

class RulesInScriptsTest {
  private static String rules() throws IOException {
    return Files.readString(Path.of("src/main/resources/static/js/base/web/rules.js"));
  }

  @Test
  void numbersThatScriptsNeedAreThoseOfJava() throws IOException {
    Map<String, Number> kept =
        Map.of(
            "NAME", Names.MAX,
            "LABEL", Dial.MAX_LABEL,
            "SMALL", PhotoService.SMALL,
            "HOLDING", Stroke.MAX_HOLDING);
    Matcher told = Pattern.compile("export const ([A-Z_]+) = ([\\d.]+);").matcher(rules());
    int n = 0;
    while (told.find()) {
      assertThat(Double.parseDouble(told.group(2)))
          .as(told.group(1))
          .isEqualTo(kept.get(told.group(1)).doubleValue());
      n++;
    }
    assertThat(n).isEqualTo(kept.size());
    assertThat(Veil.MAX_NAME).isEqualTo(Names.MAX);
  }

  @Test
  void filesOfEveryTypeThatIsReadAreTakenByTheirNames() throws IOException {
    Matcher told = Pattern.compile("PHOTO_NAME = /(.*)/i;").matcher(rules());
    assertThat(told.find()).isTrue();
    Pattern name = Pattern.compile(told.group(1), Pattern.CASE_INSENSITIVE);
    for (String type : PictureReader.MEDIA_TYPES) {
      assertThat(name.matcher("a." + type.replace("image/", "")).find()).as(type).isTrue();
    }
    for (String ending : PictureReader.RAW_ENDINGS) {
      assertThat(name.matcher("a." + ending).find()).as(ending).isTrue();
    }
    assertThat(name.matcher("A.JPG").find()).isTrue();
    assertThat(name.matcher("a.gif").find()).isFalse();
  }
}
