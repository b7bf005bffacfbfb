package rovingglyph.generate;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** What docs/ holds that is written from the tables is as they are; ./roving format makes it so. */
class GeneratedFilesTest {
  private static final Path DOCS = Path.of("..", "docs");

  @Test
  void theTablesOfTheFormatArePresent() throws IOException {
    String page = Files.readString(DOCS.resolve("scene-format.md"));
    assertThat(page).isEqualTo(FormatTables.of(page));
  }

  @Test
  void theJsonSchemaIsPresent() throws IOException {
    assertThat(DOCS.resolve("scene.schema.json")).hasContent(DocumentSchema.text());
  }
}
