package rovingglyph.archive;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import rovingglyph.exports.SeriesStore;
import rovingglyph.formats.FileNames;
import rovingglyph.projects.KeptParts;
import rovingglyph.series.Series;
import rovingglyph.server.RefusedException;
import rovingglyph.shaping.Face;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.FaceSource;
import rovingglyph.uploads.StoredFiles;

/** Writes projects as files, part by part: none is ever whole in memory. */
@Component
class ProjectFileWriter {
  /** What a project has, with all that its scenes name. */
  private record Row(String id, String name, String type) {}

  /** A query for the rows of a kind; {@code :used} are the names in its scenes. */
  private static final Map<PartKind, String> FILES =
      Map.of(
          PartKind.PICTURE,
          """
          select id, coalesce(name, '') as name, type from picture
            left join project_picture on picture_id = id and project_id = :project
            where project_id is not null or id = any(:used) order by place, id""",
          PartKind.FOOTAGE,
          """
          select id, coalesce(name, '') as name, type from footage
            left join project_footage on footage_id = id and project_id = :project
            where (project_id is not null or id = any(:used)) and state <> 'FAILED'
            order by place, id""",
          PartKind.TYPEFACE,
          """
          select id, name, 'font/otf' as type from typeface
            left join project_typeface on typeface_id = id and project_id = :project
            where project_id is not null or id = any(:used) order by name, id""",
          PartKind.TEMPLATE,
          "select id::text as id, '' as name, type from image where id::text = any(:used) order by id");

  private static final Map<String, String> ENDS =
      Map.of(
          "image/jpeg", "jpg",
          "image/svg+xml", "svg",
          "font/otf", "otf",
          "video/quicktime", "mov");

  /** Files have no time of their own, so that the same project gives the same file. */
  private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

  private final JdbcClient jdbc;
  private final StoredFiles stored;
  private final SeriesStore series;
  private final FaceCatalogue shipped;
  private final FaceSource faces;
  private final Map<PartKind, KeptParts> kept = new EnumMap<>(PartKind.class);

  ProjectFileWriter(
      JdbcClient jdbc,
      StoredFiles stored,
      SeriesStore series,
      FaceCatalogue shipped,
      FaceSource faces,
      List<KeptParts> kinds) {
    this.jdbc = jdbc;
    this.stored = stored;
    this.series = series;
    this.shipped = shipped;
    this.faces = faces;
    kinds.forEach(k -> kept.put(PartKind.of(k.table()), k));
  }

  /**
   * Refuses a project that no file can hold.
   *
   * @throws RefusedException with how large it is
   */
  void check(UUID project) {
    long bytes =
        jdbc.sql(
                """
                select coalesce(sum(f.size), 0) + (select coalesce(sum(length(content)), 0)
                    from project_picture join picture on id = picture_id where project_id = :project)
                  from project_footage join footage on id = footage_id
                    join stored_file f on f.id = file_id where project_footage.project_id = :project""")
            .param("project", project)
            .query(Long.class)
            .single();
    if (bytes > ProjectFile.LARGEST * 0.95) {
      throw new RefusedException(
          HttpStatus.CONFLICT,
          "The project is too large for one file",
          "Its pictures and footage have %.1f GB together, and a project file holds 4 GB: take out what no scene shows"
              .formatted(bytes / 1e9),
          Map.of());
    }
  }

  /** Writes a project as it is now. */
  void write(UUID project, String name, OutputStream to) throws IOException {
    ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
    Map<PartKind, List<Contents.Part>> parts = new EnumMap<>(PartKind.class);
    Set<String> used = new HashSet<>();
    parts.put(PartKind.SCENE, scenes(project, zip, used));
    parts.put(PartKind.SERIES, series(parts.get(PartKind.SCENE), zip));
    for (PartKind kind : PartKind.values()) {
      if (FILES.containsKey(kind)) {
        parts.put(kind, files(kind, project, zip, used));
      } else if (kept.containsKey(kind)) {
        parts.put(kind, kept(kind, project, zip));
      }
    }
    licences(used, parts.get(PartKind.TYPEFACE), zip);
    Contents contents =
        jdbc.sql("select file_names, keep_files_days from project where id = ?")
            .param(project)
            .query(
                (rs, n) ->
                    new Contents(
                        name, rs.getString(1), rs.getObject(2, Integer.class), parts, List.of()))
            .single();
    text(zip, ProjectFile.CONTENTS, contents.text());
    zip.finish();
  }

  private List<Contents.Part> scenes(UUID project, ZipOutputStream zip, Set<String> used)
      throws IOException {
    List<UUID> ids =
        jdbc.sql("select id from scene where project_id = ? and deleted_at is null order by place")
            .param(project)
            .query(UUID.class)
            .list();
    List<Contents.Part> out = new ArrayList<>();
    for (UUID id : ids) {
      Row row =
          jdbc.sql("select id::text as id, name, document as type from scene where id = ?")
              .param(id)
              .query(Row.class)
              .single();
      String file = fileName(PartKind.SCENE, out.size() + 1, row.name());
      text(zip, file, row.type());
      Names.collect(Json.parse(row.type()), used);
      out.add(new Contents.Part(row.id(), row.name(), file));
    }
    return out;
  }

  private static String fileName(PartKind kind, int number, String name) {
    String plain = FileNames.plain(name);
    int end = plain.offsetByCodePoints(0, Math.min(60, plain.codePointCount(0, plain.length())));
    return "%s/%03d-%s.json".formatted(kind.list(), number, plain.substring(0, end));
  }

  private List<Contents.Part> kept(PartKind kind, UUID project, ZipOutputStream zip)
      throws IOException {
    List<Contents.Part> out = new ArrayList<>();
    for (KeptParts.Kept k : kept.get(kind).of(project)) {
      String file = fileName(kind, out.size() + 1, k.name());
      text(zip, file, k.part());
      out.add(new Contents.Part("", k.name(), file));
    }
    return out;
  }

  /** The tables of the scenes, each called after its own. */
  private List<Contents.Part> series(List<Contents.Part> scenes, ZipOutputStream zip)
      throws IOException {
    List<Contents.Part> out = new ArrayList<>();
    for (Contents.Part scene : scenes) {
      Series series =
          this.series.find(UUID.fromString(scene.id())).map(SeriesStore.Kept::series).orElse(null);
      if (series != null) {
        String file = fileName(PartKind.SERIES, out.size() + 1, scene.name());
        JsonObject json = Json.parse(series.text()).asObject().add("scene", scene.id());
        text(zip, file, json.toString());
        out.add(new Contents.Part("", scene.name(), file));
      }
    }
    return out;
  }

  private List<Contents.Part> files(
      PartKind kind, UUID project, ZipOutputStream zip, Set<String> used) throws IOException {
    List<Row> rows =
        jdbc.sql(FILES.get(kind))
            .param("project", project)
            .param("used", used.toArray(String[]::new))
            .query(Row.class)
            .list();
    List<Contents.Part> out = new ArrayList<>();
    for (Row row : rows) {
      String type = row.type();
      String end = ENDS.getOrDefault(type, type.substring(type.indexOf('/') + 1));
      String file = "%s/%s.%s".formatted(kind.list(), row.id(), end);
      entry(zip, file, false);
      copy(kind, row.id(), zip);
      zip.closeEntry();
      out.add(new Contents.Part(row.id(), row.name(), file));
      used.add(row.id());
    }
    return out;
  }

  private void copy(PartKind kind, String id, OutputStream to) throws IOException {
    if (kind == PartKind.FOOTAGE) {
      stored.write(
          jdbc.sql("select file_id from footage where id = ?").param(id).query(UUID.class).single(),
          to);
      return;
    }
    String table =
        switch (kind) {
          case PICTURE -> "picture";
          case TYPEFACE -> "typeface";
          case TEMPLATE -> "image";
          default -> throw new IllegalArgumentException(kind.name());
        };
    to.write(
        jdbc.sql("select content from " + table + " where id::text = ?")
            .param(id)
            .query(byte[].class)
            .single());
  }

  /** What may be done with the typefaces in use: shipped ones and those of the project. */
  private void licences(Set<String> used, List<Contents.Part> fonts, ZipOutputStream zip)
      throws IOException {
    for (Face face : shipped.all()) {
      if (used.contains(face.id())) {
        text(zip, licence(face.id()), resource("/faces/" + licence(face.id())));
      }
    }
    for (Contents.Part own : fonts) {
      Face face = faces.find(own.id());
      if (face != null) {
        Face.Facts f = face.facts();
        text(
            zip,
            licence(own.id()),
            String.join("\n\n", face.name(), f.copyright(), f.licence(), f.licenceUrl()) + "\n");
      }
    }
  }

  private static String licence(String face) {
    return "licences/" + face + ".txt";
  }

  private static String resource(String name) throws IOException {
    try (InputStream in = ProjectFileWriter.class.getResourceAsStream(name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private static void text(ZipOutputStream zip, String file, String text) throws IOException {
    entry(zip, file, true);
    zip.write(text.getBytes(StandardCharsets.UTF_8));
    zip.closeEntry();
  }

  /** Pictures, footage and fonts are packed already: they are put in as they are. */
  private static void entry(ZipOutputStream zip, String file, boolean packed) throws IOException {
    ZipEntry e = new ZipEntry(file);
    e.setTimeLocal(NO_TIME);
    zip.setLevel(packed ? Deflater.DEFAULT_COMPRESSION : Deflater.NO_COMPRESSION);
    zip.putNextEntry(e);
  }
}
