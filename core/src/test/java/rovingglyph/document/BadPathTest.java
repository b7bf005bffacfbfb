package rovingglyph.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;

import com.eclipsesource.json.Json;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.paths.GuideContour;
import rovingglyph.scene.GuidePath;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Problem;

/** What is wrong in a path, a cue, a template or the scene itself is told at its place. */
class BadPathTest {
  private static List<Problem> problems(String path) {
    String json = "{\"id\":\"p\"," + path.replace('\'', '"') + "}";
    DocumentException e =
        catchThrowableOfType(DocumentException.class, () -> PathCodec.read(Json.parse(json)));
    return e == null ? List.of() : e.problems();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'kind':'' | kind",
        "'kind':'knot' | kind",
        "'kind':5 | kind",
        "'kind':'drawn' | points",
        "'kind':'drawn','points':[{'x':0,'y':0}] | points",
        "'kind':'drawn','points':[{'x':5,'y':5},{'x':5,'y':5}] | points",
        "'kind':'drawn','points':[{'x':0,'y':0},{'x':1e7,'y':0}] | points[1].x",
        "'kind':'drawn','points':[{'x':0,'y':0,'out':[1]},{'x':9,'y':0}] | points[0].out",
        "'kind':'drawn','points':[{'x':0,'y':0,'kind':'soft'},{'x':9,'y':0}] | points[0].kind",
        "'kind':'drawn','points':[{'x':0,'y':0},7] | points[1]",
        "'kind':'drawn','closed':1,'points':[{'x':0,'y':0},{'x':9,'y':0}] | closed",
        "'kind':'smooth','points':[[0,0]] | points",
        "'kind':'smooth','points':[[0,0],[1]] | points[1]",
        "'kind':'smooth','points':[[0,0],[1,'a']] | points[1]",
        "'kind':'smooth','points':[[3,3],[3,3]] | points",
        "'kind':'smooth','rule':'around','points':[[0,0],[9,9]] | rule",
        "'kind':'freehand','samples':[[0,0],[9,9]],'steadiness':101 | steadiness",
        "'kind':'freehand','samples':[[0,0],[9,9]],'simplicity':-1 | simplicity",
        "'kind':'freehand','samples':{} | samples",
        "'kind':'circle','radius':0 | radius",
        "'kind':'circle','radius':1e6 | radius",
        "'kind':'circle','radius':{'keyframes':[{'time':0,'value':-5}]}"
            + " | radius.keyframes[0].value",
        "'kind':'arc','sweep':0 | sweep",
        "'kind':'arc','sweep':361 | sweep",
        "'kind':'rectangle','width':0 | width",
        "'kind':'rectangle','topLeft':-1 | topLeft",
        "'kind':'polygon','count':2 | count",
        "'kind':'star','innerRadius':-1 | innerRadius",
        "'kind':'wave','cycles':0 | cycles",
        "'kind':'noise','grain':1 | grain",
        "'kind':'spiral','turns':0 | turns",
        "'kind':'loop','runIn':-1 | runIn",
        "'kind':'circle','flipped':'yes' | flipped",
      })
  void fieldsOfAPath(String fields, String at) {
    assertThat(problems(fields)).extracting(Problem::path).contains("$." + at);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "circle",
        "ellipse",
        "arc",
        "rectangle",
        "polygon",
        "star",
        "line",
        "wave",
        "noise",
        "spiral",
        "loop"
      })
  void everyShapeIsGoodByItsNameAloneAndComesBackAsItWas(String kind) {
    String json = "{\"id\":\"p\",\"kind\":\"" + kind + "\"}";
    GuidePath path = PathCodec.read(Json.parse(json));
    assertThat(GuideContour.of(path).length()).isGreaterThan(10);
    assertThat(PathCodec.read(Json.parse(PathCodec.write(path)))).isEqualTo(path);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'width':8 | width",
        "'width':100.5 | width",
        "'height':9000 | height",
        "'length':0 | length",
        "'length':3601 | length",
        "'rate':'fast' | rate",
        "'rate':'0' | rate",
        "'rate':'25/0' | rate",
        "'background':'white' | background",
        "'blur':{'angle':-1} | blur.angle",
        "'blur':{'angle':90,'samples':1} | blur.samples",
        "'cues':[{'id':'c','time':-1}] | cues[0].time",
        "'cues':7 | cues",
        "'templates':[{'id':'t','image':'i','opacity':101}] | templates[0].opacity",
        "'templates':[{'id':'t','image':'i','width':0}] | templates[0].width",
        "'pictures':[{'id':'k','parts':[{'d':'M0 0H9','fill':'#12'}]}] | pictures[0].parts[0].fill",
        "'pictures':[{'id':'k','scale':0}] | pictures[0].scale",
        "'pictures':[{'id':'l'}] | pictures[0].id",
        "'stack':['l',5] | stack",
      })
  void fieldsOfTheScene(String field, String at) {
    String good = document(LINE, "a", "", "").replaceAll("\\s*\n\\s*", "");
    String name = field.substring(1, field.indexOf('\'', 1));
    String without = good.replaceFirst("\"" + name + "\":[^,\\[{]*,", "");
    String json = without.replaceFirst("\\{", "{" + field.replace('\'', '"') + ",");
    DocumentException e =
        catchThrowableOfType(DocumentException.class, () -> SceneCodec.read(json));
    assertThat(e).as(json).isNotNull();
    assertThat(e.problems()).extracting(Problem::path).contains("$." + at);
  }
}
