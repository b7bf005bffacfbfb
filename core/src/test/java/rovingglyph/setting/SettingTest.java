package rovingglyph.setting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.TestScenes;
import rovingglyph.document.SceneCodec;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Lettering;
import rovingglyph.seat.Placement;
import rovingglyph.type.RunRequest;

/** Phrases, separators, repeats and rules, with letters half an em wide. */
class SettingTest {
  private static PreparedLettering lettering(String text, String more) {
    return prepare(document(LINE, text, "", more)).letterings().get("l");
  }

  private static String words(List<Letter> letters) {
    return letters.stream().map(l -> l.cluster().text()).collect(Collectors.joining());
  }

  private static List<Letter> letters(PreparedLettering l) {
    return l.seating(l.values(0)).letters();
  }

  @Test
  void everyLineIsAPhraseAndTheSeparatorStandsBetween() {
    String phrases = "\"phrases\":{\"separator\":\"*\",\"space\":0.25,\"times\":2}";
    PreparedLettering l = lettering("ab\\ncd", phrases);
    assertThat(words(letters(l))).isEqualTo("ab * cd * ab * cd");
    // 8 letters and 3 separators of half an em, and a quarter on either side of each.
    assertThat(l.seating(l.values(0)).extent())
        .isCloseTo(100 * (11 * 0.5 + 6 * 0.25), within(1e-9));
    assertThat(words(letters(lettering("  ab  \\n\\n cd", "")))).isEqualTo("ab  cd");
  }

  @Test
  void asOftenAsTheRoomHolds() {
    String phrases = "\"phrases\":{\"separator\":\"*\",\"space\":0,\"times\":0}";
    // "ab*" is 150 px; 800 px hold five of them and one "ab".
    assertThat(words(letters(lettering("ab", phrases)))).isEqualTo("ab*ab*ab*ab*ab");
    assertThat(words(letters(lettering("a text much longer than it", phrases))))
        .isEqualTo("a text much longer than it");
  }

  @Test
  void rowsBeginWithAnotherPhraseAndPhase() {
    String rows =
        "\"rows\":{\"count\":3,\"kind\":\"moved\",\"step\":60,\"direction\":90,\"phrase\":1,\"phase\":25}";
    PreparedLettering l = lettering("ab\\ncd", rows);
    var all = l.rows(l.values(0));
    assertThat(all).hasSize(3);
    assertThat(all.stream().map(r -> words(r.letters()).strip()).toList())
        .containsExactly("ab  cd", "cd  ab", "ab  cd");
    Placement third = all.get(2).place(0);
    assertThat(third.at().x()).isCloseTo(100 + 25 + 50, within(1e-9));
    assertThat(third.at().y()).isCloseTo(500 + 120, within(1e-9));
    PreparedLettering beside =
        lettering("ab", "\"rows\":{\"count\":2,\"kind\":\"parallel\",\"step\":40}");
    assertThat(beside.rows(beside.values(0)).get(1).place(0).at().y()).isCloseTo(460, within(0.05));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          {"by":"word","match":"Sky"}                  | the sky, no skyline | sky,
          {"by":"words","every":2,"from":2}            | a bc def gh         | bcgh
          {"by":"letters","every":3,"from":1}          | ab cdef             | ad
          {"by":"initials"}                            | one two             | ot
          {"by":"capitals"}                            | The Sky             | TS
          {"by":"digits"}                              | 3 kites 12          | 312
          {"by":"punctuation"}                         | oh! (wind)          | !()
          """)
  void rulesTakeTheirLetters(String rule, String text, String taken) {
    PreparedLettering l =
        lettering(text, "\"rules\":[" + rule.replace("}", ",\"fill\":\"#FF0000\"}") + "]");
    String found =
        letters(l).stream()
            .filter(x -> x.fill() != null)
            .map(x -> x.cluster().text())
            .collect(Collectors.joining());
    assertThat(found).isEqualTo(taken);
  }

  @Test
  void phrasesAndSeparatorsAreTakenAndLaterRulesWin() {
    PreparedLettering l =
        lettering(
            "ab\\ncd",
            "\"phrases\":{\"separator\":\"*\",\"space\":0,\"times\":1},\"rules\":["
                + "{\"by\":\"phrases\",\"from\":2,\"every\":9,\"fill\":\"#000001\",\"size\":200},"
                + "{\"by\":\"letters\",\"from\":4,\"every\":99,\"fill\":\"#000002\"},"
                + "{\"by\":\"separators\",\"fill\":\"#000003\"}]");
    assertThat(letters(l).stream().map(Letter::fill).toList()).containsExactly(null, null, 3, 1, 2);
    List<Placement> places = l.placements(l.values(0));
    // A letter of twice the size takes twice the room; the last rule put its size back.
    assertThat(places.get(3).advance()).isCloseTo(100, within(1e-9));
    assertThat(places.get(3).height()).isCloseTo(200, within(1e-9));
    assertThat(places.get(4).advance()).isCloseTo(50, within(1e-9));
  }

  @Test
  void aMovingAxisIsAskedForAtSamplesOfItsRange() {
    Lettering l =
        SceneCodec.read(
                document(
                    LINE,
                    "ab",
                    "",
                    "\"axes\":{\"wght\":{\"still\":400,\"sway\":{\"amplitude\":200,\"period\":2}},\"wdth\":80}"))
            .letterings()
            .get(0);
    List<RunRequest> all = Preparation.requests(l);
    List<Double> weights = all.stream().map(r -> r.axes().get("wght")).sorted().distinct().toList();
    assertThat(weights).startsWith(200.0).endsWith(600.0).contains(400.0);
    assertThat(all).allMatch(r -> r.axes().get("wdth") == 80.0);
    assertThat(
            Preparation.requests(
                l.with(Channel.axis("wght"), new rovingglyph.scene.AnimatedValue(1))))
        .hasSize(1);
  }

  @Test
  void betweenSamplesAxesGoInStraightLines() {
    var low = TestScenes.run(RunRequest.plain("f", java.util.Map.of(), "a", true));
    AxisSamples s =
        new AxisSamples(
            "wght",
            new double[] {100, 300, 500},
            List.of(low.clusters().get(0), cluster(0.7), cluster(0.8)),
            List.of(low, low, low));
    assertThat(s.advance(200)).isCloseTo(0.6, within(1e-12));
    assertThat(s.advance(400)).isCloseTo(0.75, within(1e-12));
    assertThat(s.advance(-5)).isCloseTo(0.5, within(1e-12));
    assertThat(s.advance(9999)).isCloseTo(0.8, within(1e-12));
  }

  @Test
  void noDocumentMakesMoreLettersThanCanBeBorne() {
    String more =
        "\"phrases\":{\"separator\":\"\",\"space\":0,\"times\":1000},\"rows\":{\"count\":100,\"step\":10}";
    PreparedLettering l = lettering("abcdefghij".repeat(900), more);
    var rows = l.rows(l.values(0));
    assertThat(rows.get(0).letters()).hasSize(18_000);
    assertThat(rows).hasSize(11);
  }

  private static rovingglyph.type.Cluster cluster(double advance) {
    return new rovingglyph.type.Cluster("a", 0, advance, List.of(), "", false);
  }
}
