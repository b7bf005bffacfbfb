package rovingglyph.footage;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Semaphore;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.follow.Following;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.render.FootageSource;
import rovingglyph.scene.FootagePin;
import rovingglyph.server.RefusedException;

/** Follows what moves in footage, over HTTP. Nothing of it is kept here. */
@RestController
class FollowController {
  /** So many are followed at once; each keeps a processor busy. */
  private static final int AT_ONCE = Math.max(1, Runtime.getRuntime().availableProcessors());

  private static final double FARTHEST = 1e9;

  private static final int CORNERS = FootagePin.By.CORNERS.marks();

  /**
   * What is to be followed: points in pixels of the footage, in the frame of a moment. Four of them
   * are corners of something flat, of which a part may be given in shares between them.
   */
  @Schema(example = "{\"moment\": 0, \"until\": 0.5, \"points\": [[160, 90]]}")
  record Marks(double moment, double until, List<List<Double>> points, List<List<Double>> area) {
    private List<Point> read() {
      boolean few = points != null && !points.isEmpty() && points.size() <= CORNERS;
      if (!few || !Double.isFinite(moment) || !Double.isFinite(until)) {
        throw refused("Give a moment, until when, and 1 to " + CORNERS + " points");
      }
      List<Point> out = points.stream().map(Marks::point).toList();
      if (out.size() == CORNERS ? !Projection.isConvex(out) : out.size() > CORNERS / 2) {
        throw refused("Give one spot, two, or four corners in order round an area");
      }
      return out;
    }

    private List<Point> readArea() {
      if (area == null || area.isEmpty()) {
        return List.of();
      }
      if (area.size() < 3 || area.size() > FootagePin.MOST_AREA || points.size() != CORNERS) {
        throw refused("An area has 3 to " + FootagePin.MOST_AREA + " points, and four corners");
      }
      return area.stream().map(Marks::point).toList();
    }

    private static Point point(List<Double> p) {
      boolean whole = p != null && p.size() == 2 && p.get(0) != null && p.get(1) != null;
      if (!whole || !(Math.abs(p.get(0)) <= FARTHEST) || !(Math.abs(p.get(1)) <= FARTHEST)) {
        throw refused("A point is a pair of numbers up to a thousand million");
      }
      return new Point(p.get(0), p.get(1));
    }
  }

  private final Semaphore free = new Semaphore(AT_ONCE);
  private final KeptBitmaps kept;
  private final FootageStore footage;

  FollowController(KeptBitmaps kept, FootageStore footage) {
    this.kept = kept;
    this.footage = footage;
  }

  private static RefusedException refused(String detail) {
    return new RefusedException(
        HttpStatus.UNPROCESSABLE_CONTENT, "This cannot be followed", detail, Map.of());
  }

  @Operation(
      summary =
          "Follows one or two spots of footage, or four corners of something flat, from the frame of a moment, on or back, until that of another:"
              + " a line of JSON (newline-delimited) for every frame as it is found, and a last one"
              + " with the reason why it ended: done, lost, flat. Ends when nobody listens")
  @PostMapping("/api/footage/{id}/follow")
  void follow(@PathVariable String id, @RequestBody Marks marks, HttpServletResponse answer)
      throws IOException {
    List<Point> points = marks.read();
    List<Point> area = marks.readArea();
    if (footage.state(id) == null || footage.state(id) == FootageStore.State.FAILED) {
      throw RefusedException.notFound("footage");
    }
    if (footage.state(id) == FootageStore.State.PREPARING) {
      throw new RefusedException(
          HttpStatus.CONFLICT,
          "The footage is not ready",
          "Its frames are still being made",
          Map.of());
    }
    if (!free.tryAcquire()) {
      throw new RefusedException(
          HttpStatus.SERVICE_UNAVAILABLE,
          "Too much is being followed",
          "Wait until something else is followed to its end, and try again",
          Map.of());
    }
    try (KeptBitmaps.Borrowed borrowed = kept.borrow()) {
      FootageSource source = borrowed.footage(id);
      if (source == null) {
        throw RefusedException.notFound("footage");
      }
      answer.setContentType("application/x-ndjson");
      OutputStream out = answer.getOutputStream();
      Following.End end =
          new Following(source, marks.moment, points, area)
              .run(
                  marks.until,
                  found -> {
                    for (FootagePin.Frame f : found) {
                      line(out, json(f));
                    }
                    // So that it is noticed when nobody listens any more.
                    out.flush();
                    return true;
                  });
      line(out, new JsonObject().add("ended", end.name().toLowerCase()));
      out.flush();
    } finally {
      free.release();
    }
  }

  private static void line(OutputStream out, JsonObject json) throws IOException {
    out.write((json + "\n").getBytes(StandardCharsets.UTF_8));
  }

  private static JsonObject json(FootagePin.Frame f) {
    JsonArray points = new JsonArray();
    f.points().forEach(p -> points.add(Json.array(p.x(), p.y())));
    return new JsonObject()
        .add("time", f.time())
        .add("sure", f.sure())
        .add("how", f.how().name().toLowerCase())
        .add("points", points);
  }
}
