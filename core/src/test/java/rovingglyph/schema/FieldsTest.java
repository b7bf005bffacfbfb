package rovingglyph.schema;

import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.Json;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Landing;

/** Single fields: what is missing gives the default, what is wrong gives it too and is told. */
class FieldsTest {
  private final List<Problem> problems = new ArrayList<>();

  @BeforeEach
  void clear() {
    problems.clear();
  }

  private Fields fields(String json) {
    return new Fields(Json.parse(json), "$", problems);
  }

  @Test
  void missingAndNullAreTheDefault() {
    Fields f = fields("{\"a\":null}");
    assertThat(f.number("a", 0, 1, 0.5)).isEqualTo(0.5);
    assertThat(f.text("b", 5, "x")).isEqualTo("x");
    assertThat(f.flag("c", true)).isTrue();
    assertThat(f.colour("d", null)).isNull();
    assertThat(f.point("e", 9, Point.ORIGIN)).isEqualTo(Point.ORIGIN);
    assertThat(f.list("f", 5, x -> x)).isEmpty();
    assertThat(problems).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"\"5\"", "true", "[]", "1e999", "-1e999", "101", "-0.001"})
  void numbersOfTheWrongKindOrRangeAreTold(String value) {
    assertThat(fields("{\"a\":" + value + "}").number("a", 0, 100, 7)).isEqualTo(7);
    assertThat(problems).hasSize(1);
    assertThat(problems.get(0).path()).isEqualTo("$.a");
    assertThat(problems.get(0).allowed()).isEqualTo("0 to 100");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"\"#12345\"", "\"#12345G\"", "\"red\"", "\"#-12345\"", "7", "\"1234567\""})
  void coloursAreSixHexadecimalDigits(String value) {
    assertThat(fields("{\"a\":" + value + "}").colour("a", 0x010203)).isEqualTo(0x010203);
    assertThat(problems).hasSize(1);
  }

  @Test
  void goodColoursAreReadInEitherCase() {
    assertThat(fields("{\"a\":\"#aAbBcC\"}").colour("a", null)).isEqualTo(0xAABBCC);
    assertThat(Writer.colour(0x0000FF)).isEqualTo("#0000FF");
  }

  @Test
  void aListTellsTheIndexOfWhatIsWrong() {
    List<Double> read =
        fields("{\"a\":[{\"v\":1},{\"v\":\"x\"},5]}").list("a", 5, f -> f.number("v", 0, 9, 0));
    assertThat(read).containsExactly(1.0, 0.0, 0.0);
    assertThat(problems).extracting(Problem::path).containsExactly("$.a[1].v", "$.a[2]");
  }

  @Test
  void tooLongListsAndTextsAreTold() {
    Fields f = fields("{\"a\":[{},{},{}],\"b\":\"abcdef\",\"c\":{},\"d\":[1,\"x\"]}");
    assertThat(f.list("a", 2, x -> x)).isEmpty();
    f.text("b", 5, "");
    f.list("c", 2, x -> x);
    f.texts("d", 5);
    assertThat(problems).extracting(Problem::path).containsExactly("$.a", "$.b", "$.c", "$.d");
    assertThat(problems.get(1).sentence()).isEqualTo("$.b: has 6 characters (allowed: at most 5)");
  }

  @Test
  void choicesListWhatIsAllowed() {
    Landing.Kind kind = fields("{\"a\":\"out-before\"}").choice("a", Landing.Kind.values(), null);
    assertThat(kind).isEqualTo(Landing.Kind.OUT_BEFORE);
    fields("{\"a\":\"OUT_BEFORE\"}").choice("a", Landing.Kind.values(), null);
    assertThat(problems.get(0).allowed())
        .isEqualTo(
            "out-before, out-after, inside-before, inside-after, at-rest, centred, facing-front, at-the-back, whole-laps");
  }

  @Test
  void whatNobodyAskedForIsTheRest() {
    Fields f = fields("{\"a\":1,\"b\":[2],\"c\":null}");
    f.number("a", 0, 9, 0);
    assertThat(f.rest().fields().keySet()).containsExactly("b", "c");
  }

  @Test
  void wholeNumbersAreWrittenWithoutAFraction() {
    assertThat(Writer.number(5).toString()).isEqualTo("5");
    assertThat(Writer.number(-0.5).toString()).isEqualTo("-0.5");
    assertThat(Json.parse(Writer.number(0.1 + 0.2).toString()).asDouble()).isEqualTo(0.1 + 0.2);
  }
}
