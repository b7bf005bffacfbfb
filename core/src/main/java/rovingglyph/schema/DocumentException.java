package rovingglyph.schema;

import java.util.List;
import java.util.stream.Collectors;

/** A document that cannot be used as it is, with every problem found in it. */
public class DocumentException extends RuntimeException {
  private final transient List<Problem> problems;

  /** With what is wrong, in the order in which it was found. */
  public DocumentException(List<Problem> problems) {
    super(problems.stream().map(Problem::sentence).collect(Collectors.joining("; ")));
    this.problems = List.copyOf(problems);
  }

  /** What is wrong, in the order in which it was found. */
  public List<Problem> problems() {
    return problems;
  }
}
