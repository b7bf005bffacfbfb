package rovingglyph.seat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rovingglyph.TestScenes;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Line;
import rovingglyph.geometry.Point;
import rovingglyph.scene.Seat;

/** Places on a track, past its ends too, and measures at a height over it. */
class TrackTest {
  private static final Contour BEND =
      new Contour(
          List.of(
              new Cubic(
                  new Point(0, 0), new Point(300, -400), new Point(500, 400), new Point(900, 0))),
          false);
  private static final Contour CORNER =
      new Contour(
          List.of(
              new Line(new Point(0, 0), new Point(100, 0)),
              new Line(new Point(100, 0), new Point(100, 100))),
          false);

  private static Seat seat(String fields) {
    return TestScenes.lettering(TestScenes.LINE, "a", fields).lettering().seat();
  }

  private static Track track(Contour c, String fields) {
    return new Track(c, Point.ORIGIN, seat(fields));
  }

  private static Track ring(String fields) {
    PreparedLettering l = TestScenes.lettering(TestScenes.CIRCLE, "a", fields);
    return l.seating(l.values(0)).track();
  }

  @Test
  void anOpenPathGoesStraightOnPastBothEnds() {
    Track t = track(CORNER, "");
    Track.Spot before = t.at(-30);
    Track.Spot after = t.at(230);
    assertThat(before.on()).isFalse();
    assertThat(before.point().distance(new Point(-30, 0))).isLessThan(1e-9);
    assertThat(after.point().distance(new Point(100, 130))).isLessThan(1e-9);
    assertThat(t.at(100.001).tangent().y()).isCloseTo(1, within(1e-9));
  }

  @Test
  void aClosedPathComesRoundAndTellsPlacesInItsLap() {
    Track t = ring("");
    double lap = t.length();
    assertThat(t.round()).isTrue();
    for (double d : new double[] {-lap - 5, -5, lap - 5, 7 * lap - 5}) {
      assertThat(t.told(d)).isCloseTo(lap - 5, within(1e-6));
      assertThat(t.at(d).point().distance(t.at(lap - 5).point())).isLessThan(1e-6);
      assertThat(t.at(d).on()).isTrue();
    }
  }

  @Test
  void aClosedPathThatIsCutHasEndsAtItsSeam() {
    Track t = ring("\"ends\":\"cut\"");
    assertThat(t.round()).isFalse();
    assertThat(t.at(-1).on()).isFalse();
    assertThat(t.at(t.length() + 1).on()).isFalse();
    // The end of the lap is not brought back to its start.
    assertThat(t.at(t.length()).tangent().x()).isCloseTo(1, within(1e-6));
  }

  @Test
  void theRightSideReadsItBackwards() {
    Track t = track(BEND, "\"side\":\"right\"");
    assertThat(t.at(0).point().distance(new Point(900, 0))).isLessThan(1e-9);
    assertThat(t.length()).isCloseTo(BEND.length(), within(1e-9));
  }

  private static Track.Spot quick(Track t, double d) {
    double[] s = new double[4];
    t.quickly(d, s);
    return new Track.Spot(new Point(s[0], s[1]), new Point(s[2], s[3]), true);
  }

  @Test
  void quickPlacesAreThePlaces() {
    Track t = track(BEND, "");
    for (int i = 0; i <= 500; i++) {
      double d = t.length() * i / 500;
      Track.Spot exact = t.at(d);
      Track.Spot quick = quick(t, d);
      assertThat(quick.point().distance(exact.point())).isLessThan(0.01);
      assertThat(quick.tangent().distance(exact.tangent())).isLessThan(0.002);
    }
    for (double past : new double[] {-40, t.length() + 1e-9, t.length() + 250}) {
      assertThat(quick(t, past).point().distance(t.at(past).point())).isLessThan(1e-6);
    }
    Track corner = track(CORNER, "");
    assertThat(quick(corner, 99.9).point().distance(new Point(99.9, 0))).isLessThan(1e-9);
    assertThat(quick(corner, 100.1).point().distance(new Point(100, 0.1))).isLessThan(1e-9);
  }

  @Test
  void aCornerTurnsALetterSteadilyOverItsAdvance() {
    Track t = track(CORNER, "");
    double quarter = Math.PI / 2;
    assertThat(t.cornerTurn(60, 40)).isZero();
    assertThat(t.cornerTurn(90, 40)).isCloseTo(quarter / 4, within(1e-9));
    assertThat(t.cornerTurn(99.9999, 40)).isCloseTo(quarter / 2, within(1e-4));
    assertThat(t.cornerTurn(100.0001, 40)).isCloseTo(-quarter / 2, within(1e-4));
    assertThat(t.cornerTurn(130, 40)).isZero();
  }

  @ParameterizedTest
  @ValueSource(doubles = {-60, -10, 0, 25, 120})
  void aMeasureComesBackToItsDistance(double height) {
    for (Track t : List.of(track(BEND, ""), ring(""))) {
      Ruler r = t.ruler(height);
      for (double d = -300; d < t.length() + 300; d += 17.3) {
        assertThat(r.distance(r.measure(d))).isCloseTo(d, within(1e-6));
      }
    }
  }

  @Test
  void aRingIsLongerOutsideAndShorterInside() {
    Track t = ring("");
    double lap = 2 * Math.PI;
    assertThat(t.ruler(0).length()).isCloseTo(200 * lap, within(1e-9));
    assertThat(t.ruler(50).length()).isCloseTo(250 * lap, within(1e-6));
    assertThat(t.ruler(-50).length()).isCloseTo(150 * lap, within(1e-6));
    // Beyond the centre a fifth is kept, so that nothing turns round.
    assertThat(t.ruler(-400).length()).isCloseTo(0.2 * 200 * lap, within(1e-6));
  }
}
