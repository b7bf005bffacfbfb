package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Field;
import rovingglyph.schema.Problem;
import rovingglyph.schema.WrongValues;

/** What holds for every kind of edit, those to come included. */
class CommandsTest {
  private static final Scene SCENE = SceneCodec.read(everything());

  private static String everything() {
    try (InputStream in = CommandsTest.class.getResourceAsStream("/everything.json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  static List<Command> commands() {
    return Commands.all();
  }

  private static List<Problem> problems(JsonObject edit) {
    Throwable e = catchThrowable(() -> SceneEdits.apply(SCENE, edit.toString()));
    return e instanceof RefusedEdit refused ? refused.problems() : List.of();
  }

  private static JsonObject edit(Command c) {
    return new JsonObject().add(Command.OP, c.op());
  }

  @TestFactory
  Stream<DynamicTest> anArgumentThatIsWrongIsToldWithItsField() {
    List<DynamicTest> out = new ArrayList<>();
    for (Command c : Commands.all()) {
      for (Field<?, ?> f : c.arguments().fields()) {
        for (JsonValue wrong : WrongValues.of(f.type().jsonSchema())) {
          JsonObject edit = edit(c).add(f.name(), wrong);
          String name = edit.toString();
          out.add(
              DynamicTest.dynamicTest(
                  name.length() > 80 ? name.substring(0, 80) : name,
                  () ->
                      assertThat(problems(edit))
                          .filteredOn(p -> p.path().startsWith("$." + f.name()))
                          .isNotEmpty()
                          .allSatisfy(p -> assertThat(p.reason()).isNotBlank())
                          .allSatisfy(p -> assertThat(p.allowed()).isNotBlank())));
        }
      }
    }
    return out.stream();
  }

  @ParameterizedTest
  @MethodSource("commands")
  void whatIsMissingIsToldAtOnce(Command c) {
    List<String> required =
        c.arguments().fields().stream()
            .filter(f -> f.presence() == Field.Presence.REQUIRED)
            .map(f -> "$." + f.name())
            .toList();
    assertThat(problems(edit(c))).extracting(Problem::path).containsExactlyElementsOf(required);
  }

  @ParameterizedTest
  @MethodSource("commands")
  void whatIsNotKnownIsTold(Command c) {
    List<Problem> told = problems(edit(c).add("sideways", 1));
    assertThat(told.stream().anyMatch(p -> p.path().equals("$.sideways"))).isEqualTo(!c.isOpen());
  }

  /**
   * Arguments of chance: a good document comes out, or a refusal in words, at the latest by the
   * rules of the document; never anything else.
   */
  @ParameterizedTest
  @MethodSource("commands")
  void whateverIsAskedTheDocumentStaysGood(Command c) {
    Random random = new Random(c.op().hashCode());
    int made = 0;
    boolean standing = List.of("side", "readable", "closeLoop", "followers").contains(c.op());
    // Some need luck until one fits what is in the scene.
    for (int i = 0; i < 120 || (made == 0 && !standing && i < 3000); i++) {
      JsonObject edit = Chance.edit(c, random);
      try {
        Scene edited = SceneEdits.apply(SCENE, edit.toString());
        SceneCodec.read(SceneCodec.write(edited));
        made++;
      } catch (IllegalArgumentException | DocumentException e) {
        assertThat(e.getMessage()).as(edit.toString()).isNotBlank();
      } catch (RuntimeException e) {
        throw new AssertionError(edit + " failed", e);
      }
    }
    assertThat(made)
        .as("edits that could be made: " + c.op())
        .matches(n -> standing ? n == 0 : n > 0);
  }

  /** Edits whose arguments are in range and name what is in the scene, mostly. */
  private static final class Chance {
    private static final List<String> ITEMS =
        List.of(
            "words", "words", "words", "words", "words", "other", "kite", "kite", "kite", "sky",
            "photo", "harbour", "harbour", "badge", "front", "within", "unknown", "pair", "circle",
            "plan");
    private static final List<String> PATHS =
        List.of("drawn", "open", "smooth", "freehand", "line", "arc", "wave", "circle", "nobody");
    private static final Map<String, List<String>> IDS =
        Map.ofEntries(
            Map.entry("item", ITEMS),
            Map.entry("path", PATHS),
            Map.entry("of", PATHS),
            Map.entry("on", PATHS),
            Map.entry("to", List.of("open", "line", "arc", "wave", "followed", "followed")),
            Map.entry("pin", List.of("followed", "followed", "nobody")),
            Map.entry("other", List.of("open", "line", "arc", "wave", "smooth")),
            Map.entry("cue", List.of("beat", "nobody")),
            Map.entry("guide", List.of("mid", "nobody")),
            Map.entry("effect", List.of("soft", "below", "shine", "cast", "cast", "later", "own")),
            Map.entry("option", List.of("side", "blendMode", "nothing")),
            Map.entry("choice", List.of("outer", "inner", "screen", "lime")),
            Map.entry("along", PATHS),
            Map.entry("into", List.of("pair", "", "words")));
    private static final List<String> CHANNELS =
        List.of(
            "pathOffset",
            "pathOffset",
            "pathOffset",
            "size",
            "fill",
            "opacity",
            "axis-wght",
            "rotation",
            "x",
            "scale",
            "radius",
            "softEdge",
            "effect-soft-stdDeviation",
            "effect-shine-colour",
            "revealTo",
            "startAngle");
    private static final double[] NUMBERS = {0, 1, -1, 0.5, 2, 3.04, 10, 45, 100, 300, -250, 5000};

    static JsonObject edit(Command c, Random r) {
      JsonObject out = CommandsTest.edit(c);
      for (Field<?, ?> f : c.arguments().fields()) {
        if (f.presence() == Field.Presence.REQUIRED || r.nextInt(3) > 0) {
          JsonValue v = value(f, r);
          if (v != null) {
            out.add(f.name(), v);
          }
        }
      }
      return out;
    }

    private static JsonValue value(Field<?, ?> f, Random r) {
      switch (f.name()) {
        case "channel":
          return Json.value(CHANNELS.get(r.nextInt(CHANNELS.size())));
        case "id":
          return Json.value("new");
        case "path":
          return f.type() instanceof JsonType
              ? Json.parse("{\"kind\":\"line\",\"length\":300}")
              : id(f.name(), r);
        case "items":
          return new JsonArray().add(id("item", r)).add(id("item", r));
        case "copied":
          return Json.value(Copies.copy(SCENE, List.of(ITEMS.get(r.nextInt(18)))));
        case "fields":
          return fields(r);
        case "keys":
          return Json.parse("[{\"time\":1,\"value\":5}]");
        case "paths":
          return Json.parse("[{\"id\":\"new\",\"d\":\"M0 0L9 9\"}]");
        case "parts":
          return Json.parse("[{\"d\":\"M0 0H9V9Z\",\"fill\":\"#336699\"}]");
        case "moment":
          return Json.value(0.5 + r.nextInt(20) / 25.0);
        case "frames":
          return Json.parse("[{\"time\":0.12,\"points\":[[1,2]]}]");
        case "effects":
          return Json.parse("[{\"id\":\"e\",\"kind\":\"blur\"}]");
        case "colour":
          return Json.value("#C4472D");
        case "text":
          return Json.value("1\n00:00:01,000 --> 00:00:02,000\nGust\n");
        case "d":
          return Json.value("M0 0L9 9");
        default:
          return of(f.name(), f.type().jsonSchema(), r);
      }
    }

    private static JsonValue fields(Random r) {
      List<String> some =
          List.of(
              "{\"text\":\"New\"}",
              "{\"seat\":{\"align\":\"end\"}}",
              "{\"path\":\"line\"}",
              "{\"name\":\"New\"}",
              "{\"width\":640}",
              "{\"background\":null}",
              "{\"x\":7}",
              "{\"trail\":null,\"blur\":30}",
              "{\"opacity\":1000}",
              "{\"members\":[]}");
      return Json.parse(some.get(r.nextInt(some.size())));
    }

    private static JsonValue of(String name, JsonObject schema, Random r) {
      if (schema.get("anyOf") != null) {
        JsonArray any = schema.get("anyOf").asArray();
        return of(name, any.get(r.nextInt(any.size())).asObject(), r);
      }
      if (schema.get("enum") != null) {
        JsonArray all = schema.get("enum").asArray();
        return all.get(r.nextInt(all.size()));
      }
      return switch (schema.getString("type", "")) {
        case "number" -> Json.value(NUMBERS[r.nextInt(NUMBERS.length)]);
        case "integer" -> Json.value(Math.max(schema.getInt("minimum", 0), 0) + r.nextInt(4));
        case "boolean" -> Json.value(r.nextBoolean());
        case "string" -> id(name, r);
        case "array" -> list(name, schema.get("items").asObject(), r);
        case "null" -> Json.NULL;
        default -> null;
      };
    }

    private static JsonValue list(String name, JsonObject items, Random r) {
      JsonArray out = new JsonArray();
      for (int i = r.nextInt(4); i > 0; i--) {
        boolean numbers = items.get("minimum") != null;
        out.add(numbers ? Json.value(r.nextInt(3)) : of(name, items, r));
      }
      return out;
    }

    private static JsonValue id(String name, Random r) {
      List<String> some = IDS.getOrDefault(name, ITEMS);
      return Json.value(some.get(r.nextInt(some.size())));
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{'op':'move','item':'words','channel':'pathOffset','index':0,'time':1} | Moved a keyframe",
        "{'op':'set','item':'words','channel':'size','time':0,'value':1} | Set size",
        "{'op':'change','items':['words'],'fields':{'faceName':'x'}} | Changed face name",
      })
  void anEditHasAName(String edit, String name) {
    assertThat(SceneEdits.done(edit.replace('\'', '"'))).isEqualTo(name);
  }

  @Test
  void aKeyframeDraggedPastTheLastTimeStaysThere() {
    String edit =
        "{\"op\":\"move\",\"item\":\"words\",\"channel\":\"pathOffset\",\"index\":0,\"time\":5000}";
    Scene s = SceneEdits.apply(SCENE, edit);
    List<Keyframe> keys = s.item("words").movable(Channel.PATH_OFFSET).keyframes();
    assertThat(keys.get(keys.size() - 1).time()).isBetween(3598.0, 3600.0);
  }

  @Test
  void whatIsNoEditIsSaid() {
    assertThatThrownBy(() -> SceneEdits.apply(SCENE, "{\"op\":\"vanish\"}"))
        .hasMessage("There is no edit \"vanish\"");
  }
}
