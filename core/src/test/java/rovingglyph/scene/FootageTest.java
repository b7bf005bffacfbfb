package rovingglyph.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.PreparedScene;
import rovingglyph.proof.Finding;
import rovingglyph.proof.Proof;

class FootageTest {
  private static Scene scene(String fields) {
    return SceneCodec.read(document(fields));
  }

  private static String document(String fields) {
    return """
    {"format":"roving-glyph-scene","version":2,"name":"Test","width":100,"height":100,"rate":"25",
     "length":10,"background":null,"items":[{"kind":"footage","id":"it","image":"sea",%s}]}"""
        .formatted(fields);
  }

  private static Footage footage(String fields) {
    return scene(fields).footage().get(0);
  }

  /** The number of the frame that is shown of one whose frames are all as long. */
  private static long frame(Footage f, double time) {
    return (long) Math.floor(f.moment(time) * f.rate());
  }

  @Test
  void everyFrameOfASceneShowsTheOneOfItsTimeWhateverDecimalsMakeOfIt() {
    for (String rate : List.of("24000/1001", "25", "30000/1001", "60")) {
      double r = FrameRate.parse(rate).perSecond();
      Footage f = footage("\"rate\":" + r + ",\"length\":3600");
      for (int n = 0; n < 80_000; n++) {
        assertThat(frame(f, FrameRate.parse(rate).timeOf(n))).isEqualTo(n);
      }
    }
  }

  /** What is shown, told once more in whole frames. */
  private static long wanted(long gone, long in, long out, String atEnd) {
    long span = out - in;
    if (gone < span) {
      return in + gone;
    }
    return switch (atEnd) {
      case "loop" -> in + gone % span;
      case "hold" -> out - 1;
      default -> -1;
    };
  }

  @Test
  void inOutSpeedAndEndGiveTheFramesOfWholeNumbers() {
    Random random = new Random(41);
    for (int i = 0; i < 3000; i++) {
      int rate = 10 + random.nextInt(50);
      int frames = 2 + random.nextInt(400);
      int in = random.nextInt(frames - 1);
      int out = in + 1 + random.nextInt(frames - in);
      int speed = 1 + random.nextInt(4);
      int from = random.nextInt(3);
      String atEnd = List.of("loop", "hold", "end").get(random.nextInt(3));
      Footage f =
          footage(
              ("\"rate\":%d,\"length\":%s,\"in\":%s,\"out\":%s,\"speed\":%d,\"atEnd\":\"%s\","
                      + "\"shownFrom\":%d")
                  .formatted(
                      rate,
                      frames / (double) rate,
                      in / (double) rate,
                      out / (double) rate,
                      speed,
                      atEnd,
                      from));
      for (int k = 0; k < 30; k++) {
        int n = random.nextInt(1000);
        double moment = f.moment(from + n / (double) rate);
        long shown = Double.isNaN(moment) ? -1 : (long) Math.floor(moment * rate);
        assertThat(shown).as("%s at %d", f, n).isEqualTo(wanted((long) n * speed, in, out, atEnd));
      }
    }
  }

  @Test
  void betweenTwoFramesTheEarlierOneStays() {
    Footage f = footage("\"rate\":10,\"length\":2");
    assertThat(frame(f, 0.089)).isZero();
    assertThat(frame(f, 0.0901)).isEqualTo(1);
    assertThat(frame(f, -0.01)).isZero();
  }

  @Test
  void whereItIsOverNothingIsPainted() {
    PreparedScene p =
        TestScenes.prepare(
            document("\"rate\":10,\"length\":2,\"atEnd\":\"end\",\"x\":50,\"y\":50"));
    assertThat(p.at(1.95).numbers()).isNotEmpty();
    assertThat(p.at(2).numbers()).isEmpty();
    assertThat(p.items().get("it").shapes(2)).isEmpty();
  }

  /** What is heard at a time, told by the footage itself: the moments of all that sound. */
  private static List<Double> heard(Scene scene, double time) {
    List<Double> out = new ArrayList<>();
    for (Footage f : scene.footage()) {
      double gone = (time - f.begins()) * f.speed();
      double span = f.out() - f.in();
      boolean on = f.sound().on() && scene.shows(f, time) && gone >= 0;
      if (on && (gone < span || f.atEnd() == Footage.AtEnd.LOOP)) {
        out.add(f.in() + gone - Math.floor(gone / span) * span);
      }
    }
    for (Inset i : scene.insets()) {
      if (scene.shows(i, time)) {
        Scene shown = scene.shown().get(i.scene());
        double local = (time - i.begins()) * i.speed();
        if (i.atEnd() == Inset.AtEnd.LOOP) {
          out.addAll(heard(shown, local - Math.floor(local / shown.length()) * shown.length()));
        } else if (local >= 0 && local < shown.length()) {
          out.addAll(heard(shown, local));
        }
      }
    }
    out.sort(null);
    return out;
  }

  private static String chance(Random random, String id) {
    double length = 0.5 + random.nextInt(40) / 8.0;
    return """
    {"kind":"footage","id":"%s","image":"sea","rate":25,"length":%s,"in":%s,"speed":%s,
     "atEnd":"%s","sound":%s,"hidden":%s,"shownFrom":%s,"shownTo":%s}"""
        .formatted(
            id,
            length,
            random.nextInt(4) / 10.0,
            0.5 + random.nextInt(3) / 2.0,
            List.of("loop", "hold", "end").get(random.nextInt(3)),
            random.nextInt(5) > 0,
            random.nextInt(6) == 0,
            random.nextInt(8) / 4.0,
            3 + random.nextInt(30) / 4.0);
  }

  private static Scene chance(Random random, SceneShelf shelf, int deep) {
    StringBuilder items = new StringBuilder();
    for (int i = random.nextInt(3); i >= 0; i--) {
      items.append(items.isEmpty() ? "" : ",").append(chance(random, "f" + i));
    }
    for (int i = deep > 0 ? random.nextInt(3) : 0; i > 0; i--) {
      String scene = "inner" + deep + i;
      shelf.put(scene, chance(random, shelf, deep - 1));
      items.append(
          ",{\"kind\":\"inset\",\"id\":\"i%d\",\"scene\":\"%s\",\"begins\":%s,\"speed\":%s,\"atEnd\":\"%s\",\"shownFrom\":%s}"
              .formatted(
                  i,
                  scene,
                  random.nextInt(20) / 4.0 - 2,
                  0.5 + random.nextInt(3) / 2.0,
                  random.nextBoolean() ? "loop" : "hold",
                  random.nextInt(8) / 4.0));
    }
    return SceneCodec.read(
        """
        {"format":"roving-glyph-scene","version":2,"name":"Test","width":100,"height":100,
         "rate":"25","length":%s,"background":null,"items":[%s]}"""
            .formatted(4 + random.nextInt(20) / 4.0, items));
  }

  @Test
  void theSoundtrackHasWhatFootageShowsAtAnyTimeWithinScenesToo() {
    Random random = new Random(7);
    for (int n = 0; n < 400; n++) {
      SceneShelf shelf = new SceneShelf();
      Scene scene = shelf.filled(chance(random, shelf, 2));
      List<Soundtrack.Piece> pieces = Soundtrack.of(scene);
      for (int k = 0; k < 40 && pieces.size() < Soundtrack.MOST; k++) {
        double t = scene.length() * random.nextDouble();
        List<Double> now =
            pieces.stream()
                .filter(p -> p.at() <= t && t < p.at() + p.seconds())
                .map(p -> p.from() + (t - p.at()) * p.speed())
                .sorted()
                .toList();
        List<Double> wanted = heard(scene, t);
        assertThat(now).hasSameSizeAs(wanted);
        for (int i = 0; i < now.size(); i++) {
          assertThat(now.get(i)).isCloseTo(wanted.get(i), within(1e-6));
        }
      }
    }
  }

  private static List<String> proof(String fields) {
    return Proof.of(TestScenes.prepare(document(fields))).stream().map(Finding::message).toList();
  }

  /** What it advises is followed, and then it finds nothing any more. */
  @Test
  void proofTellsFootageThatGoesUnevenlyAndTheSpeedThatMendsIt() {
    for (double rate : new double[] {23.976, 24, 29.97, 30, 48, 59.94, 60, 12}) {
      List<String> found = proof("\"rate\":" + rate + ",\"length\":100");
      assertThat(found).as("%s", rate).hasSize(1);
      assertThat(found.get(0)).contains("does not go evenly");
      String speed = found.get(0).replaceAll(".*at a speed of ([0-9.]+) .*", "$1");
      assertThat(proof("\"rate\":" + rate + ",\"length\":100,\"speed\":" + speed)).isEmpty();
    }
    for (double rate : new double[] {25, 50, 12.5, 100, 6.25}) {
      assertThat(proof("\"rate\":" + rate + ",\"length\":100")).as("%s", rate).isEmpty();
    }
  }

  @Test
  void proofTellsFootageThatDoesNotCloseTheLoopAndTheSpeedThatDoes() {
    String loop = "\"rate\":25,\"atEnd\":\"loop\",\"length\":";
    assertThat(proof(loop + "5")).isEmpty();
    assertThat(proof(loop + "10")).isEmpty();
    List<String> found = proof(loop + "4");
    assertThat(found).hasSize(1);
    assertThat(found.get(0)).contains("at a speed of 0.8 it is");
    assertThat(proof(loop + "4,\"shownTo\":8")).isEmpty();
  }

  @Test
  void soundComesUpWhereTheFootageBeginsAndDiesAwayWhereItEnds() {
    Scene s =
        scene("\"rate\":10,\"length\":4,\"shownFrom\":1,\"level\":-6,\"fadeIn\":1,\"fadeOut\":2");
    Soundtrack.Piece p = Soundtrack.of(s).get(0);
    double plain = Math.pow(10, -0.3);
    assertThat(p.gain(1)).isZero();
    assertThat(p.gain(1.5)).isCloseTo(plain / 2, within(1e-9));
    assertThat(p.gain(2.5)).isCloseTo(plain, within(1e-9));
    assertThat(p.gain(4)).isCloseTo(plain / 2, within(1e-9));
    assertThat(p.gain(5)).isZero();
  }

  @Test
  void everyFrameThatIsShownIsSeenWhereItIsSaidToBeSeenFirst() {
    Random random = new Random(3);
    for (int n = 0; n < 300; n++) {
      double in = random.nextInt(20) / 30.0;
      double out = in + (1 + random.nextInt(60)) / 30.0;
      Footage f =
          footage(
              "\"pixelWidth\":64,\"pixelHeight\":36,\"rate\":30,\"length\":9,\"in\":%s,\"out\":%s,\"speed\":%s,\"shownFrom\":%s,\"atEnd\":\"%s\""
                  .formatted(
                      in,
                      out,
                      0.25 + random.nextInt(8) / 4.0,
                      random.nextInt(9) / 7.0,
                      List.of("end", "hold", "loop").get(n % 3)));
      long first = Math.round(in * 30);
      long last = Math.round(out * 30) - 1;
      for (long frame = first; frame <= last; frame++) {
        double seen = f.firstSeen(frame / 30.0);
        assertThat(frame(f, seen)).isEqualTo(frame);
        if (frame > first) {
          assertThat(frame(f, seen - 0.5 / 30 / f.speed())).isEqualTo(frame - 1);
        }
      }
      assertThat(frame(f, f.firstSeen(-1))).isEqualTo(first);
      assertThat(frame(f, f.firstSeen(99))).isEqualTo(last);
    }
  }

  @Test
  void aPinIsFollowedUpToWhatWasSetByHandOrWhereWhatIsShownEnds() {
    String frames =
        "{\"time\":0.5,\"how\":\"set\",\"points\":[[9,9]]},{\"time\":1,\"points\":[[9,9]]},{\"time\":2,\"how\":\"set\",\"points\":[[9,9]]}";
    Footage f =
        footage(
            "\"pixelWidth\":64,\"pixelHeight\":36,\"rate\":25,\"length\":9,\"in\":0.2,\"out\":6,\"pins\":[{\"id\":\"p\",\"frames\":["
                + frames
                + "]}]");
    FootagePin pin = f.pin("p");
    assertThat(f.followedUntil(pin, 1, true)).isEqualTo(2);
    assertThat(f.followedUntil(pin, 1, false)).isEqualTo(0.5);
    assertThat(f.followedUntil(pin, 2, true)).isEqualTo(5.98);
    assertThat(f.followedUntil(pin, 0.5, false)).isEqualTo(0.2);
  }
}
