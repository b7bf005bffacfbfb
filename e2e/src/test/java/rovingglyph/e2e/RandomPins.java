package rovingglyph.e2e;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.util.List;
import java.util.Random;

/** Footage that is not seen, in which things of chance are followed, and what holds to them. */
record RandomPins(Random random) {
  private static final int FRAMES = 70;

  /** A scene with some of its items and one of its paths pinned. */
  String in(String document) {
    JsonObject scene = Json.parse(document).asObject();
    for (JsonValue item : scene.get("items").asArray()) {
      if (random.nextInt(3) == 0) {
        item.asObject().add("pin", pin());
      }
    }
    if (random.nextBoolean()) {
      scene.get("paths").asArray().get(1).asObject().add("pin", pin());
    }
    scene.get("items").asArray().add(film());
    return scene.toString();
  }

  private JsonObject pin() {
    return new JsonObject()
        .add("to", "followed" + List.of(1, 2, 4).get(random.nextInt(3)))
        .add("at", random.nextInt(80) / 25.0)
        .add("laid", random.nextInt(3) == 0);
  }

  private JsonObject film() {
    double rate = 10 + random.nextInt(20);
    return new JsonObject()
        .add("kind", "footage")
        .add("id", "film")
        .add("hidden", true)
        .add("image", KeptPictures.footage())
        .add("pixelWidth", 320)
        .add("pixelHeight", 180)
        .add("rate", rate)
        .add("length", FRAMES / rate)
        .add("speed", 0.5 + random.nextInt(3) / 2.0)
        .add("x", 200 + random.nextInt(80))
        .add("y", 135)
        .add("width", 480)
        .add("height", 200 + random.nextInt(90))
        .add("rotation", random.nextInt(30) - 15)
        .add(
            "pins",
            new JsonArray().add(followed(1, rate)).add(followed(2, rate)).add(followed(4, rate)));
  }

  /** Spots that go slowly, with a jump now and then. */
  private JsonObject followed(int marks, double rate) {
    double[] at =
        marks < 4
            ? new double[] {120, 70, 180 + random.nextInt(60), 100}
            : new double[] {60, 40, 260, 40, 260, 150, 60, 150};
    double[] speed = new double[at.length];
    JsonArray frames = new JsonArray();
    for (int i = 0; i < FRAMES; i++) {
      JsonArray points = new JsonArray();
      for (int n = 0; n < 2 * marks; n++) {
        speed[n] = 0.9 * speed[n] + random.nextGaussian() * 0.3;
        at[n] += speed[n] + (random.nextInt(150) == 0 ? 12 : 0);
      }
      for (int m = 0; m < marks; m++) {
        points.add(Json.array(at[2 * m], at[2 * m + 1]));
      }
      frames.add(new JsonObject().add("time", i / rate).add("points", points));
    }
    return new JsonObject()
        .add("id", "followed" + marks)
        .add("by", marks == 1 ? "spot" : marks == 2 ? "two-spots" : "corners")
        .add("smoothing", random.nextInt(3) / 10.0)
        .add("frames", frames);
  }
}
