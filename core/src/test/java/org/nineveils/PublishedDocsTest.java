package org.nineveils;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.document.SettingsReference;
import org.nineveils.release.FormatSchema;
import org.nineveils.release.KitFileSchema;
import org.nineveils.release.ReleaseSchema;

/** One description of a setting drives the documents too: they are what the descriptors give. */
class PublishedDocsTest {
  @Test
  void schemasAndTheTableOfSettingsAreThoseOfThisBuild() throws IOException {
    Map<String, String> documents =
        Map.of(
            "schema/effect.schema.json", FormatSchema.effect(),
            "schema/manifest.schema.json", ReleaseSchema.manifest(),
            "schema/signature.schema.json", ReleaseSchema.signature(),
            "schema/kit-file.schema.json", KitFileSchema.manifest(),
            "settings.md", SettingsReference.markdown());
    for (var document : documents.entrySet()) {
      Path file = Path.of("../docs").resolve(document.getKey());
      if (Boolean.getBoolean("nineveils.writeDocs")) {
        Files.createDirectories(file.getParent());
        Files.writeString(file, document.getValue());
      }
      assertThat(file).as("run ./nv docs").content().isEqualTo(document.getValue());
    }
  }
}
