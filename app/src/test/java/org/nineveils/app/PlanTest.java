package org.nineveils.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

class PlanTest {
  @Test
  void theDrawingOfTheWingsIsThatOfThisBuild() throws IOException {
    String drawn =
        PlanDrawing.of(
            new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("org.nineveils.app"));
    Path file = Path.of("../docs/architecture.svg");
    if (Boolean.getBoolean("nineveils.writeDocs")) {
      Files.writeString(file, drawn);
    }
    assertThat(file).as("run ./nv docs").content().isEqualTo(drawn);
  }
}
