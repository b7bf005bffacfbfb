package rovingglyph.proofs;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.frame.Preparation;
import rovingglyph.projects.SceneStore;
import rovingglyph.projects.ShownScenes;
import rovingglyph.proof.Finding;
import rovingglyph.proof.PaintedProof;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.RasterFrames;
import rovingglyph.shaping.Shaper;

/** What only painted frames tell, over HTTP; all else the browser finds by itself. */
@RestController
class ProofController {
  /** Of one scene; what was not looked at by then is told. */
  private static final long MOST_SECONDS = 15;

  private final SceneStore scenes;
  private final ShownScenes shown;
  private final Shaper shaper;
  private final Bitmaps bitmaps;

  /** One scene at a time: nobody else is to wait for a processor. */
  private final Semaphore turn = new Semaphore(1, true);

  ProofController(SceneStore scenes, ShownScenes shown, Shaper shaper, Bitmaps bitmaps) {
    this.scenes = scenes;
    this.shown = shown;
    this.shaper = shaper;
    this.bitmaps = bitmaps;
  }

  @Operation(summary = "Contrast and flashes in the frames of a scene as it is kept now")
  @GetMapping("/api/scenes/{id}/proof")
  List<Finding> of(@PathVariable UUID id) throws InterruptedException {
    SceneStore.Kept kept = scenes.get(id);
    var scene = shown.filled(kept.projectId(), kept.document());
    turn.acquire();
    try {
      long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(MOST_SECONDS);
      return PaintedProof.of(
          Preparation.prepare(scene, shaper),
          RasterFrames.with(shaper, bitmaps),
          () -> System.nanoTime() < end);
    } finally {
      turn.release();
    }
  }
}
