package rovingglyph.exports;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOption;
import rovingglyph.formats.ExportOptions;
import rovingglyph.formats.FormatWords;
import rovingglyph.projects.SceneStore;
import rovingglyph.projects.ShownScenes;
import rovingglyph.scene.Scene;

/** The formats that scenes can be handed off as. */
@RestController
class FormatController {
  /**
   * A format, and what it makes of one scene.
   *
   * @param group what such files are made for
   * @param options of these, where a scene is named, those that make a difference for it
   * @param frames that are painted for the scene; 0 where no scene was asked for
   * @param unsupportedReason null if the scene can be written so
   * @param note what the file will not be as on the stage; null if there is nothing
   */
  record Format(
      String id,
      String group,
      String label,
      String noun,
      String use,
      String extension,
      String mediaType,
      List<ExportOption> options,
      int frames,
      String unsupportedReason,
      String note) {}

  private final SceneStore scenes;
  private final ShownScenes shown;

  FormatController(SceneStore scenes, ShownScenes shown) {
    this.scenes = scenes;
    this.shown = shown;
  }

  /** The words of all formats, as a list to choose from. */
  static String ids() {
    return ExportFormats.ALL.stream().map(ExportFormat::id).collect(Collectors.joining(", "));
  }

  @Operation(summary = "The formats of files, and what each makes of a scene where one is named")
  @GetMapping("/api/export-formats")
  List<Format> list(@RequestParam(required = false) UUID scene) {
    Scene read = scene == null ? null : filled(scenes.get(scene));
    return ExportFormats.ALL.stream().map(f -> format(f, read)).toList();
  }

  private Scene filled(SceneStore.Kept kept) {
    return shown.filled(kept.projectId(), kept.document());
  }

  private static Format format(ExportFormat f, Scene scene) {
    FormatWords words = f.words();
    ExportOptions usual = ExportOptions.of(f);
    return new Format(
        words.id(),
        words.group().label(),
        words.label(),
        words.noun(),
        words.use(),
        words.extension(),
        words.mediaType(),
        scene == null ? f.options() : ExportFormats.options(f, scene),
        scene == null ? 0 : f.frames(scene, usual),
        scene == null ? null : ExportFormats.unsupportedReason(f, scene, usual),
        scene == null ? null : f.note(scene, usual));
  }
}
