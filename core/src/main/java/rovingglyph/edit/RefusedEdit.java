package rovingglyph.edit;

import java.util.List;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Problem;

/** An edit whose arguments cannot be used, with every problem found in them. */
public final class RefusedEdit extends IllegalArgumentException {
  private final transient List<Problem> problems;

  RefusedEdit(DocumentException e) {
    super(e.getMessage());
    this.problems = e.problems();
  }

  /** What is wrong with the arguments, in the order in which it was found. */
  public List<Problem> problems() {
    return problems;
  }
}
