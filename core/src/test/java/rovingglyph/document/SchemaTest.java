package rovingglyph.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import rovingglyph.TestScenes;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Field;
import rovingglyph.schema.Kinds;
import rovingglyph.schema.ObjectType;
import rovingglyph.schema.Problem;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Tables;
import rovingglyph.schema.WrongValues;

/**
 * Every field of every table, in a document that has them all: it comes back as it was, has its
 * default where it is left out, and is refused with its place, its value and what is allowed where
 * it is wrong. The fields and the wrong values are found from the tables, so that a new field is
 * tested as soon as the document has it; and that it has it is tested too.
 */
class SchemaTest {
  private static final String EVERYTHING = everything();

  private static final Map<String, JsonValue> NAMES =
      Map.of(
          "Drawing", Json.value("Picture"),
          "Group", Json.value("Group"),
          "ColourField", Json.value("Colour field"),
          "Picture", Json.value("Picture"),
          "Footage", Json.value("Footage"),
          "FilledPath", Json.value("Filled path"),
          "ForegroundCut", Json.value("Foreground cut"),
          "Inset", Json.value("Inset"));

  @Test
  void everyKindOfItemIsTestedAsOne() {
    assertThat(ItemList.KINDS.kinds())
        .extracting(Schema::kind)
        .hasSameElementsAs(TestScenes.ITEM_KINDS);
  }

  /** A field where it stands in the document. */
  private record Place(String schema, Field<?, ?> field, String path) {}

  private static String everything() {
    try (InputStream in = SchemaTest.class.getResourceAsStream("/everything.json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static List<Place> places() {
    List<Place> out = new ArrayList<>();
    visit(SceneCodec.schema(), Json.parse(EVERYTHING), "$", out);
    return out;
  }

  private static void visit(ObjectType<?> type, JsonValue at, String path, List<Place> out) {
    if (type instanceof Kinds<?> kinds) {
      String kind = at.asObject().getString(Schema.KIND, "");
      kinds.kinds().stream()
          .filter(s -> s.kind().equals(kind))
          .forEach(s -> visit(s, at, path, out));
      return;
    }
    for (Field<?, ?> f : ((Schema<?>) type).fields()) {
      JsonValue value = at.asObject().get(f.name());
      if (value != null) {
        out.add(new Place(type.name(), f, path + "." + f.name()));
        objects(f).forEach(inner -> within(inner, value, path + "." + f.name(), out));
      }
    }
  }

  /** Of a value that moves the object with its own range, not that of all such values. */
  private static List<? extends ObjectType<?>> objects(Field<?, ?> f) {
    return f.type() instanceof AnimatedType t
        ? List.of(t.exact(((AnimatedValue) f.fallback()).base()))
        : f.type().objects();
  }

  private static void within(ObjectType<?> type, JsonValue value, String path, List<Place> out) {
    if (value.isObject()) {
      boolean byTag = value.asObject().names().stream().allMatch(n -> n.length() == 4);
      if (!byTag || value.asObject().isEmpty()) {
        visit(type, value, path, out);
      }
    } else if (value.isArray()) {
      for (int i = 0; i < value.asArray().size(); i++) {
        visit(type, value.asArray().get(i), path + "[" + i + "]", out);
      }
    }
  }

  @Test
  void theDocumentHasEveryFieldOfEveryTable() {
    Set<String> wanted = new LinkedHashSet<>();
    for (Schema<?> s : Tables.from(SceneCodec.schema()).schemas()) {
      s.own().forEach(f -> wanted.add(s.name() + "." + f.name()));
    }
    places().forEach(p -> wanted.remove(p.schema() + "." + p.field().name()));
    // The shape of the objects is the same whatever the value: colours have none of these.
    wanted.removeIf(f -> f.startsWith("MovingColour.") || f.startsWith("ColourKeyframe."));
    assertThat(wanted).isEmpty();
  }

  @Test
  void itComesBackAsItWas() {
    JsonValue written = Json.parse(SceneCodec.write(SceneCodec.read(EVERYTHING)));
    assertSame(Json.parse(EVERYTHING), written, "$");
    assertThat(SceneCodec.read(written.toString())).isEqualTo(SceneCodec.read(EVERYTHING));
  }

  /** The same fields with the same values, in whatever order. */
  private static void assertSame(JsonValue was, JsonValue is, String path) {
    if (was.isObject()) {
      assertThat(is.asObject().names())
          .as(path)
          .containsExactlyInAnyOrderElementsOf(was.asObject().names());
      was.asObject()
          .forEach(
              m ->
                  assertSame(
                      m.getValue(), is.asObject().get(m.getName()), path + "." + m.getName()));
    } else if (was.isArray()) {
      assertThat(is.asArray().size()).as(path).isEqualTo(was.asArray().size());
      for (int i = 0; i < was.asArray().size(); i++) {
        assertSame(was.asArray().get(i), is.asArray().get(i), path + "[" + i + "]");
      }
    } else {
      assertThat(is).as(path).isEqualTo(was);
    }
  }

  @TestFactory
  Stream<DynamicTest> aFieldThatIsLeftOutHasItsDefault() {
    return places().stream()
        .filter(p -> p.field().presence() != Field.Presence.REQUIRED && standsAlone(p.path()))
        .map(p -> DynamicTest.dynamicTest(p.path(), () -> assertDefault(p)));
  }

  /** Without these, others of the same document are wrong too. */
  private static boolean standsAlone(String path) {
    return !List.of("$.paths", "$.items", "$.cues").contains(path)
        && !path.matches(".*\\.(points|d|members|stops|pins)|.*\\[[1-9]]\\.(time|offset)")
        // A colour that does not move is no object any longer.
        && !path.equals("$.items[0].fill.keyframes")
        // What changes shape has the points of its first one.
        && !path.startsWith("$.paths[11].points");
  }

  private static void assertDefault(Place p) {
    JsonValue without = Json.parse(EVERYTHING);
    holder(without, p.path()).remove(p.field().name());
    JsonValue written = Json.parse(SceneCodec.write(SceneCodec.read(without.toString())));
    JsonValue is = value(written, p.path());
    String fallback = Tables.fallback(p.field());
    if (p.path().matches("\\$\\.items\\[\\d+]\\.name")) {
      assertThat(is).as("called after its kind").isEqualTo(NAMES.get(p.schema()));
    } else if (p.field().name().equals("laps")) {
      assertThat(is).as("a landing after laps says how many").isEqualTo(Json.value(1));
    } else if (p.field().presence() == Field.Presence.DIFFERING) {
      assertThat(is).isNull();
    } else if (fallback == null) {
      assertThat(is.isNull()).isTrue();
    } else if (p.path().equals("$.stack")) {
      assertThat(is.asArray()).as("all items that are in no group").hasSize(10);
    } else if (p.path().matches("\\$\\.items\\[5]\\.[xy]")) {
      assertThat(is).as("where the centre is").isIn(Json.value(5), Json.value(6));
    } else {
      assertSame(Json.parse(fallback), is, p.path());
    }
  }

  @TestFactory
  Stream<DynamicTest> aFieldThatIsWrongIsToldWithItsValueAndWhatIsAllowed() {
    List<DynamicTest> out = new ArrayList<>();
    for (Place p : places()) {
      for (JsonValue wrong : WrongValues.of(p.field().type().jsonSchema())) {
        String shown = wrong.toString();
        String name = p.path() + " = " + (shown.length() > 40 ? shown.substring(0, 40) : shown);
        out.add(DynamicTest.dynamicTest(name, () -> assertRefused(p, wrong)));
      }
    }
    return out.stream();
  }

  private static void assertRefused(Place p, JsonValue wrong) {
    JsonValue with = Json.parse(EVERYTHING);
    holder(with, p.path()).set(p.field().name(), wrong);
    DocumentException e =
        catchThrowableOfType(DocumentException.class, () -> SceneCodec.read(with.toString()));
    String what = p.path() + " = " + wrong;
    assertThat(e).as("%s is refused", what).isNotNull();
    Problem told =
        e.problems().stream().filter(o -> o.path().equals(p.path())).findFirst().orElse(null);
    assertThat(told).as("%s is told, not only %s", what, e.getMessage()).isNotNull();
    assertThat(told.allowed()).as(what).isNotBlank();
    assertThat(told.reason()).as(what).matches(r -> names(r, wrong, p), "names the value");
  }

  /** The beginning of a long value, or of a long text or list how long it is. */
  private static boolean names(String reason, JsonValue wrong, Place p) {
    String text = wrong.toString();
    int length =
        wrong.isString()
            ? wrong.asString().length()
            : wrong.isArray() ? wrong.asArray().size() : -1;
    return reason.contains(text.length() > 24 ? text.substring(0, 24) : text)
        || reason.contains("has " + length + " ")
        || p.path().matches("\\$\\.(format|version)");
  }

  private static JsonObject holder(JsonValue document, String path) {
    return value(document, path.substring(0, path.lastIndexOf('.'))).asObject();
  }

  private static JsonValue value(JsonValue document, String path) {
    JsonValue at = document;
    for (String step : path.substring(1).split("(?=\\[)|\\.")) {
      if (step.startsWith("[")) {
        JsonArray list = at.asArray();
        at = list.get(Integer.parseInt(step.substring(1, step.length() - 1)));
      } else if (!step.isEmpty()) {
        at = at == null || !at.isObject() ? null : at.asObject().get(step);
      }
    }
    return at;
  }
}
