package rovingglyph.generate;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import rovingglyph.document.SceneCodec;
import rovingglyph.schema.DocumentException;

/** The JSON Schema against the reader, by somebody else's validator. */
class DocumentSchemaTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final JsonSchema SCHEMA =
      JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
          .getSchema(DocumentSchema.text());

  private static final List<String> PUT_ANYWHERE =
      List.of("-1", "0.5", "1e9", "true", "\"of-later\"", "\"\"", "null", "[]", "{}");

  private static JsonNode everything() throws IOException {
    return JSON.readTree(
        Files.readString(Path.of("..", "core", "src", "test", "resources", "everything.json")));
  }

  @Test
  void documentsThatAreReadAreValid() throws IOException {
    assertThat(SCHEMA.validate(everything())).isEmpty();
    try (Stream<Path> demo = Files.walk(Path.of("..", "demo"))) {
      List<Path> scenes = demo.filter(p -> p.toString().endsWith(".json")).toList();
      for (Path scene : scenes) {
        String text = Files.readString(scene);
        if (text.contains("\"" + SceneCodec.FORMAT + "\"")) {
          String complete = SceneCodec.write(SceneCodec.read(text));
          assertThat(SCHEMA.validate(JSON.readTree(complete))).as(scene.toString()).isEmpty();
        }
      }
    }
  }

  /** The reader may know more: references, orders, sums. It may not let in what is not valid. */
  @Test
  void whatIsNotValidIsNotRead() throws IOException {
    JsonNode document = everything();
    List<Runnable> changes = new ArrayList<>();
    int[] refused = {0};
    everywhere(document, document, changes, refused);
    changes.forEach(Runnable::run);
    assertThat(changes).hasSizeGreaterThan(4000);
    assertThat(refused[0]).as("values that are not valid").isGreaterThan(changes.size() / 2);
  }

  private static void everywhere(
      JsonNode at, JsonNode document, List<Runnable> changes, int[] refused) {
    if (at instanceof ObjectNode o) {
      o.fieldNames()
          .forEachRemaining(
              name -> {
                JsonNode was = o.get(name);
                everywhere(was, document, changes, refused);
                for (String value : PUT_ANYWHERE) {
                  changes.add(
                      () -> {
                        o.set(name, node(value));
                        compare(document, name + " = " + value, refused);
                        o.set(name, was);
                      });
                }
              });
    } else if (at instanceof ArrayNode a) {
      a.forEach(inner -> everywhere(inner, document, changes, refused));
    }
  }

  private static void compare(JsonNode document, String what, int[] refused) {
    boolean valid = SCHEMA.validate(document).isEmpty();
    refused[0] += valid ? 0 : 1;
    if (!valid) {
      assertThat(isRead(document)).as("%s is not valid, but is read", what).isFalse();
    }
  }

  private static boolean isRead(JsonNode document) {
    try {
      SceneCodec.read(document.toString());
      return true;
    } catch (DocumentException e) {
      return false;
    }
  }

  private static JsonNode node(String text) {
    try {
      return JSON.readTree(text);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }
}
