package rovingglyph.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.TestScenes;

/** When words can be read, and how that is written. */
class CaptionsTest {
  /** Four seconds at 25 frames a second. */
  private static List<Caption> captions(String letterings) {
    return Captions.of(
        TestScenes.prepare(
            """
            {"format":"roving-glyph-scene","version":1,"width":1000,"height":1000,"rate":"25",
             "length":4,"paths":[%s],"letterings":[%s]}"""
                .formatted(TestScenes.LINE, letterings)));
  }

  private static String words(String text, String more) {
    return "{\"id\":\"words-%s\",\"text\":\"%s\",\"path\":\"p\",\"face\":\"f\",\"size\":40%s}"
        .formatted(text.substring(0, 1), text, more);
  }

  @Test
  void wordsThatRestCanBeReadAllTheTime() {
    List<Caption> all = captions(words("Open  the\\nwindow", ""));
    assertThat(all).containsExactly(new Caption(0, 4, "Open the window"));
  }

  @Test
  void thoseThatComeAndGoFromWhenTheyAreSlowEnoughUntilTheyAreGone() {
    String moves =
        """
        ,"seat":{"pathOffset":{"keyframes":[{"time":0,"value":-600,"easing":"steady"},
          {"time":1,"value":100},{"time":3,"value":100,"easing":"steady"},
          {"time":3.5,"value":2000}]}}""";
    List<Caption> all = captions(words("kites", moves));
    assertThat(all).hasSize(1);
    // 700 px a second are more than twelve times 40: it is read once it rests.
    assertThat(all.get(0).from()).isCloseTo(1, within(0.05));
    assertThat(all.get(0).to()).isCloseTo(3, within(0.05));
  }

  @Test
  void lettersThatAreRevealedAreReadFromTheFirstOnOnlyIfTheyAreNeverThereTogether() {
    String all =
        ",\"reveal\":{\"soft\":10},\"revealTo\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":2,\"value\":100}]}";
    assertThat(captions(words("pennants", all)).get(0).from()).isBetween(1.0, 2.0);
    String band =
        """
        ,"reveal":{"soft":0},"revealFrom":{"keyframes":[{"time":1,"value":0},{"time":4,"value":100}]},
        "revealTo":{"keyframes":[{"time":0,"value":0},{"time":3,"value":100}]}""";
    List<Caption> passing = captions(words("pennants", band));
    assertThat(passing).hasSize(1);
    assertThat(passing.get(0).to() - passing.get(0).from()).isGreaterThan(2);
  }

  @Test
  void whatIsHiddenFadedOrNoWordsIsNotTold() {
    assertThat(captions(words("kites", ",\"hidden\":true"))).isEmpty();
    assertThat(captions(words("kites", ",\"opacity\":20"))).isEmpty();
    assertThat(captions(words("...", ""))).isEmpty();
  }

  @Test
  void theyStandInTheOrderOfTheirBeginnings() {
    String late =
        ",\"opacity\":{\"keyframes\":[{\"time\":2,\"value\":0,\"easing\":\"hold\"},{\"time\":3,\"value\":100}]}";
    List<Caption> all = captions(words("later", late) + "," + words("first", ""));
    assertThat(all).extracting(Caption::text).containsExactly("first", "later");
    assertThat(all.get(1).from()).isCloseTo(3, within(0.05));
  }

  private static final List<Caption> TWO =
      List.of(new Caption(0.28, 3.96, "a < b & c"), new Caption(3661.0005, 3662, "x --> y"));

  @Test
  void webVttHasItsHeadAndNoMarkup() {
    assertThat(Captions.webVtt(TWO))
        .isEqualTo(
            """
            WEBVTT

            00:00:00.280 --> 00:00:03.960
            a &lt; b &amp; c

            01:01:01.001 --> 01:01:02.000
            x --&gt; y
            """);
  }

  @Test
  void srtHasNumbersAndCommas() {
    assertThat(Captions.subRip(TWO))
        .isEqualTo(
            """
            1
            00:00:00,280 --> 00:00:03,960
            a < b & c

            2
            01:01:01,001 --> 01:01:02,000
            x -> y

            """);
  }
}
