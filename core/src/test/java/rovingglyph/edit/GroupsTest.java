package rovingglyph.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static rovingglyph.TestScenes.LINE;
import static rovingglyph.TestScenes.document;
import static rovingglyph.TestScenes.prepare;
import static rovingglyph.TestScenes.with;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rovingglyph.document.SceneCodec;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Group;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;

class GroupsTest {
  private static final String PICTURES =
      with(
          document(LINE, "a", "", ""),
          "\"pictures\":[{\"id\":\"p1\",\"parts\":[]},{\"id\":\"p2\",\"parts\":[]}],"
              + "\"stack\":[\"p1\",\"l\",\"p2\"]");

  private static Scene edited(Scene scene, String edit) {
    return SceneCodec.read(SceneCodec.write(SceneEdits.apply(scene, edit)));
  }

  private static Scene grouped(String... items) {
    String edit = "{\"op\":\"group\",\"id\":\"g\",\"name\":\"Badge\",\"items\":[\"%s\"]}";
    return edited(SceneCodec.read(PICTURES), edit.formatted(String.join("\",\"", items)));
  }

  @Test
  void aGroupStandsWhereItsTopmostMemberStoodAndKeepsTheirOrder() {
    Scene s = grouped("l", "p1");
    assertThat(s.stack()).containsExactly("g", "p2");
    assertThat(((Group) s.item("g")).members()).containsExactly("p1", "l");
    assertThat(prepare(SceneCodec.write(s)).at(0).numbers())
        .isEqualTo(prepare(PICTURES).at(0).numbers());
    assertThat(edited(s, "{\"op\":\"ungroup\",\"item\":\"g\"}").stack())
        .containsExactly("p1", "l", "p2");
  }

  @Test
  void whatIsInAChosenGroupComesAlongWithThat() {
    Scene s =
        edited(
            grouped("l", "p1"), "{\"op\":\"group\",\"id\":\"h\",\"items\":[\"p1\",\"g\",\"p2\"]}");
    assertThat(s.stack()).containsExactly("h");
    assertThat(((Group) s.item("h")).members()).containsExactly("g", "p2");
    assertThat(s.groupsRound("l")).extracting(Group::id).containsExactly("h", "g");
  }

  @Test
  void itemsAreMovedBetweenRowsAndAnEmptyGroupGoes() {
    Scene s = grouped("l", "p1");
    Scene in = edited(s, "{\"op\":\"restack\",\"item\":\"p2\",\"into\":\"g\",\"to\":1}");
    assertThat(((Group) in.item("g")).members()).containsExactly("p1", "p2", "l");
    Scene out = edited(s, "{\"op\":\"restack\",\"item\":\"l\",\"to\":0}");
    assertThat(out.stack()).containsExactly("l", "g", "p2");
    Scene none = edited(out, "{\"op\":\"restack\",\"item\":\"p1\",\"to\":9}");
    assertThat(none.stack()).containsExactly("l", "p2", "p1");
    assertThat(none.groups()).isEmpty();
    assertThatThrownBy(
            () -> edited(s, "{\"op\":\"restack\",\"item\":\"g\",\"into\":\"g\",\"to\":0}"))
        .hasMessageContaining("into itself");
  }

  @Test
  void aGroupGoesWithAllInItAndFollowersAreLetGo() {
    String two =
        PICTURES.replace(
            "\"letterings\":[",
            "\"letterings\":[{\"id\":\"f\",\"text\":\"f\",\"path\":\"p\",\"seat\":{\"pathOffset\":"
                + "{\"still\":0,\"follow\":{\"lettering\":\"l\",\"offset\":7}}}},");
    Scene s =
        edited(SceneCodec.read(two), "{\"op\":\"group\",\"id\":\"g\",\"items\":[\"l\",\"p1\"]}");
    Scene left = edited(s, "{\"op\":\"deleteItem\",\"item\":\"g\"}");
    assertThat(left.stack()).containsExactly("p2", "f");
    assertThat(left.item("f").movable(Channel.PATH_OFFSET).follow()).isNull();
  }

  @Test
  void aGroupTurnsAboutTheMiddleOfWhatIsInIt() {
    String square = "\"parts\":[{\"d\":\"M0 0H20V40H0Z\"}],\"x\":300,\"y\":100,\"scale\":2";
    Scene s = SceneCodec.read(PICTURES.replace("\"p2\",\"parts\":[]", "\"p2\"," + square));
    Group one = (Group) edited(s, "{\"op\":\"group\",\"id\":\"g\",\"items\":[\"p2\"]}").item("g");
    assertThat(one.centre()).isEqualTo(new Point(320, 140));
    Scene both = edited(s, "{\"op\":\"group\",\"id\":\"g\",\"items\":[\"p2\",\"l\"]}");
    // The line runs from (100, 500) to (900, 500).
    assertThat(((Group) both.item("g")).centre()).isEqualTo(new Point(500, 300));
  }

  @Test
  void anotherCentreMovesNothing() {
    Scene turned =
        edited(
            grouped("l"),
            "{\"op\":\"set\",\"item\":\"g\",\"channel\":\"rotation\",\"time\":0,\"value\":90}");
    Scene s = edited(turned, "{\"op\":\"centre\",\"item\":\"g\",\"x\":100,\"y\":50,\"time\":0}");
    assertThat(((Group) s.item("g")).centre()).isEqualTo(new Point(100, 50));
    double[] before = prepare(SceneCodec.write(turned)).at(0).numbers();
    assertThat(prepare(SceneCodec.write(s)).at(0).numbers()).containsExactly(before, within(1e-9));
  }

  @Test
  void itsValuesMoveAsOthersDo() {
    Scene s = grouped("l");
    Scene keyed =
        edited(
            s, "{\"op\":\"key\",\"item\":\"g\",\"channel\":\"rotation\",\"time\":1,\"value\":90}");
    assertThat(keyed.item("g").movable(Channel.ROTATION).keyframes()).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{'id':'g','members':['l','who']}|groups[0].members|no lettering, picture or group",
        "{'id':'g','members':['l','l']}|groups[0].members|in a group already",
        "{'id':'g','members':['g']}|groups[0].members|in itself",
        "{'id':'g','members':['h']},{'id':'h','members':['g']}|groups[0].members|in itself",
        "{'id':'l','members':[]}|groups[0].id|used twice",
        "{'id':'g','members':['l'],'scale':0}|groups[0].scale|out of range",
      })
  void brokenGroupsAreNamed(String groups, String where, String reason) {
    String json = with(document(LINE, "a", "", ""), "\"groups\":[" + groups + "]");
    assertThatThrownBy(() -> SceneCodec.read(json.replace('\'', '"')))
        .isInstanceOfSatisfying(
            DocumentException.class,
            e ->
                assertThat(e.problems())
                    .anySatisfy(
                        p -> {
                          assertThat(p.path()).isEqualTo("$." + where);
                          assertThat(p.reason()).contains(reason);
                        }));
  }

  @Test
  void groupsStandOnlySoDeepInEachOther() {
    StringBuilder groups = new StringBuilder("{\"id\":\"g0\",\"members\":[\"l\"]}");
    for (int i = 1; i <= 5; i++) {
      groups.append(",{\"id\":\"g" + i + "\",\"members\":[\"g" + (i - 1) + "\"]}");
    }
    String json = with(document(LINE, "a", "", ""), "\"groups\":[" + groups + "]");
    assertThatThrownBy(() -> SceneCodec.read(json)).hasMessageContaining("6 groups deep");
  }
}
