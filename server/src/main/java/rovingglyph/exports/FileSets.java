package rovingglyph.exports;

import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.projects.KeptParts;
import rovingglyph.projects.ProjectStore;
import rovingglyph.schema.Fields;

/** Files that are made together, kept with projects by name. */
@Configuration
class FileSets {
  /** Files that one set has at most. */
  private static final int MOST_FILES = 20;

  @Bean
  static KeptParts fileSetParts(JdbcClient jdbc, ProjectStore projects) {
    return new KeptParts(
        jdbc, projects, "file_set", "files", KeptParts.LONGEST, KeptParts.MOST, FileSets::check);
  }

  private static void check(JsonValue files) {
    Fields f = Fields.of(new JsonObject().add("files", files));
    List<Boolean> all = f.list("files", MOST_FILES, FileSets::checkFile);
    if (all.isEmpty()) {
      f.problem("files", "names no file", "1 to " + MOST_FILES);
    }
    f.check();
  }

  private static boolean checkFile(Fields file) {
    ExportFormat format = ExportFormats.of(file.text("format", 80, ""));
    if (format == null) {
      file.problem("format", "is not known", FormatController.ids());
      return true;
    }
    ExportOptions.read(format, file.object("options"));
    return true;
  }
}
