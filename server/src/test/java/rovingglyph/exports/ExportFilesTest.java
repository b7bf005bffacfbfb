package rovingglyph.exports;

import static org.assertj.core.api.Assertions.assertThat;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import rovingglyph.server.TestServer;

/** Finished files in their pieces of 1 MiB. */
class ExportFilesTest {
  private static final int PIECE = 1 << 20;

  private final TestServer server = TestServer.shared();
  private final ExportStore exports = server.bean(ExportStore.class);
  private final JdbcClient jdbc = server.bean(JdbcClient.class);
  private UUID id;

  @BeforeEach
  void askForOne() {
    String project = TestServer.text(server.send("POST", "/api/projects", "{\"name\":\"Files\"}"));
    JsonObject scene = Json.parse(project).asObject().get("scenes").asArray().get(0).asObject();
    // It is not handed to the scheduler: the test makes the file.
    id =
        exports.create(
            new ExportStore.Asked(
                UUID.fromString(scene.getString("projectId", "")),
                UUID.fromString(scene.getString("id", "")),
                "Files",
                "png",
                "{}",
                "{}",
                number -> "Files",
                "png",
                1,
                null,
                null,
                null));
    assertThat(exports.start(id)).isTrue();
  }

  private static byte[] bytes(int size) {
    byte[] out = new byte[size];
    new Random(size).nextBytes(out);
    return out;
  }

  private int pieces() {
    return jdbc.sql("select count(*)::int from export_piece where export_id = ?")
        .param(id)
        .query(Integer.class)
        .single();
  }

  private byte[] kept() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    exports.write(id, out);
    return out.toByteArray();
  }

  @ParameterizedTest
  @ValueSource(ints = {1, PIECE - 1, PIECE, PIECE + 1, 2 * PIECE + 12_345})
  void comeBackAsTheyWereWithTheirLength(int size) throws IOException {
    byte[] file = bytes(size);
    exports.finish(id, new ByteArrayInputStream(file));
    assertThat(exports.get(id).size()).isEqualTo((long) size);
    assertThat(pieces()).isEqualTo((size + PIECE - 1) / PIECE);
    assertThat(kept()).isEqualTo(file);
    HttpResponse<byte[]> r = server.send("GET", "/api/exports/" + id + "/file", null);
    assertThat(r.body()).isEqualTo(file);
    assertThat(r.headers().firstValueAsLong("Content-Length")).hasValue(size);
    assertThat(server.send("DELETE", "/api/exports/" + id, null).statusCode()).isEqualTo(204);
    assertThat(pieces()).isZero();
  }

  @Test
  void nothingOfATryThatEndedInTheMiddleIsInTheNextOne() throws IOException {
    jdbc.sql(
            "insert into export_piece (export_id, number, bytes) values (?, 0, ?), (?, 1, ?), (?, 2, ?)")
        .params(id, bytes(9), id, bytes(8), id, bytes(7))
        .update();
    exports.finish(id, new ByteArrayInputStream(bytes(PIECE + 5)));
    assertThat(kept()).isEqualTo(bytes(PIECE + 5));
  }

  @Test
  void ofOneThatWasCancelledMeanwhileNothingIsKept() throws IOException {
    exports.remove(id);
    exports.finish(id, new ByteArrayInputStream(bytes(PIECE + 5)));
    assertThat(pieces()).isZero();
    assertThat(server.send("GET", "/api/exports/" + id + "/file", null).statusCode())
        .isEqualTo(404);
  }
}
