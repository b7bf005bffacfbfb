package rovingglyph.footage;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import io.swagger.v3.oas.annotations.Operation;
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
import rovingglyph.render.FootageSource;
import rovingglyph.scene.FootagePin;
import rovingglyph.server.RefusedException;

/** Follows what moves in footage, over HTTP. Nothing of it is kept here. */
@RestController
class FollowController {
  /** So many are followed at once; each keeps a processor busy. */
  private static final int AT_ONCE = Math.max(1, Runtime.getRuntime().availableProcessors());

  private static final int MOST_MARKS = 4;

  /** What is to be followed: points in pixels of the footage, in the frame of a moment. */
  record Marks(double moment, double until, List<List<Double>> points) {
    private List<Point> read() {
      boolean few = points != null && !points.isEmpty() && points.size() <= MOST_MARKS;
      if (!few || !Double.isFinite(moment) || !Double.isFinite(until)) {
        throw refused("Give a moment, until when, and 1 to " + MOST_MARKS + " points");
      }
      return points.stream().map(Marks::point).toList();
    }

    private static Point point(List<Double> p) {
      boolean whole = p != null && p.size() == 2 && p.get(0) != null && p.get(1) != null;
      if (!whole || !Double.isFinite(p.get(0)) || !Double.isFinite(p.get(1))) {
        throw refused("A point is a pair of numbers");
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
          "Follows points of footage from the frame of a moment, on or back, until that of another:"
              + " a line of JSON (newline-delimited) for every frame as it is found, and a last one"
              + " with the reason why it ended: done, lost, flat. Ends when nobody listens")
  @PostMapping("/api/footage/{id}/follow")
  void follow(@PathVariable String id, @RequestBody Marks marks, HttpServletResponse answer)
      throws IOException {
    List<Point> points = marks.read();
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
          new Following(source, marks.moment, points)
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
