package rovingglyph.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.StringWriter;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Tables from outside: what spreadsheets give out is read as it was, what is broken is told. */
class TableTest {
  private static Table read(String text) throws Table.Unusable {
    return Table.read(text.getBytes(StandardCharsets.UTF_8));
  }

  private static String told(String text) {
    try {
      read(text);
      return "";
    } catch (Table.Unusable e) {
      return e.getMessage();
    }
  }

  @ParameterizedTest
  @ValueSource(chars = {',', ';', '\t'})
  void whateverIsInCellsComesBackAsItWas(char between) throws Table.Unusable {
    Random random = new Random(between);
    String letters = "aé字🪁 ,;\t\"\n='+-@#|";
    int[] points = letters.codePoints().toArray();
    for (int n = 0; n < 300; n++) {
      int columns = 2 + random.nextInt(5);
      List<List<String>> rows = new ArrayList<>();
      for (int r = 0; r < 2 + random.nextInt(6); r++) {
        List<String> cells = new ArrayList<>();
        for (int c = 0; c < columns; c++) {
          StringBuilder cell = new StringBuilder(r == 0 ? "H" + c : "x");
          for (int i = random.nextInt(8); i > 0; i--) {
            cell.appendCodePoint(points[random.nextInt(points.length)]);
          }
          cells.add(
              r == 0 ? cell.toString().replaceAll("[,;\t\"\n]", "").strip() : cell.toString());
        }
        rows.add(cells);
      }
      StringWriter out = new StringWriter();
      for (List<String> row : rows) {
        List<String> quoted = row.stream().map(c -> "\"" + c.replace("\"", "\"\"") + "\"").toList();
        out.write(String.join(String.valueOf(between), quoted) + (n % 2 == 0 ? "\r\n" : "\n"));
      }
      Table table = read(out.toString());
      assertThat(table.headings()).isEqualTo(rows.get(0));
      assertThat(table.rows()).isEqualTo(rows.subList(1, rows.size()));
    }
  }

  @ParameterizedTest
  @CsvSource({"UTF-8, ''", "UTF-8, \uFEFF", "UTF-16LE, \uFEFF", "UTF-16BE, \uFEFF"})
  void encodingsThatTellThemselvesAreRead(String charset, String mark) throws Table.Unusable {
    byte[] file = (mark + "Words,Größe\nDrachen,zwölf\n").getBytes(Charset.forName(charset));
    assertThat(Table.read(file).headings()).containsExactly("Words", "Größe");
    assertThat(Table.read(file).rows()).containsExactly(List.of("Drachen", "zwölf"));
  }

  @Test
  void anotherEncodingIsToldInsteadOfGuessed() {
    byte[] latin = "Words\nGröße".getBytes(StandardCharsets.ISO_8859_1);
    assertThatThrownBy(() -> Table.read(latin)).hasMessageContaining("not in UTF-8");
  }

  @Test
  void cellsThatAreLeftOutAreEmptyAndThoseTooManyAreTold() throws Table.Unusable {
    assertThat(read("a,b,c\n1\n\n1,2,3,,\n").rows())
        .containsExactly(List.of("1", "", ""), List.of("1", "2", "3"));
    assertThat(told("a,b\n1,2\n1,2,3\n")).contains("Row 3 has 3 cells", "2 headings", "quotes");
  }

  @Test
  void headingsThatAreMissingGetNames() throws Table.Unusable {
    assertThat(read(" Words ,,c\n1,2,3").headings()).containsExactly("Words", "Column 2", "c");
  }

  @Test
  void whatLooksLikeAFormulaIsAText() throws Table.Unusable {
    assertThat(read("a\n=1+1\n@kite\n+4\n").rows())
        .containsExactly(List.of("=1+1"), List.of("@kite"), List.of("+4"));
  }

  @Test
  void whatIsTooMuchIsRefusedWithItsLimit() {
    assertThat(told("a\n" + "1\n".repeat(100_000))).contains("more than 10000 rows");
    assertThat(told("a,".repeat(61) + "\n1\n")).contains("more than 60 columns");
    assertThat(told("a\n" + "1".repeat(10_001))).contains("Row 2", "10000 characters");
    assertThat(told("a\n" + "1".repeat(9_000_000))).contains("more than 8 MB");
    assertThat(told("")).contains("empty");
    assertThat(told("a,b\n")).contains("one row alone");
    assertThat(told("a,b\n\"open, 2\n3,4\n")).contains("cannot be read");
    assertThat(told("a\n\"x\"y\n")).contains("cannot be read");
  }

  @Test
  void bytesOfChanceAreReadOrRefused() {
    Random random = new Random(14);
    for (int i = 0; i < 3000; i++) {
      byte[] file = new byte[random.nextInt(80)];
      for (int b = 0; b < file.length; b++) {
        file[b] =
            (byte) (i % 2 == 0 ? random.nextInt(256) : "a,\"\n;\t1".charAt(random.nextInt(7)));
      }
      try {
        Table t = Table.read(file);
        assertThat(t.rows()).allMatch(r -> r.size() == t.headings().size());
      } catch (Table.Unusable e) {
        assertThat(e.getMessage()).isNotBlank();
      }
    }
  }
}
