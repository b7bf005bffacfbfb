package rovingglyph.exports;

import com.eclipsesource.json.JsonValue;
import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.document.SceneBundle;
import rovingglyph.document.SceneCodec;
import rovingglyph.formats.ExportFormats;
import rovingglyph.projects.SceneStore;
import rovingglyph.projects.ShownScenes;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;
import rovingglyph.schema.JsonText;
import rovingglyph.series.SeriesFiles;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;
import rovingglyph.values.BadValueException;
import rovingglyph.values.SceneValues;
import rovingglyph.webhooks.Webhooks;

/** Files for pipelines: of a kept scene or of a document that is sent along, with other values. */
@RestController
class RenderController {
  /** For the description of the interface. */
  record Asked(
      UUID scene,
      Map<String, Object> document,
      Map<String, String> values,
      List<SeriesController.NewFile> files,
      String webhook) {}

  /** Characters of a body at most: a document, and what goes with it. */
  private static final int LONGEST = SceneCodec.LONGEST + 200_000;

  private static final int MOST_VALUES = 1000;

  private final ExportAsking asking;
  private final ExportStore exports;
  private final SceneStore scenes;
  private final ShownScenes shown;
  private final ProjectAssets assets;
  private final Webhooks webhooks;

  RenderController(
      ExportAsking asking,
      ExportStore exports,
      SceneStore scenes,
      ShownScenes shown,
      ProjectAssets assets,
      Webhooks webhooks) {
    this.asking = asking;
    this.exports = exports;
    this.scenes = scenes;
    this.shown = shown;
    this.assets = assets;
    this.webhooks = webhooks;
  }

  /** What files are made of. */
  private record Ground(UUID project, UUID sceneId, Scene scene, String document) {}

  @Operation(
      summary = "Begins to make files of a scene with other values: all of them or none",
      description =
          "Either scene, the id of a kept one, or document, as in docs/scene-format.md (or as"
              + " scenes with those that they show). values are by ITEM.FIELD, as on the command"
              + " line. A webhook is told of each file that has ended, by a POST of export, state,"
              + " fileName, size and file, its address here; three times if it does not answer"
              + " with 2xx.")
  @PostMapping("/api/render")
  @ResponseStatus(HttpStatus.ACCEPTED)
  List<ExportController.Status> render(
      @Holds(
              value = Asked.class,
              example =
                  "{\"scene\": \""
                      + Holds.SCENE
                      + "\", \"values\": {\"title.text\": \"Low tide\", \"title.fill\": \"#0F6B69\"},"
                      + " \"files\": [{\"format\": \"png\", \"options\": {\"at\": 0.5}}]}")
          @RequestBody
          JsonBody body) {
    Fields f = Fields.of(JsonText.read(body.text(), LONGEST));
    String scene = f.text("scene", 40, null);
    JsonValue document = f.get("document");
    if ((scene == null) == (document == null)) {
      f.problem("scene", "and document: one of them is needed, and not both", "");
    }
    List<SeriesFiles.Asked> files = SeriesExport.read(f, null).asked();
    String webhook = f.text("webhook", 4000, null);
    String problem = webhook == null ? null : webhooks.problem(webhook);
    if (problem != null) {
      f.problem("webhook", problem, "");
    }
    List<SceneValues.Value> values = values(f);
    f.check();
    Ground g = varied(scene == null ? sent(document) : kept(scene), values);
    List<ExportAsking.Asked> all = new ArrayList<>();
    for (SeriesFiles.Asked a : files) {
      all.add(
          new ExportAsking.Asked(
              g.project(),
              g.sceneId(),
              g.document(),
              ExportFormats.applied(g.scene(), a.options()),
              a.format(),
              a.options()));
    }
    return asking.begin(all, webhook).stream()
        .map(id -> ExportController.status(exports.get(id)))
        .toList();
  }

  private static List<SceneValues.Value> values(Fields f) {
    Fields given = f.object("values");
    List<SceneValues.Value> out = new ArrayList<>();
    for (String path : given.names()) {
      JsonValue v = given.get(path);
      try {
        out.add(
            SceneValues.Value.of(
                path, v != null && v.isString() ? v.asString() : String.valueOf(v)));
      } catch (BadValueException e) {
        f.problem("values", e.getMessage(), "");
      }
    }
    if (out.size() > MOST_VALUES) {
      f.problem("values", "are " + out.size(), "at most " + MOST_VALUES);
    }
    return out;
  }

  private Ground kept(String id) {
    UUID sceneId;
    try {
      sceneId = UUID.fromString(id);
    } catch (IllegalArgumentException e) {
      throw RefusedException.notFound("scene");
    }
    SceneStore.Kept kept = scenes.get(sceneId);
    Scene scene = shown.filled(kept.projectId(), kept.document());
    return new Ground(kept.projectId(), sceneId, scene, null);
  }

  private static Ground sent(JsonValue document) {
    return new Ground(null, null, SceneBundle.read(document.toString()), null);
  }

  private Ground varied(Ground g, List<SceneValues.Value> values) {
    try {
      Scene scene =
          values.isEmpty()
              ? g.scene()
              : SceneValues.applied(g.scene(), values, assets.of(g.project()));
      Map<String, String> within = new LinkedHashMap<>();
      collect(scene, within);
      return new Ground(
          g.project(), g.sceneId(), scene, SceneBundle.write(SceneCodec.write(scene), within));
    } catch (BadValueException e) {
      throw RefusedException.bad("values: " + e.getMessage());
    }
  }

  /** The documents of the scenes that one shows, and those show. */
  private static void collect(Scene scene, Map<String, String> into) {
    scene
        .shown()
        .forEach(
            (id, s) -> {
              if (into.putIfAbsent(id, SceneCodec.write(s)) == null) {
                collect(s, into);
              }
            });
  }
}
