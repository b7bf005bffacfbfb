package rovingglyph.strand;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.geometry.Affine;

class MatchingTest {
  @Test
  void whatEntersAndLeavesIsNotTakenForItsNeighbour() {
    Node.Shape[] row = new Node.Shape[6];
    Arrays.setAll(row, i -> new Node.Shape(1, Affine.translate(100 * i, 0), null));
    Node.Shape[] moved = new Node.Shape[6];
    Arrays.setAll(moved, i -> new Node.Shape(1, Affine.translate(100 * i + 95, 0), null));
    // All of one letter: the first has left, and one has come at the end.
    assertThat(Matching.match(Matching.ofShapes(List.of(row)), Matching.ofShapes(List.of(moved))))
        .containsExactly(1, 2, 3, 4, 5, -1);
  }
}
