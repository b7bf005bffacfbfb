package rovingglyph.series;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.Scene;
import rovingglyph.values.Assets;
import rovingglyph.values.BadValueException;
import rovingglyph.values.SceneField;

/** Sees whether the cells of a series can stand in the fields that they are for. */
public final class SeriesCheck {
  /**
   * A cell that cannot.
   *
   * @param row from 0
   * @param column from 0
   */
  public record BadCell(int row, int column, String reason) {}

  private final Series series;
  private final Assets assets;
  private final Map<String, SceneField> fields = new HashMap<>();

  public SeriesCheck(Series series, Scene scene, Assets assets) {
    this.series = series;
    this.assets = assets;
    SceneField.of(scene).forEach(f -> fields.put(f.path(), f));
  }

  /** Why the columns mean nothing for the scene; null where they do. */
  public String badColumns() {
    boolean any = false;
    for (int c = 0; c < series.columns().size(); c++) {
      Series.Column column = series.columns().get(c);
      boolean free = column.field().isEmpty() || column.field().equals(Series.FILE_NAME);
      if (!free && !fields.containsKey(column.field())) {
        return "The column “%s” is for %s, which the scene has no more; choose another"
            .formatted(column.heading(), column.field());
      }
      any |= !free;
    }
    return any ? null : "No column is matched to anything in the scene";
  }

  /** The bad cells of a row. */
  public List<BadCell> row(int row) {
    List<BadCell> out = new ArrayList<>();
    for (int c = 0; c < series.columns().size(); c++) {
      SceneField field = fields.get(series.columns().get(c).field());
      String cell = series.rows().get(row).get(c);
      if (field != null && !cell.isEmpty()) {
        try {
          field.check(cell, assets);
        } catch (BadValueException e) {
          out.add(new BadCell(row, c, e.getMessage()));
        }
      }
    }
    return out;
  }

  /**
   * What is in the way of making it, in words: of its columns, else its first bad cell; or null.
   */
  public String bad() {
    String columns = badColumns();
    return columns == null ? firstBadCell() : columns;
  }

  private String firstBadCell() {
    for (int r = 0; r < series.rows().size(); r++) {
      for (BadCell b : row(r)) {
        return "Row %d, “%s”: %s"
            .formatted(r + 1, series.columns().get(b.column()).heading(), b.reason());
      }
    }
    return null;
  }
}
