package rovingglyph.projects;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.scene.SceneShelf;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;

/** Projects over HTTP. */
@RestController
@RequestMapping("/api/projects")
class ProjectController {
  private final ProjectStore projects;
  private final SceneStore scenes;
  private final ShownScenes shown;

  ProjectController(ProjectStore projects, SceneStore scenes, ShownScenes shown) {
    this.projects = projects;
    this.scenes = scenes;
    this.shown = shown;
  }

  @Operation(summary = "All projects with their scenes; deleted ones are marked")
  @GetMapping
  List<ProjectStore.Project> list() {
    return projects.list();
  }

  @Operation(summary = "Makes a project with one empty scene")
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ProjectStore.Project create(
      @Holds(value = NewName.class, example = "{\"name\": \"Saltmarsh Kite Fair\"}") @RequestBody
          JsonBody body) {
    return projects.create(NewName.of(body).checked(), List.of(EmptyScene.document("First scene")));
  }

  @Operation(summary = "Renames a project")
  @PatchMapping("/{id}")
  ProjectStore.Project rename(
      @PathVariable UUID id,
      @Holds(value = NewName.class, example = "{\"name\": \"Saltmarsh Kite Fair\"}") @RequestBody
          JsonBody body) {
    return projects.rename(id, NewName.of(body).checked());
  }

  @Operation(summary = "Copies a project with its scenes")
  @PostMapping("/{id}/duplicate")
  @ResponseStatus(HttpStatus.CREATED)
  ProjectStore.Project duplicate(@PathVariable UUID id) {
    return projects.duplicate(id);
  }

  @Operation(summary = "Deletes a project; restoring brings it back")
  @DeleteMapping("/{id}")
  ProjectStore.Project delete(@PathVariable UUID id) {
    return projects.setDeleted(id, true);
  }

  @Operation(summary = "Brings a deleted project back")
  @PostMapping("/{id}/restore")
  ProjectStore.Project restore(@PathVariable UUID id) {
    return projects.setDeleted(id, false);
  }

  @Operation(
      summary = "Scenes of a project for others that show them, and all that these show in turn",
      description = "Those that are not there are left out")
  @GetMapping("/{id}/shown-scenes")
  List<ShownScenes.Shown> shownScenes(@PathVariable UUID id, @RequestParam List<String> scene) {
    if (scene.size() > SceneShelf.MOST_INSETS) {
      throw RefusedException.bad("scene: at most " + SceneShelf.MOST_INSETS + " at once");
    }
    return shown.of(id, scene);
  }

  @Operation(
      summary = "Makes an empty scene in a project",
      description = "With a frame of 1920 by 1080 px, where width and height are left out")
  @PostMapping("/{id}/scenes")
  @ResponseStatus(HttpStatus.CREATED)
  SceneStore.Kept createScene(
      @PathVariable UUID id,
      @Holds(
              value = NewScene.class,
              example = "{\"name\": \"Pennants\", \"width\": 1080, \"height\": 1920}")
          @RequestBody
          JsonBody body) {
    projects.require(id);
    NewScene asked = NewScene.of(body);
    return scenes.create(id, EmptyScene.document(asked.name(), asked.width(), asked.height()));
  }
}
