package rovingglyph.projects;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.time.Duration;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.scene.Scene;

/** What a scene looks like, for a page that is not ready to paint it yet. */
@RestController
class StillController {
  /** As wide and high as a stage at the most, px. */
  private static final double LARGEST = 960;

  /** So many are at hand: of some hundred kilobytes each. */
  private static final int MOST_KEPT = 24;

  private record Of(UUID scene, long revision) {}

  private final SceneStore scenes;
  private final ShownScenes shown;
  private final ScenePictures pictures;
  private final Map<Of, byte[]> known =
      Collections.synchronizedMap(
          new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<Of, byte[]> eldest) {
              return size() > MOST_KEPT;
            }
          });

  StillController(SceneStore scenes, ShownScenes shown, ScenePictures pictures) {
    this.scenes = scenes;
    this.shown = shown;
    this.pictures = pictures;
  }

  @Operation(summary = "A picture of a scene as it is kept now, a third into it")
  @GetMapping(value = "/api/scenes/{id}/picture", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> picture(@PathVariable UUID id) throws IOException, InterruptedException {
    SceneStore.Kept kept = scenes.get(id);
    Of which = new Of(id, kept.revision());
    byte[] picture = known.get(which);
    if (picture == null) {
      Scene scene = shown.filled(kept.projectId(), kept.document());
      picture = pictures.png(scene, LARGEST);
      // What is shown within it, and its footage, may come later while its revision stays.
      if (scene.insets().isEmpty() && scene.footage().isEmpty()) {
        known.put(which, picture);
      }
    }
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ofSeconds(5)).cachePrivate())
        .contentType(MediaType.IMAGE_PNG)
        .body(picture);
  }
}
