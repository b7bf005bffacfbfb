package rovingglyph.archive;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import rovingglyph.exports.HandOffStore;
import rovingglyph.exports.SeriesStore;
import rovingglyph.footage.FootageFile;
import rovingglyph.footage.FootageIntake;
import rovingglyph.footage.FootageJobs;
import rovingglyph.pictures.PictureStore;
import rovingglyph.projects.KeptParts;
import rovingglyph.projects.ProjectStore;
import rovingglyph.projects.SceneStore;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Fields;
import rovingglyph.schema.JsonText;
import rovingglyph.series.Series;
import rovingglyph.server.RefusedException;
import rovingglyph.shaping.Shaper;
import rovingglyph.tracing.ImageStore;
import rovingglyph.typefaces.FaceStore;
import rovingglyph.uploads.StoredFiles;

/** Looks into project files and opens them as projects, whole or not at all. */
@Component
class ProjectIntake {
  /**
   * A part of a file.
   *
   * @param kind its list in project.json
   * @param known whether the server has it already
   */
  record Found(String kind, String name, boolean known) {}

  /**
   * What is in a file.
   *
   * @param notes what to know before it is opened
   */
  record Look(String name, List<Found> parts, List<String> notes) {}

  private static final int WAIT_SECONDS = 4;

  /** Files that are looked into or opened at one time: each may be large. */
  private final Semaphore turn = new Semaphore(1, true);

  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final StoredFiles stored;
  private final ProjectStore projects;
  private final SceneStore scenes;
  private final PictureStore pictures;
  private final FootageIntake footage;
  private final FootageJobs footageJobs;
  private final FaceStore faces;
  private final Shaper shaper;
  private final ImageStore images;
  private final HandOffStore handOff;
  private final SeriesStore series;
  private final Map<PartKind, KeptParts> kept = new EnumMap<>(PartKind.class);

  ProjectIntake(
      JdbcClient jdbc,
      TransactionTemplate transaction,
      StoredFiles stored,
      ProjectStore projects,
      SceneStore scenes,
      PictureStore pictures,
      FootageIntake footage,
      FootageJobs footageJobs,
      FaceStore faces,
      Shaper shaper,
      ImageStore images,
      HandOffStore handOff,
      SeriesStore series,
      List<KeptParts> kinds) {
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.stored = stored;
    this.projects = projects;
    this.scenes = scenes;
    this.pictures = pictures;
    this.footage = footage;
    this.footageJobs = footageJobs;
    this.faces = faces;
    this.shaper = shaper;
    this.images = images;
    this.handOff = handOff;
    this.series = series;
    kinds.forEach(k -> kept.put(PartKind.of(k.table()), k));
  }

  private interface Work<T> {
    T with(ProjectFile file) throws IOException, UnusableFileException, InterruptedException;
  }

  /** Does something with an uploaded file, in its turn. */
  private <T> T read(UUID upload, Work<T> work) throws IOException, InterruptedException {
    StoredFiles.Upload whole = stored.whole(upload);
    if (!whole.projectId().equals(StoredFiles.NO_PROJECT)) {
      throw RefusedException.notFound("project file");
    }
    if (!turn.tryAcquire(WAIT_SECONDS, TimeUnit.SECONDS)) {
      throw new RefusedException(
          HttpStatus.SERVICE_UNAVAILABLE,
          "Another project file is being opened",
          "Try it again in a while",
          Map.of());
    }
    try {
      Path spooled = stored.spooled(upload);
      try (ProjectFile file = ProjectFile.open(spooled)) {
        return work.with(file);
      } finally {
        Files.deleteIfExists(spooled);
      }
    } catch (UnusableFileException e) {
      throw refused(e.getMessage());
    } finally {
      turn.release();
    }
  }

  private static RefusedException refused(String detail) {
    return new RefusedException(
        HttpStatus.UNPROCESSABLE_CONTENT, "The project file cannot be used", detail, Map.of());
  }

  /**
   * Tells what is in an uploaded file.
   *
   * @throws RefusedException with the reason, if it cannot be used
   */
  Look look(UUID upload) throws IOException, InterruptedException {
    return read(upload, this::look);
  }

  private Look look(ProjectFile file) throws IOException, UnusableFileException {
    file.checkFiles();
    List<String> notes = new ArrayList<>();
    file.contents()
        .unknown()
        .forEach(u -> notes.add("“" + u + "” is not known to this version and is left out"));
    ContainedScenes.check(file, notes);
    List<Found> out = new ArrayList<>();
    for (PartKind kind : PartKind.values()) {
      for (Contents.Part p : file.contents().of(kind)) {
        if (kept.containsKey(kind) || kind == PartKind.SERIES) {
          value(file, kind, p);
        }
        out.add(new Found(kind.list(), p.name().isEmpty() ? p.id() : p.name(), isKnown(kind, p)));
      }
    }
    return new Look(file.contents().name(), out, notes);
  }

  private boolean isKnown(PartKind kind, Contents.Part part) {
    return switch (kind) {
      case PICTURE, FOOTAGE, TYPEFACE ->
          jdbc.sql(
                  "select exists (select 1 from "
                      + kind.name().toLowerCase(Locale.ROOT)
                      + " where id = ?)")
              .param(part.id())
              .query(Boolean.class)
              .single();
      default -> false;
    };
  }

  /** What a kept part is, in JSON. */
  private static JsonValue value(ProjectFile file, PartKind kind, Contents.Part part)
      throws IOException, UnusableFileException {
    try {
      return JsonText.read(file.text(kind, part), (int) kind.largest());
    } catch (DocumentException e) {
      throw new UnusableFileException(part.file() + ": " + ContainedScenes.told(e));
    }
  }

  /**
   * Opens an uploaded file: as a project of its own, or into one that is there.
   *
   * @param name of the new project; null as the file has it
   * @param into a project that takes it; null for a new one
   * @throws RefusedException with the reason, if it cannot be used; nothing is kept then
   */
  ProjectStore.Project open(UUID upload, String name, UUID into)
      throws IOException, InterruptedException {
    if (into != null) {
      projects.require(into);
    }
    return read(
        upload,
        file -> {
          look(file);
          Opening opening = new Opening(file, into);
          try {
            UUID project = transaction.execute(t -> opening.all(name));
            stored.remove(upload);
            opening.footage.forEach(footageJobs::enqueue);
            return projects.get(project);
          } catch (Opening.Ended e) {
            throw e.reason();
          }
        });
  }

  /** One file on its way into the database, within a transaction. */
  private final class Opening {
    /** Carries a reason out of the transaction, which is undone by it. */
    private static final class Ended extends RuntimeException {
      Ended(UnusableFileException reason) {
        super(reason);
      }

      UnusableFileException reason() {
        return (UnusableFileException) getCause();
      }
    }

    private final ProjectFile file;
    private final UUID into;

    /** By the names in the file, those that they have here. */
    private final Map<String, String> names = new HashMap<>();

    private final List<String> footage = new ArrayList<>();

    Opening(ProjectFile file, UUID into) {
      this.file = file;
      this.into = into;
    }

    UUID all(String name) {
      UUID project = into == null ? fresh(name) : into;
      scenes.requireRoom(project, file.contents().of(PartKind.SCENE).size());
      for (Contents.Part p : file.contents().of(PartKind.SCENE)) {
        names.put(p.id(), UUID.randomUUID().toString());
      }
      // Scenes, and what belongs to them, last: by then it is known what all is called here.
      for (PartKind kind : PartKind.values()) {
        if (kind != PartKind.SCENE && kind != PartKind.SERIES) {
          file.contents().of(kind).forEach(p -> keep(project, kind, p));
        }
      }
      for (PartKind kind : List.of(PartKind.SCENE, PartKind.SERIES)) {
        file.contents().of(kind).forEach(p -> keep(project, kind, p));
      }
      return project;
    }

    private UUID fresh(String name) {
      Contents c = file.contents();
      UUID project = projects.create(name == null ? c.name() : name, List.of()).id();
      try {
        handOff.change(project, c.fileNames(), c.keepDays());
      } catch (RefusedException e) {
        throw new Ended(new UnusableFileException("project.json: " + e.getMessage()));
      }
      return project;
    }

    private void keep(UUID project, PartKind kind, Contents.Part part) {
      try {
        String id = kept(project, kind, part);
        if (!part.id().isEmpty()) {
          names.put(part.id(), id);
        }
      } catch (ProjectFile.BadPartException e) {
        throw new Ended(new UnusableFileException(e.getMessage()));
      } catch (RefusedException | FootageFile.Unusable e) {
        throw new Ended(new UnusableFileException(part.file() + ": " + e.getMessage()));
      } catch (DocumentException e) {
        throw new Ended(new UnusableFileException(part.file() + ": " + ContainedScenes.told(e)));
      } catch (UnusableFileException e) {
        throw new Ended(e);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException("The server is stopping", e);
      }
    }

    /** The scene of this project that a table belongs to. */
    private UUID sceneOf(JsonValue table, Contents.Part part) throws UnusableFileException {
      String scene = Fields.of(table).text("scene", 80, "");
      for (Contents.Part p : file.contents().of(PartKind.SCENE)) {
        if (scene.equals(names.get(p.id()))) {
          return UUID.fromString(scene);
        }
      }
      throw new UnusableFileException(part.file() + ": it belongs to a scene that is not there");
    }

    /** Keeps a part; the name that it has here. */
    private String kept(UUID project, PartKind kind, Contents.Part part)
        throws IOException, UnusableFileException, FootageFile.Unusable, InterruptedException {
      String name = part.name().isEmpty() ? part.id() : part.name();
      switch (kind) {
        case PICTURE:
          return pictures.keep(project, name, file.bytes(kind, part)).id();
        case FOOTAGE:
          try (InputStream in = file.stream(kind, part)) {
            String id = ProjectIntake.this.footage.keep(project, name, in);
            footage.add(id);
            return id;
          }
        case TYPEFACE:
          String face = faces.keep(project, part.id(), file.bytes(kind, part));
          shaper.forget(face);
          return face;
        case TEMPLATE:
          return images.keep(file.bytes(kind, part)).id().toString();
        case SCENE:
          JsonValue document = Json.parse(file.text(kind, part));
          UUID id = UUID.fromString(names.get(part.id()));
          scenes.insert(id, project, Names.renamed(document, names).toString());
          return id.toString();
        case SERIES:
          JsonValue table = Names.renamed(value(file, kind, part), names);
          series.put(sceneOf(table, part), Series.parse(table));
          return part.id();
        default:
          ProjectIntake.this.kept.get(kind).keep(project, name, value(file, kind, part));
          return part.id();
      }
    }
  }
}
