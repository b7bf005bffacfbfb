package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.FrameEntries;
import rovingglyph.frame.FramePaint;
import rovingglyph.frame.Op;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.Scene;

/** Groups whose members look the same without them. */
class TakenApartTest {
  private static final String APART = "{\"op\":\"ungroup\",\"item\":\"g\"}";

  static Stream<String> kinds() {
    return TestScenes.ITEM_KINDS.stream();
  }

  private static String document(String kind, String more, String group) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"Apart","width":1000,"height":1000,"rate":"25",
         "length":4,"paths":[%s],"items":[%s,
         {"kind":"group","id":"g","members":["it"],"centre":[450,470]%s}]}"""
        .formatted(TestScenes.PATHS, TestScenes.item(kind, more), group);
  }

  private static String moving(String a, String b, String easing) {
    return "{\"keyframes\":[{\"time\":0.5,\"value\":%s,\"easing\":\"%s\"},{\"time\":3,\"value\":%s}]}"
        .formatted(a, easing, b);
  }

  /** What a group may do, by chance: each of its values still or moving, or as it was. */
  private static String group(Random random) {
    StringBuilder out = new StringBuilder();
    String[][] values = {
      {"x", "450", "300", "700"},
      {"y", "470", "200", "600"},
      {"scale", "1", "0.5", "2"},
      {"rotation", "0", "-70", "120"},
      {"opacity", "100", "20", "90"}
    };
    for (String[] v : values) {
      String sway = "{\"still\":%s,\"sway\":{\"amplitude\":0.3,\"period\":2}}".formatted(v[2]);
      String value =
          switch (random.nextInt(6)) {
            case 0 -> v[2];
            case 1 -> moving(v[2], v[3], "gentle-both");
            case 2 -> sway;
            default -> v[1];
          };
      out.append(",\"" + v[0] + "\":" + value);
    }
    return out.toString();
  }

  /** Where all that is painted lies: maps, points and paints. */
  private static List<double[]> places(PreparedScene p, double time) {
    List<double[]> out = new ArrayList<>();
    double alpha = 1;
    List<Double> round = new ArrayList<>(List.of(1.0));
    for (FrameEntries.Entry e : FrameEntries.of(p.at(time))) {
      if (e.op() == Op.PUSH) {
        alpha *= e.layer().alpha();
        round.add(alpha);
      } else if (e.op() == Op.POP) {
        round.remove(round.size() - 1);
        alpha = round.get(round.size() - 1);
      }
      FramePaint paint = e.paint();
      if (paint != null) {
        out.add(new double[] {paint.alpha() * alpha});
        if (paint.map() != null) {
          out.add(numbers(paint.map().flat()));
        }
      }
      e.maps().forEach(m -> out.add(numbers(m)));
      e.points().forEach(q -> out.add(new double[] {q.x(), q.y()}));
    }
    return out;
  }

  private static double[] numbers(Affine m) {
    return new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()};
  }

  private static void assertSame(PreparedScene a, PreparedScene b, String what) {
    for (double t = 0; t < 4; t += 0.23) {
      List<double[]> before = places(a, t);
      List<double[]> after = places(b, t);
      assertThat(after).as(what).hasSameSizeAs(before);
      for (int i = 0; i < before.size(); i++) {
        assertThat(after.get(i)).as(what + " at " + t).containsExactly(before.get(i), within(1e-6));
      }
    }
  }

  /** Either it looks the same at all times, or it is said why it cannot. */
  @ParameterizedTest
  @MethodSource("kinds")
  void looksTheSameOrSaysWhyNot(String kind) {
    Random random = new Random(kind.hashCode());
    int made = 0;
    for (int i = 0; i < 120; i++) {
      boolean placed = List.of("drawing", "picture", "group").contains(kind);
      String own =
          placed && random.nextInt(3) == 0 ? "\"rotation\":" + moving("0", "40", "linear") : "";
      own = placed && random.nextInt(3) == 0 ? "\"scale\":1.5" : own;
      String json = document(kind, own, group(random));
      Scene s = SceneCodec.read(json);
      Scene apart;
      try {
        apart = SceneEdits.apply(s, APART);
      } catch (IllegalArgumentException e) {
        assertThat(e.getMessage()).startsWith("It cannot look the same without the group: ");
        continue;
      }
      made++;
      assertThat(apart.item("g")).isNull();
      assertSame(
          TestScenes.prepare(json), TestScenes.prepare(SceneCodec.write(apart)), kind + json);
    }
    assertThat(made).as("groups that could be taken apart").isGreaterThan(20);
  }

  /** Also where both move, as long as one motion does what both do. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"x\":{\"cruise\":{\"amount\":40}},\"y\":470 | \"x\":{\"still\":480,\"sway\":{\"amplitude\":30,\"period\":2}}",
        "\"x\":{\"cruise\":{\"amount\":40}} | \"x\":{\"still\":480,\"cruise\":{\"amount\":-15}}",
        "\"rotation\":30,\"scale\":2 | \"x\":{\"still\":480,\"cruise\":{\"amount\":-15}}",
        "\"rotation\":{\"cruise\":{\"amount\":90}} | \"rotation\":20,\"x\":600,\"y\":300",
        "\"rotation\":{\"cruise\":{\"amount\":90}} | \"rotation\":{\"cruise\":{\"amount\":-30}},\"x\":450,\"y\":470",
        "\"scale\":{\"still\":1,\"sway\":{\"amplitude\":0.2,\"period\":2}} | \"x\":700,\"scale\":0.5"
      })
  void joinsMotions(String group, String own) {
    for (String kind : List.of("drawing", "picture", "colour-field")) {
      String json =
          document(kind, own, "," + group)
              .replaceFirst("\"x\":500,\"y\":480,", own.contains("\"y\"") ? "" : "\"y\":480,");
      Scene apart = SceneEdits.apply(SceneCodec.read(json), APART);
      assertSame(TestScenes.prepare(json), TestScenes.prepare(SceneCodec.write(apart)), json);
    }
  }

  /** Words go with a copy of their path, where others are on it; without one, where none are. */
  @Test
  void movesThePathsOfWords() {
    String json = document("lettering", "", ",\"rotation\":30,\"x\":500");
    Scene s = SceneCodec.read(json);
    Scene apart = SceneEdits.apply(s, APART);
    assertThat(apart.paths()).hasSameSizeAs(s.paths());
    String shared =
        json.replace(
            "\"items\":[",
            "\"items\":[{\"kind\":\"lettering\",\"id\":\"other\",\"text\":\"n\",\"path\":\"p\"},");
    Scene both = SceneEdits.apply(SceneCodec.read(shared), APART);
    assertThat(both.paths()).hasSize(s.paths().size() + 1);
    assertThat(both.path("p")).isEqualTo(s.path("p"));
    assertSame(TestScenes.prepare(shared), TestScenes.prepare(SceneCodec.write(both)), "a copy");
  }

  /** A cut of a member stays on its spot of it. */
  @ParameterizedTest
  @MethodSource("kinds")
  void keepsCutsOfItsMembers(String kind) {
    String json =
        document(kind, "", ",\"rotation\":30,\"x\":500")
            .replace(
                "{\"kind\":\"group\",\"id\":\"g\"",
                "{\"kind\":\"foreground-cut\",\"id\":\"cut\",\"source\":\"it\",\"path\":\"area\"},"
                    + "{\"kind\":\"group\",\"id\":\"g\"");
    Scene apart = SceneEdits.apply(SceneCodec.read(json), APART);
    PreparedScene a = TestScenes.prepare(json);
    PreparedScene b = TestScenes.prepare(SceneCodec.write(apart));
    for (Point p : List.of(new Point(480, 400), new Point(560, 520))) {
      Point was = a.standing(cut(a), 1).apply(p);
      assertThat(b.standing(cut(b), 1).apply(p).distance(was)).isLessThan(1e-6);
    }
  }

  private static ForegroundCut cut(PreparedScene p) {
    return (ForegroundCut) p.scene().item("cut");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        ",\"effects\":[{\"id\":\"e\",\"kind\":\"blur\"}] | | finish",
        ",\"rotation\":20 | \"effects\":[{\"id\":\"e\",\"kind\":\"drop-shadow\"}] | shadow",
        ",\"scale\":2 | \"effects\":[{\"id\":\"e\",\"kind\":\"blur\"}] | finish",
        ",\"clip\":{\"path\":\"area\"} | \"clip\":{\"path\":\"area\"} | clip of its own",
        ",\"x\":300 | \"ride\":{\"path\":\"p\"} | rides a path",
        ",\"shownTo\":1 | \"shownFrom\":2 | never there"
      })
  void saysWhatStandsAgainstIt(String group, String own, String why) {
    for (String kind : kinds().toList()) {
      String json = document(kind, own == null ? "" : own, group);
      assertThatThrownBy(() -> SceneEdits.apply(SceneCodec.read(json), APART))
          .as(kind)
          .hasMessageContaining(why);
      String plain = APART.replace("}", ",\"plain\":true}");
      assertThat(SceneEdits.apply(SceneCodec.read(json), plain).item("g")).isNull();
    }
  }

  /** Times, clip, matte, blend mode and ride of the group are the member's afterwards. */
  @ParameterizedTest
  @MethodSource("kinds")
  void handsOnWhatElseItHas(String kind) {
    String group =
        ",\"shownFrom\":1,\"shownTo\":3,\"clip\":{\"path\":\"area\",\"softEdge\":9},\"blendMode\":\"multiply\","
            + "\"ride\":{\"path\":\"p\",\"point\":[400,400],\"pathOffset\":50}";
    String json = document(kind, "", group);
    Scene apart = SceneEdits.apply(SceneCodec.read(json), APART);
    assertSame(TestScenes.prepare(json), TestScenes.prepare(SceneCodec.write(apart)), kind);
    assertThat(apart.item("it").properties().shownFrom()).isEqualTo(1);
    boolean rides = apart.item("it").properties().ride() != null;
    assertThat(rides).isEqualTo(!kind.equals("foreground-cut"));
  }
}
