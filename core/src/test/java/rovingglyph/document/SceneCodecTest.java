package rovingglyph.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static rovingglyph.TestScenes.CIRCLE;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.offsets;

import com.eclipsesource.json.Json;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Problem;

class SceneCodecTest {
  private static final String GOOD = document(LINE, "words", "", "");

  private static List<Problem> problems(String json) {
    DocumentException e =
        catchThrowableOfType(DocumentException.class, () -> SceneCodec.read(json));
    return e == null ? List.of() : e.problems();
  }

  @Test
  void whatIsWrittenReadsTheSame() {
    String moving =
        document(
            CIRCLE,
            "\\\"quoted\\\" <b>",
            offsets(
                    "{\"time\":0,\"value\":1.5,\"landing\":\"out-before\",\"easing\":[0.1,2,0.3,-1]}",
                    "{\"time\":2.2,\"value\":0,\"landing\":\"whole-laps\",\"laps\":3,\"easing\":\"hold\"}")
                + ",\"ends\":\"cut\",\"side\":\"right\"",
            "\"axes\":{\"wght\":612.5},\"fill\":\"#0A0B0C\"");
    Scene once = SceneCodec.read(moving);
    assertThat(SceneCodec.read(SceneCodec.write(once))).isEqualTo(once);
    assertThat(SceneCodec.write(once))
        .isEqualTo(SceneCodec.write(SceneCodec.read(SceneCodec.write(once))));
  }

  @Test
  void unknownFieldsAreKeptEverywhere() {
    String json =
        """
        {"format":"roving-glyph-scene","version":1,"later":{"a":[1,2]},
         "paths":[{"id":"p","kind":"drawn","tag":1,"points":[{"x":0,"y":0,"note":"n"},{"x":9,"y":9}]}],
         "letterings":[{"id":"l","path":"p","mood":"calm","rows":{"glow":1},"seat":{"grip":"firm",
           "pathOffset":{"sway":{"period":2,"echo":3},"keyframes":[{"time":0,"value":1,"why":"x"}]}}}],
         "pictures":[{"id":"k","parts":[{"d":"M0 0L1 1","fill":"#000000","rule":"z"}],"z":null}]}""";
    String again = SceneCodec.write(SceneCodec.read(json));
    assertThat(again)
        .contains("\"later\":{\"a\":[1,2]}", "\"tag\":1", "\"note\":\"n\"", "\"mood\":\"calm\"")
        .contains(
            "\"grip\":\"firm\"", "\"echo\":3", "\"glow\":1", "\"why\":\"x\"", "\"rule\":\"z\"")
        .contains("\"z\":null");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          "length":4       | "length":1e308       | $.length
          "length":4       | "length":1e999       | $.length
          "width":1000     | "width":-5           | $.width
          "width":1000     | "width":10.5         | $.width
          "rate":"25"      | "rate":"0"           | $.rate
          "rate":"25"      | "rate":"banana"      | $.rate
          "size":100       | "size":-3            | $.letterings[0].size
          "size":100       | "size":"big"         | $.letterings[0].size
          "path":"p"       | "path":"q"           | $.letterings[0].path
          "background":null| "background":"red"   | $.background
          "text":"words"   | "text":"a\\u0000b"   | $.letterings[0].text
          "version":1      | "version":9          | $.version
          "y":500.0        | "y":1e308            | $.paths[0].points[0].y
          """)
  void everyProblemNamesItsField(String good, String bad, String path) {
    assertThat(GOOD).contains(good.strip());
    assertThat(
            problems(
                GOOD.replaceFirst(
                    java.util.regex.Pattern.quote(good.strip()),
                    java.util.regex.Matcher.quoteReplacement(bad.strip()))))
        .extracting(Problem::path)
        .contains(path);
  }

  @Test
  void allProblemsAreToldAtOnceWithTheAllowedRange() {
    List<Problem> found =
        problems(
            GOOD.replace("\"length\":4", "\"length\":0").replace("\"size\":100", "\"size\":0"));
    assertThat(found).extracting(Problem::path).contains("$.length", "$.letterings[0].size");
    assertThat(found).allMatch(p -> p.allowed().contains(" to "));
  }

  @Test
  void pathsWithoutLengthAreRefused() {
    assertThat(problems(GOOD.replace(LINE, CIRCLE.replace("200", "0"))).get(0).path())
        .isEqualTo("$.paths[0].radius");
    String one = "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[{\"x\":1,\"y\":1}]}";
    assertThat(problems(GOOD.replace(LINE, one)).get(0).reason()).contains("at least two points");
    String same =
        "{\"id\":\"p\",\"kind\":\"drawn\",\"points\":[{\"x\":1,\"y\":1},{\"x\":1,\"y\":1}]}";
    assertThat(problems(GOOD.replace(LINE, same)).get(0).reason()).contains("one spot");
  }

  @Test
  void twoKeyframesOnOneFrameAreRefusedAndOneAfterTheEndIsNot() {
    String clash =
        document(LINE, "a", offsets("{\"time\":1,\"value\":0}", "{\"time\":1.01,\"value\":5}"), "");
    assertThat(problems(clash).get(0).path())
        .isEqualTo("$.letterings[0].seat.pathOffset.keyframes[1].time");
    assertThat(problems(document(LINE, "a", offsets("{\"time\":99,\"value\":0}"), ""))).isEmpty();
  }

  @Test
  void tenThousandCharactersAreReadAndOneMoreIsNot() {
    assertThat(problems(document(LINE, "x".repeat(10_000), "", ""))).isEmpty();
    assertThat(problems(document(LINE, "x".repeat(10_001), "", "")).get(0).reason())
        .contains("10001 characters");
  }

  @Test
  void brokenAndHugeDocumentsAreTold() {
    assertThat(problems("{\"format\": nonsense").get(0).reason()).contains("line 1");
    assertThat(problems("[1]").get(0).reason()).contains("not an object");
    assertThat(problems("{\"format\":\"else\"}").get(0).path()).isEqualTo("$.format");
    assertThat(problems("{\"a\":NaN}").get(0).reason()).contains("not JSON");
    assertThat(problems("[".repeat(200_000)).get(0).path()).isEqualTo("$");
    assertThat(problems(" ".repeat(5_000_000)).get(0).reason()).contains("5000000 characters");
  }

  @Test
  void itemsMissingFromTheStackGoOnTop() {
    assertThat(SceneCodec.read(GOOD).stack()).containsExactly("l");
    assertThatThrownBy(
            () -> SceneCodec.read(GOOD.replace("\"paths\"", "\"stack\":[\"zz\"],\"paths\"")))
        .hasMessageContaining("names \"zz\"");
  }

  @Test
  void theDemoScenesAreGood() throws java.io.IOException {
    try (var files = java.nio.file.Files.list(java.nio.file.Path.of("../demo"))) {
      for (var f : files.filter(p -> p.toString().endsWith(".json")).toList()) {
        String text = java.nio.file.Files.readString(f);
        assertThat(problems(text)).as(f.toString()).isEmpty();
        assertThat(Json.parse(SceneCodec.write(SceneCodec.read(text))).isObject()).isTrue();
      }
    }
  }
}
