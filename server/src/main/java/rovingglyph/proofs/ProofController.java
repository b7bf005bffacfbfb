package rovingglyph.proofs;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.frame.Preparation;
import rovingglyph.projects.SceneStore;
import rovingglyph.projects.ShownScenes;
import rovingglyph.proof.PaintedProof;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.RasterFrames;
import rovingglyph.scene.Scene;
import rovingglyph.server.Turns;
import rovingglyph.shaping.Shaper;

/** What only painted frames tell, over HTTP; all else the browser finds by itself. */
@RestController
class ProofController {
  /** After so long what is left is told as the next part. */
  private static final long MOST_MILLIS = 2000;

  private final SceneStore scenes;
  private final ShownScenes shown;
  private final Shaper shaper;
  private final Bitmaps bitmaps;

  private final Turns turns = new Turns(2);

  ProofController(SceneStore scenes, ShownScenes shown, Shaper shaper, Bitmaps bitmaps) {
    this.scenes = scenes;
    this.shown = shown;
    this.shaper = shaper;
    this.bitmaps = bitmaps;
  }

  @Operation(
      summary = "Contrast and flashes in the frames of a scene as it is kept now, a part at a time",
      description =
          "The answer names the step to ask for next; -1 where all has been looked at. 503 while"
              + " many ask at once.")
  @GetMapping("/api/scenes/{id}/proof")
  PaintedProof.Part of(
      @PathVariable UUID id, @RequestParam(name = "from", defaultValue = "0") int from)
      throws IOException, InterruptedException {
    SceneStore.Kept kept = scenes.get(id);
    Scene scene = shown.filled(kept.projectId(), kept.document());
    return turns.take(
        () -> {
          long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(MOST_MILLIS);
          return PaintedProof.of(
              Preparation.prepare(scene, shaper),
              RasterFrames.with(shaper, bitmaps),
              from,
              () -> System.nanoTime() < end);
        });
  }
}
