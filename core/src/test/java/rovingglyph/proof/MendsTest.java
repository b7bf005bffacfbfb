package rovingglyph.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;

import com.eclipsesource.json.Json;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import rovingglyph.TestScenes;
import rovingglyph.edit.SceneEdits;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedScene;
import rovingglyph.scene.Scene;

/** A button that says it mends something does so, in scenes of chance. */
class MendsTest {
  private static final List<String> PATHS =
      List.of(
          TestScenes.CIRCLE,
          TestScenes.LINE,
          TestScenes.CORNER,
          TestScenes.drawn(900, 500, 100, 520),
          TestScenes.drawn(100, 200, 500, 640, 900, 200)
              .replace("\"points\"", "\"smooth\":true,\"points\""),
          "{\"id\":\"p\",\"kind\":\"rectangle\",\"x\":500,\"y\":500,\"width\":700,\"height\":300,\"rounding\":60}");
  private static final List<String> TEXTS =
      List.of("ab", "abcdefgh", "ab cd ef gh", "all the kites are up and away over the sea wall");
  private static final List<String> SEATS =
      List.of(
          "\"align\":\"middle\"",
          "\"align\":\"end\"",
          "\"side\":\"right\"",
          "\"startMargin\":300",
          "\"method\":\"bent\"",
          "\"fit\":\"spread\"",
          "\"pin\":600",
          "\"evenSpacing\":true",
          "\"baselineShift\":-40");
  private static final List<String> OFFSETS =
      List.of(
          TestScenes.offsets("{\"time\":0,\"value\":-900}", "{\"time\":1,\"value\":0}"),
          TestScenes.offsets(
              "{\"time\":0,\"value\":-3000}",
              "{\"time\":1,\"value\":0}",
              "{\"time\":1.2,\"value\":0}",
              "{\"time\":2,\"value\":3000}"),
          TestScenes.offsets(
              "{\"time\":0,\"value\":0}",
              "{\"time\":1,\"value\":100}",
              "{\"time\":2,\"value\":200}",
              "{\"time\":9,\"value\":200}"),
          TestScenes.offsets(
              "{\"time\":0,\"value\":0,\"landing\":\"inside-before\",\"distance\":20}",
              "{\"time\":4,\"value\":1200}"),
          "\"pathOffset\":{\"sway\":{\"amplitude\":60,\"period\":1.7}}",
          "\"pathOffset\":{\"cruise\":{\"pace\":\"per-second\",\"amount\":4500}}");

  private static <T> T one(Random chance, List<T> of) {
    return of.get(chance.nextInt(of.size()));
  }

  private static String scene(long seed) {
    Random chance = new Random(seed);
    String seat = one(chance, SEATS);
    if (chance.nextInt(3) > 0) {
      seat += "," + one(chance, OFFSETS);
    }
    String size =
        "\"opacity\":{\"keyframes\":[{\"time\":0,\"value\":50},{\"time\":7,\"value\":100}]}";
    String more = chance.nextInt(4) == 0 ? size : "\"tracking\":" + (chance.nextInt(5) - 2) / 10.0;
    return document(one(chance, PATHS), one(chance, TEXTS), seat, more);
  }

  private static boolean sameMend(Finding f, Finding other) {
    return !other.fix().isEmpty()
        && other.item().equals(f.item())
        && Json.parse(other.edit())
            .asObject()
            .getString("op", "")
            .equals(Json.parse(f.edit()).asObject().getString("op", ""))
        && other.message().replaceAll("[0-9.]+", "").equals(f.message().replaceAll("[0-9.]+", ""));
  }

  @Test
  void whatAButtonMendsIsFoundNoMore() {
    Map<String, Integer> mended = new TreeMap<>();
    for (long seed = 0; seed < 400; seed++) {
      PreparedScene before = prepare(scene(seed));
      for (Finding f : Proof.of(before)) {
        if (f.fix().isEmpty()) {
          continue;
        }
        Scene after = SceneEdits.apply(before.scene(), before, f.edit());
        List<Finding> left = Proof.of(Preparation.prepare(after, TestScenes::run));
        assertThat(left).as("seed %d: %s", seed, f).noneMatch(other -> sameMend(f, other));
        mended.merge(f.fix().replaceAll("[0-9.]+", "N"), 1, Integer::sum);
      }
    }
    assertThat(mended.keySet())
        .contains(
            "Blur what moves",
            "Keep them N px apart",
            "Let it rest longer",
            "Let go of the landing",
            "Make it readable",
            "Make the scene so long",
            "Make the sway loop",
            "Shrink it to fit",
            "Spread it evenly",
            "Take them out");
  }

  private static final List<String> KINDS = TestScenes.ITEM_KINDS;

  /** Whatever kind of thing it is about: it is there, and what mends it can be done. */
  @ParameterizedTest
  @FieldSource("KINDS")
  void ofEveryKindKeyframesAreTold(String kind) {
    String late =
        "\"%s\":{\"keyframes\":[{\"time\":1,\"value\":10},{\"time\":2,\"value\":20},{\"time\":3,\"value\":30},{\"time\":8,\"value\":90}]}";
    String channel =
        List.of("filled-path", "foreground-cut").contains(kind) ? "opacity" : "rotation";
    String document =
        "{\"format\":\"roving-glyph-scene\",\"version\":2,\"length\":4,\"width\":1000,\"height\":1000,\"paths\":["
            + TestScenes.PATHS
            + "],\"items\":["
            + TestScenes.item(kind, late.formatted(channel))
            + "]}";
    PreparedScene scene = prepare(document);
    List<Finding> found = Proof.of(scene).stream().filter(f -> f.item().equals("it")).toList();
    assertThat(found)
        .extracting(Finding::message)
        .anyMatch(m -> m.startsWith("A keyframe of " + channel) && m.endsWith("end of the scene"))
        .anyMatch(m -> m.startsWith("A keyframe of " + channel) && m.endsWith("changes nothing"));
    for (Finding f : found) {
      if (!f.fix().isEmpty()) {
        Scene after = SceneEdits.apply(scene.scene(), scene, f.edit());
        assertThat(Proof.of(Preparation.prepare(after, TestScenes::run)))
            .as(f.toString())
            .noneMatch(other -> sameMend(f, other));
      }
    }
  }
}
