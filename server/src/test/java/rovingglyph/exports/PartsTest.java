package rovingglyph.exports;

import static org.assertj.core.api.Assertions.assertThat;
import static rovingglyph.server.TestServer.text;

import com.eclipsesource.json.JsonObject;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.formats.Part;
import rovingglyph.server.Node;
import rovingglyph.server.TestServer;

/** Long exports are made by several nodes, of which any may end at any moment. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PartsTest {
  private TestServer server;
  private AskedExports exports;
  private JdbcClient jdbc;

  @BeforeAll
  void begin() {
    server = TestServer.another();
    exports = new AskedExports(server);
    jdbc = server.bean(JdbcClient.class);
  }

  @AfterAll
  void end() {
    server.close();
  }

  private JsonObject state(String export) {
    return exports.json("GET", "/api/exports/" + export, null);
  }

  /** Looks until it has ended, and tells the tries of each of its parts. */
  private Map<Integer, Integer> tries(String export) throws InterruptedException {
    Map<Integer, Integer> out = new HashMap<>();
    for (int i = 0; i < 1800; i++) {
      jdbc.sql("select number, tries from export_part where export_id = ?")
          .param(UUID.fromString(export))
          .query((row, n) -> out.merge(row.getInt(1), row.getInt(2), Math::max))
          .list();
      if (Set.of("done", "failed", "cancelled").contains(state(export).getString("state", ""))) {
        return out;
      }
      Thread.sleep(50);
    }
    throw new AssertionError("never ended: " + state(export));
  }

  private int left(String export) {
    return jdbc.sql(
            "select (select count(*) from export_part where export_id = :id)::int"
                + " + (select count(*) from export_piece where part > 0 and export_id = :id)::int")
        .param("id", UUID.fromString(export))
        .query(Integer.class)
        .single();
  }

  /** They go right after an export is said to have ended. */
  private void awaitNothingLeft(String export) throws InterruptedException {
    for (int i = 0; left(export) > 0; i++) {
      assertThat(i).as("parts are left of one that has ended").isLessThan(200);
      Thread.sleep(50);
    }
  }

  private int running(String export) {
    return jdbc.sql(
            "select count(*)::int from export_part where export_id = ? and frames_done > 0"
                + " and not done")
        .param(UUID.fromString(export))
        .query(Integer.class)
        .single();
  }

  private void awaitRunning(String export, int parts) throws InterruptedException {
    for (int i = 0; running(export) < parts; i++) {
      assertThat(i).as("parts of it are being made").isLessThan(600);
      Thread.sleep(20);
    }
  }

  private Set<String> names(String export) throws Exception {
    byte[] zip = server.send("GET", "/api/exports/" + export + "/file", null).body();
    Set<String> out = new HashSet<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        assertThat(out.add(e.getName())).as(e.getName()).isTrue();
      }
    }
    return out;
  }

  @Test
  void aKilledNodeCostsThePartThatItWasMaking() throws Exception {
    String export;
    Map<Integer, Integer> tries;
    try (Node other = server.node()) {
      // 1,500 frames are nine parts.
      export = exports.export(exports.sceneOf(640, 360, 60), "png-sequence");
      awaitRunning(export, 2);
      other.kill();
      tries = tries(export);
    }
    assertThat(tries.values()).hasSize(9).containsOnly(1, 2);
    assertThat(tries.values().stream().filter(n -> n == 2)).hasSize(1);
    assertThat(state(export).getInt("framesDone", 0)).isEqualTo(1500);
    assertThat(names(export)).hasSize(1500);
    awaitNothingLeft(export);
  }

  @Test
  void aShortExportDoesNotWaitForAllOfALongOne() throws Exception {
    String other = exports.sceneOf(160, 90, 0.4);
    String export = exports.export(exports.sceneOf(640, 360, 60), "png-sequence");
    awaitRunning(export, 1);
    String small = exports.export(other, "png");
    assertThat(tries(small)).isEmpty();
    assertThat(state(small).getString("state", "")).isEqualTo("done");
    assertThat(state(export).getInt("framesDone", 0)).isLessThan(1000);
    server.send("DELETE", "/api/exports/" + export, null);
    awaitNothingLeft(export);
    assertThat(state(export).getString("state", "")).isEqualTo("cancelled");
  }

  @Test
  void aPartThatFailsThreeTimesEndsItsExportAndFreesTheQueue() throws Exception {
    String export = exports.export(exports.sceneOf(320, 180, 60), "mp4");
    awaitRunning(export, 1);
    // As if two nodes had ended while they made it.
    jdbc.sql("update export_part set tries = 3 where export_id = ? and number = 4")
        .param(UUID.fromString(export))
        .update();
    tries(export);
    assertThat(state(export).getString("state", "")).isEqualTo("failed");
    assertThat(state(export).getString("message", "")).contains("Part 4", "3 times");
    assertThat(tries(exports.export(exports.sceneOf(160, 90, 0.4), "png"))).isEmpty();
    awaitNothingLeft(export);
  }

  @Test
  void anExportWhoseNodeEndedAfterItWasCutIsMade() throws Exception {
    String scene = exports.sceneOf(160, 90, 20);
    UUID id = UUID.randomUUID();
    jdbc.sql(
            "insert into export (id, scene_id, file_name, format, document, state, frames_total)"
                + " select ?, id, 'a.mp4', 'mp4', document, 'WAITING', 500 from scene where id = ?")
        .params(id, UUID.fromString(scene))
        .update();
    server.bean(ExportParts.class).cut(id, List.of(new Part(0, 250), new Part(250, 250)));
    server.bean(ExportJobs.class).enqueue(id);
    assertThat(tries(id.toString())).hasSize(2);
    assertThat(state(id.toString()).getString("state", "")).isEqualTo("done");
    assertThat(state(id.toString()).getInt("framesDone", 0)).isEqualTo(500);
    awaitNothingLeft(id.toString());
  }

  @Test
  void aSeriesIsMadeInPartsOfItsRows() throws Exception {
    String scene = exports.sceneOf(160, 90, 4);
    // Rows of one name, over the borders of parts too: each file gets its own.
    String table = "Background;File name\n" + "#24607A;Buoy\n#C4472D;Mole\n".repeat(4) + ";\n";
    var kept =
        server.putBytes("/api/scenes/" + scene + "/series", table.getBytes(StandardCharsets.UTF_8));
    assertThat(kept.statusCode()).as(text(kept)).isEqualTo(200);
    String export =
        exports
            .json(
                "POST",
                "/api/scenes/" + scene + "/series/files",
                "{\"files\":[{\"format\":\"gif\"}]}")
            .getString("id", "");
    assertThat(tries(export)).hasSize(3);
    assertThat(names(export)).hasSize(9).contains("Buoy.gif", "Mole-4.gif", "9-scene.gif");
    awaitNothingLeft(export);
  }
}
