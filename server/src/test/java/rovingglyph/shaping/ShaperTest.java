package rovingglyph.shaping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.JsonObject;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import rovingglyph.type.Cluster;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;
import rovingglyph.type.ShapedRunCodec;

class ShaperTest {
  private final Shaper shaper = new Shaper(FaceCatalogue.shipped());

  private ShapedRun shape(String face, String text) {
    return shaper.run(RunRequest.plain(face, Map.of(), text, true));
  }

  private static String text(ShapedRun run) {
    return run.clusters().stream().map(Cluster::text).collect(Collectors.joining());
  }

  private static double width(ShapedRun run) {
    return run.clusters().stream().mapToDouble(Cluster::advance).sum();
  }

  @Test
  void atLeastEightFacesTwoOfThemVariableAreShipped() {
    List<Face> all = FaceCatalogue.shipped().all();
    assertThat(all).hasSizeGreaterThanOrEqualTo(8);
    assertThat(all.stream().filter(f -> !f.axes().isEmpty())).hasSizeGreaterThanOrEqualTo(2);
    for (Face f : all) {
      ShapedRun run = shape(f.id(), "Kite & string 26");
      assertThat(run.clusters())
          .as(f.name())
          .allMatch(c -> c.borrowed().isEmpty() && c.advance() > 0);
      assertThat(FaceCatalogue.class.getResource("/faces/licences/" + f.id() + ".txt")).isNotNull();
    }
  }

  @Test
  void theScriptIsKerned() {
    double apart = width(shape("dancing-script", "T")) + width(shape("dancing-script", "o"));
    assertThat(width(shape("dancing-script", "To"))).isLessThan(apart - 0.01);
  }

  @Test
  void anAxisChangesAdvancesAndOutlines() {
    ShapedRun light = shaper.run(RunRequest.plain("fraunces", Map.of("wght", 100.0), "m", true));
    ShapedRun heavy = shaper.run(RunRequest.plain("fraunces", Map.of("wght", 900.0), "m", true));
    assertThat(width(heavy)).isGreaterThan(width(light) + 0.02);
    assertThat(heavy.outlines().get(0).data()).isNotEqualTo(light.outlines().get(0).data());
    ShapedRun beyond = shaper.run(RunRequest.plain("fraunces", Map.of("wght", 5000.0), "m", true));
    assertThat(width(beyond)).isCloseTo(width(heavy), within(1e-9));
  }

  @Test
  void outlinesStandOnTheBaselineWithYDown() {
    ShapedRun run = shape("league-spartan", "H");
    assertThat(run.outlines().get(0).bounds().bottom()).isCloseTo(0, within(0.02));
    assertThat(run.outlines().get(0).bounds().top()).isBetween(-0.9, -0.5);
  }

  @Test
  void charactersThatAFaceLacksComeFromTheFallback() {
    ShapedRun run = shape("pacifico", "a\u05D0\uD83D\uDE00\uDB80\uDC01b");
    assertThat(run.clusters())
        .extracting(Cluster::borrowed)
        .containsExactly("", "DejaVu Sans", "DejaVu Sans", "DejaVu Sans", "");
    assertThat(run.clusters())
        .extracting(Cluster::missing)
        .containsExactly(false, false, false, true, false);
  }

  @Test
  void marksStayWithTheirLetterAndRightToLeftIsInVisualOrder() {
    assertThat(shape("dejavu-sans", "e\u0301x").clusters()).hasSize(2);
    List<Cluster> hebrew = shape("dejavu-sans", "\u05D0\u05D1\u05D2").clusters();
    assertThat(hebrew).extracting(Cluster::text).containsExactly("\u05D2", "\u05D1", "\u05D0");
  }

  @Test
  void strangeTextsAreSetSensibly() {
    for (String s :
        List.of("", "\n\t\u0007", "\uD83D", "\uDE00a", "\u200D", "a" + "\u0301".repeat(200))) {
      ShapedRun run = shape("bebas-neue", s);
      assertThat(text(run)).hasSameSizeAs(s);
      assertThat(width(run)).isFinite();
    }
    assertThat(shape("eb-garamond", "wind ".repeat(2000)).clusters()).hasSize(10_000);
  }

  @Test
  void trackingTurnsLigaturesOff() {
    assertThat(shape("dejavu-sans", "fi").clusters()).hasSize(1);
    assertThat(shaper.run(RunRequest.plain("dejavu-sans", Map.of(), "fi", false)).clusters())
        .hasSize(2);
  }

  @Test
  void aFaceThatIsNotThereIsStoodInForByTheFallback() {
    assertThat(shape("no-such-face", "ab").clusters())
        .allMatch(c -> c.borrowed().equals("DejaVu Sans"));
  }

  @Test
  void aRunSurvivesItsWayToTheBrowser() {
    ShapedRun run = shape("fraunces", "the sky");
    JsonObject json = ShapedRunCodec.write(run);
    ShapedRun back = ShapedRunCodec.read(json.toString());
    assertThat(back.clusters()).isEqualTo(run.clusters());
    assertThat(ShapedRunCodec.write(back).toString()).isEqualTo(json.toString());
  }

  @Test
  void europeanWordsAreSetInTheFaceItself() {
    for (String face : new String[] {"bricolage-grotesque", "fraunces", "pacifico"}) {
      ShapedRun r = shaper.run(RunRequest.plain(face, Map.of(), "žťőşĚẵ", true));
      assertThat(r.clusters()).as(face).hasSize(6).allMatch(c -> c.borrowed().isEmpty());
      assertThat(r.clusters()).as(face).noneMatch(Cluster::missing);
    }
  }

  @Test
  void everyCommonScriptHasAFaceThatStandsIn() {
    String[] words = {
      "\u0633\u0645\u0627\u0621",
      "\u05e9\u05de\u05d9\u05dd",
      "\u0906\u0915\u093e\u0936",
      "\u5929\u7a7a",
      "\u305d\u3089",
      "\ud558\ub298",
      "\u0e1f\u0e49\u0e32",
      "\u0986\u0995\u09be\u09b6",
      "\u0bb5\u0bbe\u0ba9\u0bae\u0bcd",
      "\u043d\u0435\u0431\u043e",
      "\u03bf\u03c5\u03c1\u03b1\u03bd\u03cc\u03c2"
    };
    for (String word : words) {
      ShapedRun r = shaper.run(RunRequest.plain("bricolage-grotesque", Map.of(), word, true));
      assertThat(r.clusters()).as(word).isNotEmpty().noneMatch(Cluster::missing);
      assertThat(r.clusters()).as(word).allMatch(c -> c.advance() > 0 || c.text().length() < 2);
    }
  }
}
