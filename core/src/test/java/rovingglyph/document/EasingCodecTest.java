package rovingglyph.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eclipsesource.json.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rovingglyph.scene.Easing;

class EasingCodecTest {
  @ParameterizedTest
  @EnumSource(Easing.Kind.class)
  void everyKindComesBackAsItWas(Easing.Kind kind) {
    Easing e = Easing.of(kind);
    assertThat(EasingCodec.read(Json.parse(EasingCodec.write(e)))).isEqualTo(e);
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
    assertThat(EasingCodec.write(read)).isEqualTo("\"" + word + "\"");
  }

  @Test
  void whatIsNoneIsToldWithTheWordsThatAre() {
    assertThatThrownBy(() -> EasingCodec.read(Json.value("brisk")))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("ease-in-out")
        .hasMessageNotContaining("gentle");
  }
}
