package rovingglyph.projects;

import io.swagger.v3.oas.annotations.Operation;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.document.SceneCodec;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;

/** Scenes over HTTP. A revision travels as an entity tag. */
@RestController
@RequestMapping("/api/scenes")
class SceneController {
  /** A document for the description of the interface. */
  private static final String EXAMPLE =
      "{\"format\": \"roving-glyph-scene\", \"version\": 2, \"name\": \"Tides\", \"width\": 640, "
          + "\"height\": 360, \"rate\": \"25\", \"length\": 2, \"background\": \"#F3E9D2\", \"paths\": [{\"id\": "
          + "\"rope\", \"kind\": \"line\", \"x\": 320, \"y\": 200, \"length\": 560}], \"items\": [{\"id\": \"title\", "
          + "\"kind\": \"lettering\", \"path\": \"rope\", \"text\": \"High tide\", \"face\": \"fraunces\", \"size\": 80}]}";

  record Saved(long revision) {}

  /** The longest account of what was done, in characters. */
  private static final int LONGEST_DONE = 400;

  private final SceneStore scenes;

  SceneController(SceneStore scenes) {
    this.scenes = scenes;
  }

  @Operation(summary = "A scene with its document")
  @GetMapping("/{id}")
  ResponseEntity<SceneStore.Kept> get(@PathVariable UUID id) {
    SceneStore.Kept kept = scenes.get(id);
    return ResponseEntity.ok().eTag("\"" + kept.revision() + "\"").body(kept);
  }

  @Operation(
      summary = "Keeps the document (the body) as the next revision",
      description =
          "If-Match carries the revision that it was made from; 412 if that is not the "
              + "present one, 422 with every problem if the document cannot be used. "
              + "Idempotency-Key, of 1 to 100 characters, names the save: sent again after a lost "
              + "answer, it is not kept twice. The parameter done says in a few words what was done "
              + "since the revision before, for the history.")
  @PutMapping(value = "/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
  Saved save(
      @PathVariable UUID id,
      @RequestHeader(name = "If-Match", required = false) String ifMatch,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @RequestParam(required = false) String done,
      @Holds(example = SceneController.EXAMPLE) @RequestBody JsonBody document) {
    if (key != null && (key.isBlank() || key.length() > 100)) {
      throw RefusedException.bad("Idempotency-Key: 1 to 100 characters");
    }
    if (done != null && (done.length() > LONGEST_DONE || done.indexOf('\0') >= 0)) {
      throw RefusedException.bad("done: at most " + LONGEST_DONE + " characters, none U+0000");
    }
    return new Saved(scenes.save(id, revision(ifMatch), document.text(), key, done));
  }

  private static long revision(String ifMatch) {
    try {
      return Long.parseLong(ifMatch == null ? "" : ifMatch.replace("\"", "").strip());
    } catch (NumberFormatException e) {
      throw new RefusedException(
          HttpStatus.PRECONDITION_REQUIRED,
          "Which revision?",
          "If-Match must carry the revision that the document was made from",
          java.util.Map.of());
    }
  }

  @Operation(summary = "Renames a scene, as a new revision")
  @PatchMapping("/{id}")
  SceneStore.Kept rename(
      @PathVariable UUID id,
      @Holds(value = NewName.class, example = "{\"name\": \"Night market\"}") @RequestBody
          JsonBody body) {
    return scenes.rename(id, NewName.of(body).checked());
  }

  @Operation(summary = "Copies a scene within its project")
  @PostMapping("/{id}/duplicate")
  @ResponseStatus(HttpStatus.CREATED)
  SceneStore.Kept duplicate(@PathVariable UUID id) {
    SceneStore.Kept kept = scenes.get(id);
    return scenes.duplicate(
        id, kept.projectId(), NewName.copyOf(SceneCodec.read(kept.document()).name()));
  }

  @Operation(
      summary = "Deletes a scene; restoring brings it back",
      description = "409 with their names if others show it, unless used is true")
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void delete(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean used) {
    scenes.delete(id, used);
  }

  @Operation(summary = "Brings a deleted scene back")
  @PostMapping("/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable UUID id) {
    scenes.setDeleted(id, false);
  }
}
