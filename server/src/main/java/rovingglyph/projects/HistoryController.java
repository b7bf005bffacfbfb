package rovingglyph.projects;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;

/** The history of scenes over HTTP. Restoring is a save like any other. */
@RestController
@RequestMapping("/api/scenes/{id}/revisions")
class HistoryController {
  /** Pictures are at most this wide and high, in px. */
  private static final double LARGEST = 480;

  private final HistoryStore history;
  private final SceneStore scenes;
  private final ShownScenes shown;
  private final ScenePictures pictures;

  HistoryController(
      HistoryStore history, SceneStore scenes, ShownScenes shown, ScenePictures pictures) {
    this.history = history;
    this.scenes = scenes;
    this.shown = shown;
    this.pictures = pictures;
  }

  @Operation(summary = "What was kept of a scene, the latest first")
  @GetMapping
  List<HistoryStore.Entry> list(@PathVariable UUID id) {
    return history.list(id);
  }

  @Operation(summary = "A revision with its document")
  @GetMapping("/{revision}")
  HistoryStore.Revision get(@PathVariable UUID id, @PathVariable long revision) {
    return history.get(id, revision);
  }

  @Operation(summary = "Names a revision, so that it always stays; an empty name takes it away")
  @PatchMapping("/{revision}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void name(
      @PathVariable UUID id,
      @PathVariable long revision,
      @Holds(value = NewName.class, example = "{\"name\": \"As shown to the fair\"}") @RequestBody
          JsonBody body) {
    Fields f = body.fields();
    String name = f.text("name", 200, "").strip();
    f.check();
    history.name(id, revision, name.isEmpty() ? null : name);
  }

  @Operation(summary = "A small picture of a revision, a third into the scene")
  @GetMapping(value = "/{revision}/picture", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> picture(@PathVariable UUID id, @PathVariable long revision)
      throws IOException, InterruptedException {
    String document = history.get(id, revision).document();
    Scene scene = shown.filled(scenes.get(id).projectId(), document);
    // What is shown within it may change while the revision stays as it is.
    CacheControl kept =
        scene.insets().isEmpty()
            ? CacheControl.maxAge(Duration.ofDays(1)).immutable()
            : CacheControl.maxAge(Duration.ofSeconds(10));
    return ResponseEntity.ok()
        .cacheControl(kept.cachePrivate())
        .contentType(MediaType.IMAGE_PNG)
        .body(pictures.png(scene, LARGEST));
  }
}
