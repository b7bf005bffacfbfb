package rovingglyph.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eclipsesource.json.Json;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.scene.Easing;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Problem;

class EasingCodecTest {
  private final List<Problem> problems = new ArrayList<>();

  private Easing read(String easing) {
    Fields f = new Fields(Json.parse("{\"easing\":" + easing + "}"), "$", problems);
    return EasingCodec.TYPE.read(f, "easing", Easing.LINEAR);
  }

  @ParameterizedTest
  @EnumSource(Easing.Kind.class)
  void everyKindComesBackAsItWas(Easing.Kind kind) {
    Easing e = Easing.of(kind);
    assertThat(EasingCodec.read(Json.parse(EasingCodec.TYPE.text(e)))).isEqualTo(e);
  }

  @ParameterizedTest
  @CsvSource({
    "steady, linear",
    "gentle-start, ease-in",
    "gentle-stop, ease-out",
    "gentle-both, ease-in-out"
  })
  void theWordsOfEarlierVersionsAreReadAsThoseOfCss(String former, String word) {
    Easing read = EasingCodec.read(Json.value(former));
    assertThat(read).isEqualTo(EasingCodec.read(Json.value(word)));
    assertThat(EasingCodec.TYPE.text(read)).isEqualTo("\"" + word + "\"");
  }

  @Test
  void whatIsNoneIsToldWithTheWordsThatAre() {
    assertThatThrownBy(() -> EasingCodec.read(Json.value("brisk")))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("ease-in-out")
        .hasMessageNotContaining("gentle");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"\"slow\"", "[0.1,0,0.5]", "[1.1,0,0,1]", "[0,0,-0.1,1]", "[0,\"a\",0,1]", "5"})
  void easingsOfTheWrongFormAreTold(String value) {
    assertThat(read(value)).isEqualTo(Easing.LINEAR);
    assertThat(problems).isNotEmpty();
    assertThat(problems.get(0).path()).startsWith("$.easing");
  }

  @Test
  void anOwnCurveMayGoBeyondItsEnds() {
    assertThat(read("[0.3,-2,0.7,3]")).isEqualTo(Easing.own(0.3, -2, 0.7, 3));
    assertThat(problems).isEmpty();
  }
}
