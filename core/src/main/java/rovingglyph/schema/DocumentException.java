package rovingglyph.schema;

import java.util.List;
import java.util.stream.Collectors;

/** A document that cannot be used as it is, with every problem found in it. */
public class DocumentException extends RuntimeException {
  private final transient List<Problem> problems;

  public DocumentException(List<Problem> problems) {
    super(problems.stream().map(Problem::sentence).collect(Collectors.joining("; ")));
    this.problems = List.copyOf(problems);
  }

  public List<Problem> problems() {
    return problems;
  }
}
