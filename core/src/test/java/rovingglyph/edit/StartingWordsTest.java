package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.ShapeKind;
import rovingglyph.seat.Placement;

/** New words are right at once: upright, in the middle, on a path of their own. */
class StartingWordsTest {
  private static final String EMPTY =
      "{\"format\":\"roving-glyph-scene\",\"version\":2,\"width\":1600,\"height\":900}";

  private static Scene empty() {
    return SceneCodec.read(EMPTY);
  }

  private static Scene edit(Scene s, String op, String more) {
    return SceneEdits.apply(s, "{\"op\":\"" + op + "\"," + more + "}");
  }

  private static Scene words(Scene s, String id) {
    String more = "\"id\":\"%s\",\"circle\":\"%s-circle\",\"text\":\"kites\"".formatted(id, id);
    return edit(s, "addLettering", more);
  }

  private static PreparedLettering prepared(Scene s, String id) {
    return Preparation.prepare(s, TestScenes::run).letterings().get(id);
  }

  private static List<Placement> places(PreparedLettering l) {
    return l.inFrame(l.seating(l.values(0)));
  }

  private static Point middle(List<Placement> places) {
    double x = places.stream().mapToDouble(p -> p.at().x()).average().orElseThrow();
    double y = places.stream().mapToDouble(p -> p.at().y()).average().orElseThrow();
    return new Point(x, y);
  }

  private static double upright(List<Placement> places) {
    return places.stream().mapToDouble(p -> Math.cos(p.angle())).average().orElseThrow();
  }

  @Test
  void wordsOnTheirCircleAreUprightAtItsTop() {
    List<Placement> places = places(prepared(words(empty(), "a"), "a"));
    assertThat(middle(places).x()).isCloseTo(800, offset(0.01));
    assertThat(middle(places).y()).isLessThan(450 - 0.3 * 900);
    assertThat(places.get(2).angle()).isCloseTo(0, offset(1e-4));
  }

  @ParameterizedTest
  @EnumSource(
      mode = EnumSource.Mode.EXCLUDE,
      names = {"SPIRAL", "LOOP"})
  void onANewShapeTheyAreUprightInItsMiddle(ShapeKind kind) {
    Scene s = words(empty(), "a");
    String shape = "\"id\":\"s\",\"seat\":\"a\",\"kind\":\"%s\"";
    s = edit(s, "newShape", shape.formatted(kind.name().toLowerCase()));
    assertThat(s.item("a"))
        .isInstanceOfSatisfying(Lettering.class, l -> assertThat(l.path()).isEqualTo("s"));
    List<Placement> places = places(prepared(s, "a"));
    assertThat(upright(places)).isPositive();
    if (kind.closed()) {
      assertThat(middle(places).x()).isCloseTo(800, offset(25.0));
      assertThat(middle(places).y()).isLessThan(450);
    }
    // The circle that the words came with is gone.
    assertThat(s.paths()).hasSize(1);
  }

  @Test
  void aPathThatReadsOnFromItsStartOnlyHasThemThere() {
    String ring = TestScenes.CIRCLE.replace("\"id\":\"p\"", "\"id\":\"ring\"");
    Scene s = SceneCodec.read(EMPTY.replace("\"width\"", "\"paths\":[" + ring + "],\"width\""));
    s = words(s, "a");
    assertThat(((Lettering) s.item("a")).path()).isEqualTo("ring");
    assertThat(upright(places(prepared(s, "a")))).isPositive();
  }

  @Test
  void furtherWordsHaveOtherPaths() {
    Scene s = empty();
    for (String id : List.of("a", "b", "c", "d", "e", "f", "g")) {
      s = words(s, id);
    }
    PathLabel alike = new PathLabel("p", "");
    assertThat(s.paths().stream().map(p -> p.with(alike)).distinct()).hasSize(7);
    assertThat(s.letterings().stream().map(Lettering::path).distinct()).hasSize(7);
  }

  @Test
  void howeverManyThereAreNewWordsAreInTheFrame() {
    Scene s = empty();
    for (int i = 0; i < 60; i++) {
      s = words(s, "w" + i);
    }
    for (PreparedLettering l : Preparation.prepare(s, TestScenes::run).letterings().values()) {
      for (Placement p : places(l)) {
        assertThat(p.at().x()).isBetween(0.0, 1600.0);
        assertThat(p.at().y()).isBetween(0.0, 900.0);
      }
    }
  }

  @Test
  void aCircleGoesWithItsLastWords() {
    Scene two = words(words(empty(), "a"), "b");
    Scene same = edit(two, "sit", "\"item\":\"b\",\"on\":\"a-circle\"");
    assertThat(same.paths()).extracting(p -> p.id()).containsExactly("a-circle");
    Scene one = edit(same, "deleteItem", "\"item\":\"a\"");
    assertThat(one.paths()).hasSize(1);
    assertThat(edit(one, "deleteItem", "\"item\":\"b\"").paths()).isEmpty();
  }

  @Test
  void aCircleThatIsUsedOrOfWhichSomethingWasMadeStays() {
    Scene one = words(empty(), "a");
    String gone = "\"item\":\"a\"";
    Scene filled = edit(one, "fillPath", "\"id\":\"f\",\"on\":\"a-circle\"");
    assertThat(edit(filled, "deleteItem", gone).paths()).hasSize(1);
    String document = SceneCodec.write(one);
    for (String other : List.of("\"radius\":320", "\"name\":\"Rim\"")) {
      String field = other.substring(0, other.indexOf(':'));
      Scene changed = SceneCodec.read(document.replaceFirst(field + ":(\"Circle 1\"|315)", other));
      assertThat(changed.paths()).isNotEqualTo(one.paths());
      assertThat(edit(changed, "deleteItem", gone).paths()).hasSize(1);
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"left", "right"})
  void madeReadableTheyAreBroughtRoundBeforeTheyChangeSides(String side) {
    boolean left = side.equals("left");
    String seat = "\"align\":\"middle\",\"side\":\"%s\",\"pathOffset\":%d";
    PreparedScene s =
        prepare(document(TestScenes.CIRCLE, "kites", seat.formatted(side, left ? 40 : 660), ""));
    assertThat(upright(places(s.letterings().get("l")))).isNegative();
    String readable = "{\"op\":\"readable\",\"item\":\"l\",\"time\":0}";
    Scene out = SceneEdits.apply(s.scene(), s, readable);
    Lettering l = (Lettering) out.item("l");
    assertThat(l.seat().side().name()).isEqualToIgnoringCase(side);
    List<Placement> places = places(prepared(out, "l"));
    assertThat(places.get(2).angle()).isCloseTo(0, offset(1e-3));
  }

  @Test
  void onAnOpenPathTheyChangeSides() {
    String back = TestScenes.drawn(900, 500, 100, 500);
    PreparedScene s = prepare(document(back, "kites", "", ""));
    Scene out = SceneEdits.apply(s.scene(), s, "{\"op\":\"readable\",\"item\":\"l\",\"time\":0}");
    assertThat(upright(places(prepared(out, "l")))).isPositive();
  }

  private static Stream<String> methods() {
    return Stream.of("rigid", "bent")
        .flatMap(
            m ->
                Stream.of("turn", "upright")
                    .map(o -> "\"method\":\"" + m + "\",\"orientation\":\"" + o + "\""));
  }

  @ParameterizedTest
  @MethodSource("methods")
  void lettersStandOnTheLineLieAcrossItOrHangFromIt(String seat) {
    // The boxes of the tests' face are 70 px high at a size of 100.
    assertInk(seat, 430, 500);
    assertInk(seat + ",\"baseline\":\"central\"", 465, 535);
    assertInk(seat + ",\"baseline\":\"hanging\"", 500, 570);
    assertInk(seat + ",\"baseline\":\"hanging\",\"baselineShift\":-10", 510, 580);
  }

  private static void assertInk(String seat, double top, double bottom) {
    PreparedScene s = prepare(document(TestScenes.LINE, "kites", seat, ""));
    assertThat(s.itemAt(new Point(140, top + 3), 0, 0.5)).as(seat).isNotEmpty();
    assertThat(s.itemAt(new Point(140, bottom - 3), 0, 0.5)).as(seat).isNotEmpty();
    assertThat(s.itemAt(new Point(140, top - 3), 0, 0.5)).as(seat).isEmpty();
    assertThat(s.itemAt(new Point(140, bottom + 3), 0, 0.5)).as(seat).isEmpty();
  }
}
