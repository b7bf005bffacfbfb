package rovingglyph.exports;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.frame.Preparation;
import rovingglyph.projects.ScenePictures;
import rovingglyph.projects.SceneStore;
import rovingglyph.projects.ShownScenes;
import rovingglyph.proof.Finding;
import rovingglyph.proof.Proof;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Fields;
import rovingglyph.schema.Problem;
import rovingglyph.series.Series;
import rovingglyph.series.SeriesCheck;
import rovingglyph.series.Table;
import rovingglyph.server.Holds;
import rovingglyph.server.JsonBody;
import rovingglyph.server.RefusedException;
import rovingglyph.server.Turns;
import rovingglyph.shaping.Shaper;
import rovingglyph.values.Assets;
import rovingglyph.values.BadValueException;
import rovingglyph.values.SceneField;
import rovingglyph.values.SceneValues;

/** Series over HTTP: a table, what its columns are for, and what each row becomes. */
@RestController
@RequestMapping("/api/scenes/{scene}/series")
class SeriesController {
  /** A field that a column can be for; {@code main} is one of the few that are mostly varied. */
  record Field(String path, String item, String label, String kind, boolean main) {}

  /**
   * A series.
   *
   * @param problem what is in the way of making it, but for single cells; null if there is nothing
   */
  record View(
      long revision, List<Series.Column> columns, int rows, List<Field> fields, String problem) {}

  /** A cell that cannot stand in the field of its column. */
  record Bad(int column, String reason) {}

  /**
   * A row.
   *
   * @param number from 0
   * @param findings what Proof says of the scene with its values
   */
  record Row(int number, List<String> cells, List<Bad> bad, List<String> findings) {}

  /** For the description of the interface. */
  record NewCells(List<String> cells) {}

  /** For the description of the interface. */
  record NewColumns(List<String> fields) {}

  /** For the description of the interface. */
  record NewFile(String format, Map<String, Object> options) {}

  /** For the description of the interface. */
  record NewFiles(List<NewFile> files) {}

  /** Rows that are told at one time. */
  private static final int MOST_TOLD = 50;

  /** After so long the rows that are left are told without findings. */
  private static final long MOST_MILLIS = 2000;

  /** Width and height of a row's picture at most, px. */
  private static final double SMALL = 240;

  private final SeriesStore store;
  private final SeriesAsking asking;
  private final ExportStore exports;
  private final ProjectAssets assets;
  private final SceneStore scenes;
  private final ShownScenes shown;
  private final ScenePictures pictures;
  private final Shaper shaper;
  private final Turns turns = new Turns(4);

  SeriesController(
      SeriesStore store,
      SeriesAsking asking,
      ExportStore exports,
      ProjectAssets assets,
      SceneStore scenes,
      ShownScenes shown,
      ScenePictures pictures,
      Shaper shaper) {
    this.store = store;
    this.asking = asking;
    this.exports = exports;
    this.assets = assets;
    this.scenes = scenes;
    this.shown = shown;
    this.pictures = pictures;
    this.shaper = shaper;
  }

  /** A scene, and what its values may name. */
  private record Ground(Scene scene, Assets assets) {}

  private Ground ground(UUID scene) {
    SceneStore.Kept kept = scenes.get(scene);
    return new Ground(shown.filled(kept.projectId(), kept.document()), assets.of(kept.projectId()));
  }

  private View view(UUID scene) {
    Ground g = ground(scene);
    SeriesStore.Kept kept =
        store.find(scene).orElse(new SeriesStore.Kept(0, new Series(List.of(), List.of())));
    List<Field> fields =
        SceneField.of(g.scene()).stream()
            .map(
                f ->
                    new Field(
                        f.path(),
                        f.itemName(),
                        f.label(),
                        f.kind().name().toLowerCase(Locale.ROOT),
                        f.main()))
            .toList();
    return new View(
        kept.revision(),
        kept.series().columns(),
        kept.series().rows().size(),
        fields,
        kept.revision() == 0
            ? null
            : new SeriesCheck(kept.series(), g.scene(), g.assets()).badColumns());
  }

  @Operation(
      summary = "The series of a scene: its columns, how many rows, and what columns can be for",
      description = "Without columns and rows where there is none")
  @GetMapping
  View get(@PathVariable UUID scene) {
    return view(scene);
  }

  @Operation(
      summary = "Keeps a table with a scene, in the place of the one before",
      description =
          "CSV (RFC 4180; commas or semicolons) or with tabs, in UTF-8, at most 8 MB and 10,000"
              + " rows. The first row has the headings; columns are matched to fields by them.")
  @PutMapping(consumes = MediaType.ALL_VALUE)
  View put(@PathVariable UUID scene, @RequestBody(required = false) byte[] table) {
    Scene read = ground(scene).scene();
    try {
      Table t = Table.read(table == null ? new byte[0] : table);
      store.put(scene, Series.of(t, SceneField.of(read)));
    } catch (Table.Unusable e) {
      throw new RefusedException(
          HttpStatus.UNPROCESSABLE_CONTENT, "The table cannot be used", e.getMessage(), Map.of());
    }
    return view(scene);
  }

  @Operation(summary = "Takes the series of a scene away")
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID scene) {
    store.remove(scene);
  }

  @Operation(
      summary = "Says what the columns are for, each by the path of a field",
      description = "Empty for one that is not used, file.name for how files are called")
  @PutMapping("/columns")
  View match(
      @PathVariable UUID scene,
      @Holds(value = NewColumns.class, example = "{\"fields\": [\"title.text\", \"title.fill\"]}")
          @RequestBody
          JsonBody body) {
    SeriesStore.Kept kept = store.get(scene);
    List<String> fields = texts(body, "fields", kept.series().columns().size(), 300);
    change(scene, kept, kept.series().matched(fields));
    return view(scene);
  }

  @Operation(summary = "Changes the cells of a row; rows are counted from 0")
  @PutMapping("/rows/{number}")
  Row adjust(
      @PathVariable UUID scene,
      @PathVariable int number,
      @Holds(value = NewCells.class, example = "{\"cells\": [\"Low tide\", \"#0F6B69\"]}")
          @RequestBody
          JsonBody body) {
    SeriesStore.Kept kept = store.get(scene);
    require(kept.series(), number);
    List<String> cells = texts(body, "cells", kept.series().columns().size(), Table.LONGEST_CELL);
    Series changed = kept.series().with(number, cells);
    change(scene, kept, changed);
    return row(changed, ground(scene), number, true);
  }

  private void change(UUID scene, SeriesStore.Kept kept, Series changed) {
    if (!store.change(scene, kept.revision(), changed)) {
      throw new RefusedException(
          HttpStatus.CONFLICT,
          "The series has changed",
          "The series was changed elsewhere at the same time; try it again",
          Map.of());
    }
  }

  private static List<String> texts(JsonBody body, String name, int count, int longest) {
    Fields f = body.fields();
    List<String> out = f.texts(name, Table.MOST_COLUMNS);
    if (out.stream().anyMatch(t -> t.length() > longest || t.indexOf('\0') >= 0)) {
      f.problem(name, "holds a text that is too long, or U+0000", "at most " + longest);
    }
    if (out.size() != count) {
      f.problem(name, "has " + out.size() + " texts", "one for each of the " + count + " columns");
    }
    f.check();
    return out;
  }

  private static void require(Series series, int number) {
    if (number < 0 || number >= series.rows().size()) {
      throw RefusedException.notFound("row");
    }
  }

  @Operation(
      summary = "Rows with what is wrong in them, and what Proof says of each, at most 50",
      description = "Where that takes too long, findings of the last of them are missing (null)")
  @GetMapping("/rows")
  List<Row> rows(
      @PathVariable UUID scene,
      @RequestParam(defaultValue = "0") int from,
      @RequestParam(defaultValue = "20") int count)
      throws IOException, InterruptedException {
    Series series = store.get(scene).series();
    Ground ground = ground(scene);
    int first = Math.max(0, from);
    long last = Math.min(series.rows().size(), first + (long) Math.min(MOST_TOLD, count));
    return turns.take(
        () -> {
          long end = System.nanoTime() + MOST_MILLIS * 1_000_000;
          List<Row> out = new ArrayList<>();
          for (int r = first; r < last; r++) {
            out.add(row(series, ground, r, System.nanoTime() < end));
          }
          return out;
        });
  }

  private Row row(Series series, Ground ground, int number, boolean look) {
    List<Bad> bad =
        new SeriesCheck(series, ground.scene(), ground.assets())
            .row(number).stream().map(b -> new Bad(b.column(), b.reason())).toList();
    List<String> findings = bad.isEmpty() ? null : List.of();
    if (look && bad.isEmpty()) {
      try {
        findings =
            Proof.of(Preparation.prepare(varied(series, ground, number), shaper)).stream()
                .map(Finding::message)
                .toList();
      } catch (BadValueException | DocumentException e) {
        findings = List.of(told(e));
      }
    }
    return new Row(number, series.rows().get(number), bad, findings);
  }

  private static String told(RuntimeException e) {
    return e instanceof DocumentException d
        ? String.join("; ", d.problems().stream().map(Problem::sentence).toList())
        : e.getMessage();
  }

  private static Scene varied(Series series, Ground ground, int number) {
    return SceneValues.applied(ground.scene(), series.values(number), ground.assets());
  }

  @Operation(
      summary = "A small picture of what a row becomes, a third into it; 422 if it cannot be")
  @GetMapping(value = "/rows/{number}/picture", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> picture(@PathVariable UUID scene, @PathVariable int number)
      throws IOException, InterruptedException {
    Series series = store.get(scene).series();
    require(series, number);
    try {
      byte[] png = pictures.png(varied(series, ground(scene), number), SMALL);
      return ResponseEntity.ok()
          .cacheControl(CacheControl.maxAge(Duration.ofMinutes(5)).cachePrivate())
          .body(png);
    } catch (BadValueException e) {
      throw new RefusedException(
          HttpStatus.UNPROCESSABLE_CONTENT, "The row cannot be made", e.getMessage(), Map.of());
    }
  }

  @Operation(
      summary = "Begins to make the files of all rows: one export, with all of them in a ZIP",
      description = "400 with the row and the column where a cell cannot be used")
  @PostMapping("/files")
  @ResponseStatus(HttpStatus.ACCEPTED)
  ExportController.Status make(
      @PathVariable UUID scene,
      @Holds(
              value = NewFiles.class,
              example =
                  "{\"files\": [{\"format\": \"png\", \"options\": {\"at\": 0.5}}, {\"format\": \"vtt\"}]}")
          @RequestBody
          JsonBody body) {
    Fields f = body.fields();
    SeriesExport asked = SeriesExport.read(f, store.get(scene).series());
    f.check();
    return ExportController.status(exports.get(asking.begin(scene, asked)));
  }
}
