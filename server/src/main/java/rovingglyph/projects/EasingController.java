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

/** Easings of their own that a project keeps. */
@RestController
class EasingController {
  /** For the description of the interface. */
  record NewEasing(String name, Object curve) {}

  private final KeptParts easings;

  EasingController(@Qualifier("easings") KeptParts easings) {
    this.easings = easings;
  }

  @Operation(summary = "The easings that a project keeps")
  @GetMapping(
      value = "/api/projects/{project}/easings",
      produces = MediaType.APPLICATION_JSON_VALUE)
  String list(@PathVariable UUID project) {
    return easings.list(project);
  }

  @Operation(summary = "Keeps an easing: its name, and its curve as in a scene document")
  @PostMapping(
      value = "/api/projects/{project}/easings",
      produces = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  String keep(
      @PathVariable UUID project,
      @Holds(value = NewEasing.class, example = "{\"name\": \"Gust\", \"curve\": [0.2, 0, 0.1, 1]}")
          @RequestBody
          JsonBody body) {
    return easings.keep(project, body);
  }

  @Operation(summary = "Forgets an easing")
  @DeleteMapping("/api/projects/{project}/easings/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID project, @PathVariable UUID id) {
    easings.remove(project, id);
  }
}
