package rovingglyph.exports;

import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rovingglyph.document.SceneBundle;
import rovingglyph.formats.ExportFormats;
import rovingglyph.projects.ProjectStore;
import rovingglyph.projects.SceneStore;
import rovingglyph.projects.ShownScenes;
import rovingglyph.scene.Scene;
import rovingglyph.series.SeriesCheck;
import rovingglyph.series.SeriesFiles;
import rovingglyph.server.RefusedException;

/** Begins to make the files of series: one export, with all of them in a ZIP. */
@Component
class SeriesAsking {
  private final ExportStore exports;
  private final ExportJobs jobs;
  private final HandOffStore handOff;
  private final ProjectStore projects;
  private final ProjectAssets assets;
  private final SceneStore scenes;
  private final ShownScenes shown;

  SeriesAsking(
      ExportStore exports,
      ExportJobs jobs,
      HandOffStore handOff,
      ProjectStore projects,
      ProjectAssets assets,
      SceneStore scenes,
      ShownScenes shown) {
    this.exports = exports;
    this.jobs = jobs;
    this.handOff = handOff;
    this.projects = projects;
    this.assets = assets;
    this.scenes = scenes;
    this.shown = shown;
  }

  /**
   * Begins to make them.
   *
   * @return the id of the export
   * @throws RefusedException with the row and the column, if one of them cannot be made
   */
  UUID begin(UUID sceneId, SeriesExport asked) {
    SceneStore.Kept kept = scenes.get(sceneId);
    UUID project = kept.projectId();
    String document = shown.bundle(project, kept.document());
    Scene scene = SceneBundle.read(document);
    SeriesCheck check = new SeriesCheck(asked.series(), scene, assets.of(project));
    String bad = check.bad();
    for (SeriesFiles.Asked a : asked.asked()) {
      bad =
          bad != null
              ? bad
              : ExportFormats.unsupportedReason(
                  a.format(), ExportFormats.applied(scene, a.options()), a.options());
    }
    if (bad != null) {
      throw RefusedException.bad(bad);
    }
    NamePattern pattern = new NamePattern(handOff.of(project).fileNames());
    String projectName = projects.get(project).name();
    Instant now = Instant.now();
    UUID id =
        exports.create(
            new ExportStore.Asked(
                project,
                sceneId,
                scene.name(),
                SeriesExport.ID,
                asked.options(),
                document,
                n ->
                    pattern.name(
                        new NamePattern.Facts(
                            projectName,
                            scene.name(),
                            SeriesExport.ID,
                            asked.series().rows().size() + "-rows",
                            now,
                            n)),
                "zip",
                SeriesFiles.frames(scene, asked.series(), asked.asked()),
                null,
                asked.series().text(),
                null));
    jobs.enqueue(id);
    return id;
  }

  /** The same of the scene as it is kept now. */
  UUID again(ExportStore.Export e) {
    return begin(e.sceneId(), SeriesExport.parse(e.options(), exports.series(e.id())));
  }
}
