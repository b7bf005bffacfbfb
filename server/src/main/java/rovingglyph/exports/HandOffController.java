package rovingglyph.exports;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.projects.KeptParts;
import rovingglyph.schema.Fields;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;

/** What a project keeps for its hand-offs: names of files, how long they stay, sets of files. */
@RestController
class HandOffController {
  /** For the description of the interface. */
  record NewSettings(String fileNames, Integer keepDays) {}

  /** For the description of the interface. */
  record SetFile(String format, Map<String, Object> options) {}

  /** For the description of the interface. */
  record NewSet(String name, List<SetFile> files) {}

  private final HandOffStore settings;
  private final KeptParts sets;

  HandOffController(HandOffStore settings, @Qualifier("fileSetParts") KeptParts sets) {
    this.settings = settings;
    this.sets = sets;
  }

  @Operation(summary = "How a project's files are called and how long they are kept")
  @GetMapping("/api/projects/{project}/hand-off")
  HandOffStore.Settings settings(@PathVariable UUID project) {
    return settings.of(project);
  }

  @Operation(
      summary = "Changes how a project's files are called, or how long they are kept",
      description =
          "fileNames may hold {project}, {scene}, {format}, {size}, {date}, {time} and {number};"
              + " keepDays is 0 for ever. What is left out stays as it is.")
  @PutMapping("/api/projects/{project}/hand-off")
  HandOffStore.Settings change(
      @PathVariable UUID project,
      @Holds(
              value = NewSettings.class,
              example = "{\"fileNames\": \"{project}-{scene}-{number}\", \"keepDays\": 30}")
          @RequestBody
          JsonBody body) {
    Fields f = body.fields();
    String names = f.text("fileNames", 1000, null);
    Integer days = f.has("keepDays") ? (Integer) f.integer("keepDays", -1, 1 << 20, 0) : null;
    f.check();
    return settings.change(project, names, days);
  }

  @Operation(summary = "The sets of files that a project keeps")
  @GetMapping(
      value = "/api/projects/{project}/file-sets",
      produces = MediaType.APPLICATION_JSON_VALUE)
  String sets(@PathVariable UUID project) {
    return sets.list(project);
  }

  @Operation(summary = "Keeps a set of files that are made together: formats with their options")
  @PostMapping(
      value = "/api/projects/{project}/file-sets",
      produces = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  String keepSet(
      @PathVariable UUID project,
      @Holds(
              value = NewSet.class,
              example =
                  "{\"name\": \"For the client\", \"files\": [{\"format\": \"mp4\"}, {\"format\": \"gif\", \"options\": {\"size\": 50}}]}")
          @RequestBody
          JsonBody body) {
    return sets.keep(project, body);
  }

  @Operation(summary = "Forgets a set of files")
  @DeleteMapping("/api/projects/{project}/file-sets/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void forgetSet(@PathVariable UUID project, @PathVariable UUID id) {
    sets.remove(project, id);
  }
}
