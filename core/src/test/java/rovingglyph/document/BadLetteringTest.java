package rovingglyph.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Problem;

/** What is wrong in a lettering is told at its place, with what is allowed there. */
class BadLetteringTest {
  private static List<Problem> problems(String json) {
    DocumentException e =
        catchThrowableOfType(DocumentException.class, () -> SceneCodec.read(json));
    return e == null ? List.of() : e.problems();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'casing':'loud' | casing",
        "'mix':'cmyk' | mix",
        "'features':{'kern':-1} | features.kern",
        "'features':{'kern':1.5} | features.kern",
        "'features':{'kerning':1} | features.kerning",
        "'features':7 | features",
        "'axes':{'wght':'bold'} | axes.wght",
        "'axes':{'weight':400} | axes.weight",
        "'axes':{'wght':{'keyframes':[{'time':0,'value':40000}]}} | axes.wght.keyframes[0].value",
        "'phrases':{'times':-1} | phrases.times",
        "'phrases':{'times':1001} | phrases.times",
        "'phrases':{'space':21} | phrases.space",
        "'phrases':{'separator':5} | phrases.separator",
        "'rules':{} | rules",
        "'rules':[{'by':'colour'}] | rules[0].by",
        "'rules':[{'every':0}] | rules[0].every",
        "'rules':[{},{'fill':'red'}] | rules[1].fill",
        "'rules':[{'size':0}] | rules[0].size",
        "'rules':[{'axes':{'bold':1e9}}] | rules[0].axes.bold",
        "'rows':{'count':0} | rows.count",
        "'rows':{'count':101} | rows.count",
        "'rows':{'kind':'spiral'} | rows.kind",
        "'rows':{'step':1e5} | rows.step",
        "'profiles':[{'points':[[0,100],[0,50]]}] | profiles[0].points[1]",
        "'profiles':[{'points':[[0,100],[1.5,50]]}] | profiles[0].points[1]",
        "'profiles':[{'of':'size','points':[[0,0]]}] | profiles[0].points[0]",
        "'profiles':[{'of':'colour'}] | profiles[0].of",
        "'size':0 | size",
        "'tracking':11 | tracking",
        "'wordSpacing':-3 | wordSpacing",
        "'opacity':101 | opacity",
        "'reveal':{'by':'chance'} | reveal.by",
        "'reveal':{'soft':101} | reveal.soft",
        "'revealTo':{'keyframes':[{'time':0,'value':120}]} | revealTo.keyframes[0].value",
        "'sweep':{'centre':[1]} | sweep.centre",
        "'sweep':{'letter':-1} | sweep.letter",
        "'sweep':{'letter':1.5} | sweep.letter",
        "'trail':{'width':0} | trail.width",
        "'trail':{'cap':'flat'} | trail.cap",
        "'trail':{'dash':[-1,2]} | trail.dash[0]",
        "'trail':{'dash':[0.1,0.1]} | trail.dash",
        "'trail':{'dash':3} | trail.dash",
        "'recipes':[{'kind':'magic'}] | recipes[0].kind",
        "'recipes':[{'kind':'sway'},{'kind':'steady-cruise'}] | recipes",
        "'blur':721 | blur",
        "'size':{'cruise':{'pace':'laps','amount':'x'}} | size.cruise.amount",
        "'size':{'sway':{'amplitude':1,'period':0}} | size.sway.period",
        "'size':{'stagger':{'delay':0.1,'order':'sideways'}} | size.stagger.order",
        "'size':{'keyframes':[{'time':-1,'value':5}]} | size.keyframes[0].time",
        "'size':{'keyframes':[{'time':0,'value':5,'easing':'wild'}]} | size.keyframes[0].easing",
        "'size':{'keyframes':[{'time':0,'value':5,'easing':[2,0,1,1]}]} | size.keyframes[0].easing",
        "'size':{'keyframes':[{'time':0,'value':5,'easing':{'spring':[0,1,1]}}]}"
            + " | size.keyframes[0].easing.spring[0]",
        "'size':{'keyframes':[{'time':0,'value':5,'easing':{'steps':[0]}}]}"
            + " | size.keyframes[0].easing.steps[0]",
        "'size':{'keyframes':[{'time':0,'value':5},{'time':0.01,'value':6}]}"
            + " | size.keyframes[1].time",
        "'axes':{'wght':{'keyframes':[{'time':0,'value':5},{'time':0.01,'value':6}]}}"
            + " | axes.wght.keyframes[1].time",
        "'size':{'follow':{'lettering':'nobody'}} | size.follow",
        "'axes':{'wght':{'follow':{'lettering':'nobody'}}} | axes.wght.follow",
      })
  void fieldsOfALettering(String field, String path) {
    String json = document(LINE, "ab cd", "", field.replace('\'', '"'));
    assertThat(problems(json))
        .isNotEmpty()
        .allSatisfy(p -> assertThat(p.reason()).isNotBlank())
        .extracting(Problem::path)
        .contains("$.letterings[0]." + path);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'align':'centre' | align",
        "'side':'above' | side",
        "'orientation':'sideways' | orientation",
        "'method':'melted' | method",
        "'ends':'bounce' | ends",
        "'fit':'squeeze' | fit",
        "'spreadBy':'lines' | spreadBy",
        "'overlong':'fold' | overlong",
        "'seamGap':-1 | seamGap",
        "'leastGap':1e5 | leastGap",
        "'evenSpacing':'yes' | evenSpacing",
        "'pin':'middle' | pin",
        "'pathOffset':2e6 | pathOffset",
        "'fixedAngle':{'still':99999} | fixedAngle.still",
        "'pathOffset':{'follow':{'lettering':'l'}} | pathOffset.follow",
        "'pathOffset':{'follow':{'lettering':'p'}} | pathOffset.follow",
      })
  void fieldsOfASeat(String field, String path) {
    String json = document(LINE, "ab cd", field.replace('\'', '"'), "");
    assertThat(problems(json)).extracting(Problem::path).contains("$.letterings[0].seat." + path);
  }

  @Test
  void allProblemsAreToldAtOnce() {
    String json = document(LINE, "a", "\"side\":\"above\"", "\"size\":0,\"blur\":-1");
    assertThat(problems(json)).hasSize(3);
  }

  @Test
  void whatIsNotKnownIsKept() {
    String json =
        document(
            LINE,
            "a",
            "\"later\":{\"a\":[1]}",
            "\"phrases\":{\"separator\":\"+\",\"later\":2},\"rules\":[{\"by\":\"word\",\"later\":3}]");
    String written = SceneCodec.write(SceneCodec.read(json));
    assertThat(written).contains("\"later\":{\"a\":[1]}", "\"later\":2", "\"later\":3");
  }

  /** Fifty letterings, each following the next in all its values: as many ways as stars. */
  @Test
  @Timeout(20)
  void followingInManyValuesIsLookedThroughOnce() {
    StringBuilder all = new StringBuilder();
    for (int i = 0; i < 50; i++) {
      StringBuilder values = new StringBuilder();
      for (Channel c : List.of(Channel.SIZE, Channel.TRACKING, Channel.OPACITY, Channel.ROTATION)) {
        if (i < 49) {
          values
              .append(",\"")
              .append(c.field())
              .append("\":{\"still\":1,\"follow\":{\"lettering\":\"l");
          values.append(i + 1).append("\"}}");
        }
      }
      all.append(i == 0 ? "" : ",").append("{\"id\":\"l").append(i).append("\",\"text\":\"a\"");
      all.append(",\"path\":\"p\"").append(values).append('}');
    }
    String one = document(LINE, "a", "", "");
    int from = one.indexOf("\"letterings\":[") + "\"letterings\":[".length();
    Scene s = SceneCodec.read(one.substring(0, from) + all + "]}");
    assertThat(s.letterings()).hasSize(50);
  }
}
