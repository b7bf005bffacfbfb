package rovingglyph.projects;

import io.swagger.v3.oas.annotations.Operation;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;

/** Finishes that a project keeps by name. */
@RestController
class FinishController {
  /** For the description of the interface. */
  record NewFinish(String name, Object effects) {}

  private final KeptParts finishes;

  FinishController(@Qualifier("finishes") KeptParts finishes) {
    this.finishes = finishes;
  }

  @Operation(summary = "The finishes that a project keeps")
  @GetMapping(
      value = "/api/projects/{project}/finishes",
      produces = MediaType.APPLICATION_JSON_VALUE)
  String list(@PathVariable UUID project) {
    return finishes.list(project);
  }

  @Operation(summary = "Keeps a finish: its name, and its effects as in a scene document")
  @PostMapping(
      value = "/api/projects/{project}/finishes",
      produces = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  String keep(
      @PathVariable UUID project,
      @Holds(
              value = NewFinish.class,
              example =
                  "{\"name\": \"Soft\", \"effects\": [{\"id\": \"soft\", \"kind\": \"blur\", \"radius\": 3}]}")
          @RequestBody
          JsonBody body) {
    return finishes.keep(project, body);
  }

  @Operation(summary = "Forgets a finish")
  @DeleteMapping("/api/projects/{project}/finishes/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID project, @PathVariable UUID id) {
    finishes.remove(project, id);
  }
}
