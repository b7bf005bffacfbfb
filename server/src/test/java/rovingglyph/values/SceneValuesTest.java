package rovingglyph.values;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.scene.Scene;
import rovingglyph.scene.UnknownItem;
import rovingglyph.schema.DocumentException;

/**
 * Values from outside for every field of every kind of item: they are there, or refused in words.
 */
class SceneValuesTest {
  private static final Assets ASSETS =
      new Assets() {
        @Override
        public String face(String name) {
          return name.equals("Lobster") ? "lobster" : null;
        }

        @Override
        public KnownPicture picture(String name) {
          return name.equals("Lantern") ? new KnownPicture("picture-1", 640, 480) : null;
        }
      };

  private Scene scene;

  @BeforeEach
  void everything() throws IOException {
    scene =
        SceneCodec.read(Files.readString(Path.of("../core/src/test/resources/everything.json")));
  }

  private static String good(SceneField f, Random random) {
    double share = random.nextInt(5) / 4.0;
    return switch (f.kind()) {
      case TEXT -> random.nextBoolean() ? "Low tide" : "{\"not\":1}";
      case COLOUR -> random.nextBoolean() ? "#0f6b69" : "F00";
      case NUMBER -> {
        // Ends and between, as spreadsheets write them.
        double d = f.plain().min() + share * (f.plain().max() - f.plain().min());
        yield (d == Math.rint(d) ? Long.toString((long) d) : Double.toString(d)).replace('.', ',');
      }
      case FLAG -> List.of("yes", "no", "TRUE", "0").get(random.nextInt(4));
      case CHOICE ->
          f.plain().choices().get(random.nextInt(f.plain().choices().size())).replace('-', ' ');
      case FACE -> "Lobster";
      case PICTURE -> "Lantern";
    };
  }

  private static List<String> bad(SceneField f) {
    return switch (f.kind()) {
      case TEXT -> List.of("x".repeat((int) f.plain().max() + 1), "a\0b");
      case COLOUR -> List.of("red", "#12", "#GGGGGG", "rgb(0,0,0)");
      case NUMBER ->
          List.of("many", "NaN", "Infinity", "1e400", "" + (f.plain().max() * 1.1 + 1), "1 000");
      case FLAG -> List.of("perhaps", "2");
      case CHOICE -> List.of("kites", "");
      case FACE, PICTURE -> List.of("Nobody", "");
    };
  }

  private static JsonValue at(Scene scene, SceneField f) {
    JsonObject document = Json.parse(SceneCodec.write(scene)).asObject();
    if (f.item().equals(SceneField.SCENE)) {
      return document.get(f.plain().name());
    }
    for (JsonValue i : document.get("items").asArray()) {
      if (i.asObject().getString("id", "").equals(f.item())) {
        return i.asObject().get(f.plain().name());
      }
    }
    throw new AssertionError(f.item());
  }

  @Test
  void goodValuesAreThereOrTheSceneAsAWholeSaysWhyNot() {
    Random random = new Random(17);
    Set<SceneField.Kind> set = new HashSet<>();
    List<String> refused = new ArrayList<>();
    for (SceneField f : SceneField.of(scene)) {
      for (int n = 0; n < 4; n++) {
        String text = good(f, random);
        try {
          Scene out =
              SceneValues.applied(scene, List.of(SceneValues.Value.of(f.path(), text)), ASSETS);
          assertThat(at(out, f)).as("%s = %s", f.path(), text).isEqualTo(written(f, text));
          set.add(f.kind());
        } catch (BadValueException | DocumentException e) {
          assertThat(e.getMessage()).isNotBlank();
          refused.add(f.path() + "=" + text + ": " + e.getMessage());
        }
      }
    }
    assertThat(set).containsExactlyInAnyOrder(SceneField.Kind.values());
    // Few depend on others: an end before its beginning, a value that moves.
    assertThat(refused).as(String.join("\n", refused)).hasSizeLessThan(30);
  }

  /** What becomes of the value where it is written into the document by hand. */
  private JsonValue written(SceneField f, String text) {
    JsonObject document = Json.parse(SceneCodec.write(scene)).asObject();
    JsonValue value = CellValue.of(f, text, ASSETS);
    if (f.item().equals(SceneField.SCENE)) {
      document.set(f.plain().name(), value);
    }
    for (JsonValue i : document.get("items").asArray()) {
      if (i.asObject().getString("id", "").equals(f.item())) {
        i.asObject().set(f.plain().name(), value);
      }
    }
    return at(SceneCodec.read(document.toString()), f);
  }

  @Test
  void badValuesAreRefusedWithTheirField() {
    for (SceneField f : SceneField.of(scene)) {
      for (String text : bad(f)) {
        assertThatThrownBy(
                () ->
                    SceneValues.applied(
                        scene, List.of(SceneValues.Value.of(f.path(), text)), ASSETS))
            .as(f.path() + " = " + text)
            .isInstanceOf(BadValueException.class)
            .hasMessageStartingWith(f.path() + ": ");
      }
    }
  }

  @Test
  void everyKindOfItemHasFields() {
    Set<String> items = new HashSet<>();
    SceneField.of(scene).forEach(f -> items.add(f.item()));
    scene
        .items()
        .forEach(
            (id, item) ->
                assertThat(items.contains(id)).as(id).isEqualTo(!(item instanceof UnknownItem)));
  }
}
