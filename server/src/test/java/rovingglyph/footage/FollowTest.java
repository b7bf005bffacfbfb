package rovingglyph.footage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.follow.PannedFootage;
import rovingglyph.server.TestServer;

/** What moves in kept footage is followed over HTTP. */
class FollowTest {
  private static final TestServer SERVER = TestServer.shared();

  @TempDir static Path folder;
  private static String id;

  @BeforeAll
  static void keep() throws Exception {
    String project =
        Json.parse(TestServer.text(SERVER.send("POST", "/api/projects", "{\"name\":\"Follow\"}")))
            .asObject()
            .getString("id", "");
    byte[] file = Files.readAllBytes(PannedFootage.make(folder));
    JsonObject begun =
        Json.parse(
                TestServer.text(
                    SERVER.send(
                        "POST",
                        "/api/projects/" + project + "/uploads",
                        "{\"name\":\"Wall\",\"size\":" + file.length + "}")))
            .asObject();
    String upload = "/api/uploads/" + begun.getString("id", "");
    for (int i = 0; i * (1 << 20) < file.length; i++) {
      byte[] piece = Arrays.copyOfRange(file, i << 20, Math.min(file.length, (i + 1) << 20));
      SERVER.putBytes(upload + "/pieces/" + i, piece);
    }
    id =
        Json.parse(TestServer.text(SERVER.send("POST", upload + "/end", "")))
            .asObject()
            .getString("id", "");
    String state = "";
    for (int i = 0; i < 300 && !state.equals("ready"); i++) {
      Thread.sleep(100);
      state =
          Json.parse(
                  TestServer.text(
                      SERVER.send("GET", "/api/projects/" + project + "/footage", null)))
              .asArray()
              .get(0)
              .asObject()
              .getString("state", "");
    }
    assertThat(state).isEqualTo("ready");
  }

  private static HttpResponse<byte[]> follow(String of, String marks) {
    return SERVER.send("POST", "/api/footage/" + of + "/follow", marks);
  }

  private static List<JsonObject> lines(String marks) {
    List<JsonObject> out = new ArrayList<>();
    for (String line : TestServer.text(follow(id, marks)).strip().split("\n")) {
      out.add(Json.parse(line).asObject());
    }
    return out;
  }

  /** From the first frame on, from the last one back, and only a part. */
  @ParameterizedTest
  @ValueSource(strings = {"0 39", "39 0", "10 30", "25 3"})
  void everyFrameIsToldWithItsTime(String way) {
    int from = Integer.parseInt(way.split(" ")[0]);
    int to = Integer.parseInt(way.split(" ")[1]);
    double[] moved = PannedFootage.moved(from);
    double x = PannedFootage.SPOT.x() + moved[0];
    double y = PannedFootage.SPOT.y() + moved[1];
    List<JsonObject> lines =
        lines(
            "{\"moment\":%s,\"until\":%s,\"points\":[[%s,%s]]}"
                .formatted(from / 25.0 + 0.001, to / 25.0 + 0.001, x, y));
    assertThat(lines).hasSize(Math.abs(to - from) + 1);
    assertThat(lines.get(lines.size() - 1).getString("ended", "")).isEqualTo("done");
    for (int i = 0; i < lines.size() - 1; i++) {
      int frame = from + (i + 1) * Integer.signum(to - from);
      JsonArray at = lines.get(i).get("points").asArray().get(0).asArray();
      assertThat(lines.get(i).getDouble("time", -1)).isCloseTo(frame / 25.0, within(1e-4));
      double[] now = PannedFootage.moved(frame);
      assertThat(at.get(0).asDouble()).isCloseTo(x + now[0] - moved[0], within(0.5));
      assertThat(at.get(1).asDouble()).isCloseTo(y + now[1] - moved[1], within(0.5));
    }
  }

  /** What lies within a part of something flat, as it is seen in perspective. */
  @Test
  void somethingFlatIsFollowed() {
    double[][] corners = {{150, 90}, {400, 110}, {380, 250}, {140, 240}};
    List<JsonObject> lines =
        lines(
            "{\"moment\":0,\"until\":1.6,\"points\":[[150,90],[400,110],[380,250],[140,240]],"
                + "\"area\":[[0.1,0],[0.9,0.2],[1,1],[0,0.9]]}");
    assertThat(lines).hasSize(PannedFootage.FRAMES);
    for (int i = 0; i < lines.size() - 1; i++) {
      JsonArray at = lines.get(i).get("points").asArray();
      for (int k = 0; k < 4; k++) {
        double[] now = PannedFootage.moved(i + 1);
        JsonArray p = at.get(k).asArray();
        assertThat(p.get(0).asDouble()).isCloseTo(corners[k][0] + now[0], within(1.0));
        assertThat(p.get(1).asDouble()).isCloseTo(corners[k][1] + now[1], within(1.0));
      }
    }
  }

  @Test
  void aSpotThatLeavesThePictureIsLost() {
    List<JsonObject> lines = lines("{\"moment\":0,\"until\":1.6,\"points\":[[620,150]]}");
    assertThat(lines.get(lines.size() - 1).getString("ended", "")).isEqualTo("lost");
    assertThat(lines.size()).isBetween(2, 25);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"moment\":0,\"until\":1}",
        "{\"moment\":0,\"until\":1,\"points\":[]}",
        "{\"moment\":0,\"until\":1,\"points\":[[1]]}",
        "{\"moment\":0,\"until\":1,\"points\":[[1,null]]}",
        "{\"moment\":0,\"until\":1,\"points\":[[1,2],[1,2],[1,2],[1,2],[1,2]]}",
        "{\"moment\":0,\"until\":1,\"points\":[[1e300,1]]}",
        "{\"moment\":0,\"until\":1,\"points\":[[1,2],[9,2],[1,20]]}",
        "{\"moment\":0,\"until\":1,\"points\":[[1,1],[90,90],[90,1],[1,90]]}",
        "{\"moment\":0,\"until\":1,\"points\":[[1,1]],\"area\":[[0,0],[1,0],[0,1]]}",
        "{\"moment\":0,\"until\":1,\"points\":[[1,1],[90,1],[90,90],[1,90]],\"area\":[[0,0]]}"
      })
  void marksThatAreNoneAreRefused(String marks) {
    HttpResponse<byte[]> answer = follow(id, marks);
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(TestServer.text(answer)).contains("This cannot be followed");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "[[-5000,9000000]]",
        "[[639.9,359.9]]",
        "[[0,0],[0,0]]",
        "[[-9e8,-9e8],[9e8,-9e8],[9e8,9e8],[-9e8,9e8]]",
        "[[-9e8,100],[9e8,100],[9e8,101],[-9e8,101]]",
        "[[100,100],[101,100],[101,101],[100,101]]"
      })
  void marksAnywhereEndInAnAnswer(String points) {
    List<JsonObject> lines = lines("{\"moment\":-9,\"until\":99999,\"points\":" + points + "}");
    assertThat(lines.get(lines.size() - 1).getString("ended", "")).isNotEmpty();
  }

  @Test
  void footageThatIsNotKeptIsNotFound() throws IOException {
    assertThat(follow("nothing", "{\"moment\":0,\"until\":1,\"points\":[[1,2]]}").statusCode())
        .isEqualTo(404);
  }
}
