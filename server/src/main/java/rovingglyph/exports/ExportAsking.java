package rovingglyph.exports;

import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rovingglyph.document.SceneBundle;
import rovingglyph.footage.KeptBitmaps;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOptions;
import rovingglyph.frame.Preparation;
import rovingglyph.projects.ProjectStore;
import rovingglyph.projects.SceneStore;
import rovingglyph.projects.ShownScenes;
import rovingglyph.render.Bitmaps;
import rovingglyph.scene.Scene;
import rovingglyph.schema.Fields;
import rovingglyph.server.RefusedException;
import rovingglyph.server.Turns;
import rovingglyph.shaping.Shaper;

/** What is asked for: a scene as it is kept now, in a format, with what was chosen. */
@Component
class ExportAsking {
  /**
   * A file that can be made.
   *
   * @param project null where the document was sent along
   * @param sceneId null where the document was sent along
   * @param scene as it is painted for the file
   */
  record Asked(
      UUID project,
      UUID sceneId,
      String document,
      Scene scene,
      ExportFormat format,
      ExportOptions options) {
    String reason() {
      return ExportFormats.unsupportedReason(format, scene, options);
    }
  }

  /**
   * What a file would be.
   *
   * @param width of its images, px; 0 where there are none
   * @param seconds that it plays; 0 for what does not
   * @param unsupportedReason null if it can be made
   * @param note what it will not be as on the stage; null if there is nothing
   * @param bytes about how large it is; null where that is not known
   * @param workSeconds about how long it takes; null where that is not known
   */
  record Plan(
      int frames,
      int width,
      int height,
      double seconds,
      String unsupportedReason,
      String note,
      Long bytes,
      Double workSeconds) {}

  private final ExportStore exports;
  private final ExportJobs jobs;
  private final HandOffStore handOff;
  private final ProjectStore projects;
  private final SceneStore scenes;
  private final ShownScenes shown;
  private final Shaper shaper;
  private final KeptBitmaps bitmaps;

  /** One estimate at a time. */
  private final Turns turns = new Turns(2);

  ExportAsking(
      ExportStore exports,
      ExportJobs jobs,
      HandOffStore handOff,
      ProjectStore projects,
      SceneStore scenes,
      ShownScenes shown,
      Shaper shaper,
      KeptBitmaps bitmaps) {
    this.exports = exports;
    this.jobs = jobs;
    this.handOff = handOff;
    this.projects = projects;
    this.scenes = scenes;
    this.shown = shown;
    this.shaper = shaper;
    this.bitmaps = bitmaps;
  }

  /**
   * As a client asks for it.
   *
   * @throws rovingglyph.schema.DocumentException for options that cannot be
   */
  Asked read(UUID sceneId, Fields f) {
    String word = f.text("format", 80, "");
    f.check();
    ExportFormat format = ExportFormats.of(word.toLowerCase(Locale.ROOT));
    if (format == null) {
      throw RefusedException.bad("format: one of " + FormatController.ids());
    }
    ExportOptions options =
        ExportOptions.read(format, f.get("options") == null ? f : f.object("options"));
    f.check();
    return asked(sceneId, format, options);
  }

  /** The same of the scene as it is kept now, or of the document that was sent along. */
  Asked again(ExportStore.Export e) {
    ExportFormat format = ExportFormats.of(e.format());
    if (format == null) {
      throw RefusedException.bad("This server does not know the format " + e.format());
    }
    ExportOptions options = ExportOptions.parse(format, e.options());
    if (e.sceneId() != null) {
      return asked(e.sceneId(), format, options);
    }
    String document = exports.document(e.id());
    Scene scene = ExportFormats.applied(SceneBundle.read(document), options);
    return new Asked(null, null, document, scene, format, options);
  }

  private Asked asked(UUID sceneId, ExportFormat format, ExportOptions options) {
    SceneStore.Kept kept = scenes.get(sceneId);
    String document = shown.bundle(kept.projectId(), kept.document());
    Scene scene = ExportFormats.applied(SceneBundle.read(document), options);
    return new Asked(kept.projectId(), sceneId, document, scene, format, options);
  }

  /**
   * Begins to make it.
   *
   * @return its id
   */
  UUID begin(Asked a) {
    return begin(List.of(a), null).get(0);
  }

  /**
   * Begins to make several: all of them or none.
   *
   * @param webhook that is told when each of them has ended; null for none
   * @return their ids
   */
  List<UUID> begin(List<Asked> all, String webhook) {
    for (Asked a : all) {
      String reason = a.reason();
      if (reason != null) {
        throw RefusedException.bad(reason);
      }
    }
    List<UUID> ids = exports.createAll(all.stream().map(a -> kept(a, webhook)).toList());
    ids.forEach(jobs::enqueue);
    return ids;
  }

  private ExportStore.Asked kept(Asked a, String webhook) {
    UUID project = a.project();
    NamePattern pattern =
        project == null ? NamePattern.USUAL : new NamePattern(handOff.of(project).fileNames());
    String projectName = project == null ? "" : projects.get(project).name();
    String size = a.options().width(a.scene()) + "x" + a.options().height(a.scene());
    Instant now = Instant.now();
    return new ExportStore.Asked(
        project,
        a.sceneId(),
        a.scene().name(),
        a.format().id(),
        a.options().text(),
        a.document(),
        n ->
            pattern.name(
                new NamePattern.Facts(
                    projectName, a.scene().name(), a.format().id(), size, now, n)),
        a.format().words().extension(),
        a.format().frames(a.scene(), a.options()),
        a.format().note(a.scene(), a.options()),
        null,
        webhook);
  }

  /** What would come of it. */
  Plan plan(Asked a) throws IOException, InterruptedException {
    String reason = a.reason();
    ExportEstimates.Estimate estimate = reason == null ? estimate(a) : null;
    int frames = a.format().frames(a.scene(), a.options());
    boolean painted = a.format().images() > 0;
    return new Plan(
        frames,
        painted ? a.options().width(a.scene()) : 0,
        painted ? a.options().height(a.scene()) : 0,
        frames > 1 ? a.options().seconds(a.scene()) : 0,
        reason,
        a.format().note(a.scene(), a.options()),
        estimate == null ? null : estimate.bytes(),
        estimate == null ? null : estimate.seconds());
  }

  private ExportEstimates.Estimate estimate(Asked a) throws IOException, InterruptedException {
    return turns.take(
        () -> {
          try (KeptBitmaps.Borrowed borrowed = bitmaps.borrow()) {
            Bitmaps.requireAll(borrowed, a.scene());
            return ExportEstimates.of(
                a.format(), Preparation.prepare(a.scene(), shaper), borrowed, a.options());
          } catch (IOException e) {
            // Making it will say so, if it is still so then.
            return null;
          }
        });
  }
}
