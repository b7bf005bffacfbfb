package rovingglyph.series;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table from a file or from what was pasted: CSV (RFC 4180) with commas or semicolons, or with
 * tabs, as spreadsheets give it out. Its first row has the headings. Cells are texts whatever they
 * look like: nothing that looks like a formula is worked out.
 *
 * @param rows as many cells in each as there are headings
 */
public record Table(List<String> headings, List<List<String>> rows) {
  /** A table that cannot be used, with the reason in plain words. */
  public static final class Unusable extends Exception {
    Unusable(String message) {
      super(message);
    }
  }

  public static final int MOST_ROWS = 10_000;
  public static final int MOST_COLUMNS = 60;
  public static final int LONGEST_CELL = 10_000;

  /** Bytes of a file at most. */
  public static final int LARGEST = 8_000_000;

  private static final int LONGEST_HEADING = 200;

  /**
   * Reads a table, in UTF-8, or in UTF-16 with a mark of its order.
   *
   * @throws Unusable with the reason and, where it is one row, its number
   */
  public static Table read(byte[] file) throws Unusable {
    if (file.length > LARGEST) {
      throw new Unusable(
          "The table has more than " + LARGEST / 1_000_000 + " MB; cut it into several");
    }
    String text = text(file);
    List<List<String>> all = new ArrayList<>();
    CSVFormat format =
        CSVFormat.DEFAULT.builder().setDelimiter(delimiter(text)).setIgnoreEmptyLines(true).get();
    try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
      for (CSVRecord r : parser) {
        all.add(row(r, all));
      }
    } catch (IOException | UncheckedIOException e) {
      throw new Unusable("The table cannot be read: " + e.getMessage());
    }
    if (all.size() < 2) {
      throw new Unusable(
          all.isEmpty()
              ? "The table is empty"
              : "The table has one row alone; the first has the headings, and each of the others"
                  + " becomes a piece");
    }
    return new Table(all.get(0), all.subList(1, all.size()));
  }

  private static List<String> row(CSVRecord r, List<List<String>> before) throws Unusable {
    int number = before.size() + 1;
    if (number > MOST_ROWS + 1) {
      throw new Unusable("The table has more than " + MOST_ROWS + " rows; cut it into several");
    }
    List<String> cells = new ArrayList<>(r.toList());
    for (String cell : cells) {
      if (cell.length() > LONGEST_CELL || cell.indexOf('\0') >= 0) {
        throw new Unusable(
            "Row "
                + number
                + " has a cell of more than "
                + LONGEST_CELL
                + " characters, or with U+0000");
      }
    }
    if (before.isEmpty()) {
      return headings(cells);
    }
    int columns = before.get(0).size();
    while (cells.size() > columns && cells.get(cells.size() - 1).isBlank()) {
      cells.remove(cells.size() - 1);
    }
    if (cells.size() > columns) {
      throw new Unusable(
          "Row %d has %d cells, and there are %d headings: a cell with a comma or a line break needs quotes round it"
              .formatted(number, cells.size(), columns));
    }
    while (cells.size() < columns) {
      cells.add("");
    }
    return List.copyOf(cells);
  }

  private static List<String> headings(List<String> cells) throws Unusable {
    if (cells.size() > MOST_COLUMNS) {
      throw new Unusable("The table has more than " + MOST_COLUMNS + " columns");
    }
    List<String> out = new ArrayList<>();
    for (String cell : cells) {
      String plain = cell.strip();
      String cut = plain.substring(0, Math.min(plain.length(), LONGEST_HEADING));
      out.add(cut.isEmpty() ? "Column " + (out.size() + 1) : cut);
    }
    return List.copyOf(out);
  }

  private static String text(byte[] file) throws Unusable {
    Charset charset = StandardCharsets.UTF_8;
    int mark = 0;
    if (begins(file, 0xEF, 0xBB, 0xBF)) {
      mark = 3;
    } else if (begins(file, 0xFF, 0xFE) || begins(file, 0xFE, 0xFF)) {
      charset = file[0] == (byte) 0xFF ? StandardCharsets.UTF_16LE : StandardCharsets.UTF_16BE;
      mark = 2;
    }
    try {
      ByteBuffer rest = ByteBuffer.wrap(file, mark, file.length - mark);
      return charset.newDecoder().decode(rest).toString();
    } catch (CharacterCodingException e) {
      throw new Unusable(
          "The table is not in UTF-8, so its letters would be wrong: save it as CSV in UTF-8");
    }
  }

  private static boolean begins(byte[] file, int... mark) {
    return file.length >= mark.length
        && Arrays.stream(mark).boxed().toList().equals(ints(file, mark.length));
  }

  private static List<Integer> ints(byte[] file, int count) {
    List<Integer> out = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      out.add(file[i] & 0xFF);
    }
    return out;
  }

  /**
   * The one of tab, semicolon and comma that is there most often in the first row, outside quotes.
   */
  private static char delimiter(String text) {
    int[] found = new int[3];
    boolean quoted = false;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '"') {
        quoted = !quoted;
      } else if (!quoted && (c == '\n' || c == '\r')) {
        break;
      } else if (!quoted && "\t;,".indexOf(c) >= 0) {
        found["\t;,".indexOf(c)]++;
      }
    }
    int best = found[0] > 0 ? 0 : found[1] > found[2] ? 1 : 2;
    return "\t;,".charAt(best);
  }
}
