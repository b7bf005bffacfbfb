package rovingglyph.follow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.scene.FootagePin;

/** Spots on a wall that moves in known ways, followed through frames of 1920 x 1080. */
class FollowerTest {
  private static final int FRAMES = 16;
  private static final double RATE = 25;

  /** How the camera moves, with all that makes it hard. */
  enum Motion {
    PAN {
      @Override
      double[] at(double k) {
        return new double[] {1, 0, 400 + 11 * k, 0, 1, 300 + 60 * Math.sin(k / 9), 0, 0, 1};
      }
    },
    ZOOM {
      @Override
      double[] at(double k) {
        double z = Math.pow(2, k / 20);
        return new double[] {z, 0, 960 - 500 * z, 0, z, 540 - 300 * z, 0, 0, 1};
      }
    },
    TURN {
      @Override
      double[] at(double k) {
        double a = 1.2 * k / FRAMES;
        double c = Math.cos(a);
        double s = Math.sin(a);
        return new double[] {
          c, -s, 960 - 500 * c + 300 * s, s, c, 540 - 500 * s - 300 * c, 0, 0, 1
        };
      }
    },
    PERSPECTIVE {
      @Override
      double[] at(double k) {
        double p = 0.0004 * k / FRAMES;
        return new double[] {1, 0.1 * k / FRAMES, 400, 0, 1, 250 + 2 * k, p, -p / 2, 1};
      }
    },
    SHAKE {
      @Override
      double[] at(double k) {
        double x = 7 * Math.sin(k * 1.9) + 9 * Math.sin(k * 0.7 + 1);
        return new double[] {1, 0, 420 + x, 0, 1, 300 + 8 * Math.cos(k * 1.3), 0, 0, 1};
      }
    };

    abstract double[] at(double k);
  }

  private static final Point[] SPOTS = {new Point(480, 310), new Point(620, 260)};

  /** Of a board that lies askew on the wall. */
  private static final Point[] CORNERS = {
    new Point(430, 240), new Point(660, 220), new Point(680, 370), new Point(450, 390)
  };

  /** Px by which each frame is off; the frames that were given, in order. */
  private static List<Double> errors(
      MovingWall wall, Point[] marks, int from, int to, List<FootagePin.Frame> found) {
    return errors(wall, marks, List.of(), from, to, found);
  }

  private static List<Double> errors(
      MovingWall wall,
      Point[] marks,
      List<Point> area,
      int from,
      int to,
      List<FootagePin.Frame> found) {
    Follower f =
        new Follower(
            wall.frame(from, marks),
            from / RATE,
            Arrays.stream(marks).map(p -> wall.truth(p, from)).toList(),
            area);
    int step = Integer.signum(to - from);
    for (int i = from + step; i != to + step; i += step) {
      if (f.next(wall.frame(i, marks), i / RATE, found) == Follower.Outcome.LOST) {
        break;
      }
    }
    List<Double> out = new ArrayList<>();
    for (FootagePin.Frame frame : found) {
      for (int s = 0; s < marks.length; s++) {
        Point truth = wall.truth(marks[s], Math.rint(frame.time() * RATE));
        out.add(frame.points().get(s).distance(truth));
      }
    }
    return out;
  }

  private static double mean(List<Double> all) {
    return all.stream().mapToDouble(d -> d).average().orElse(0);
  }

  private static double worst(List<Double> all) {
    return all.stream().mapToDouble(d -> d).max().orElse(0);
  }

  @ParameterizedTest
  @EnumSource
  void followsInEveryMotionWithGrainBlurAndChangingLight(Motion motion) {
    MovingWall wall = new MovingWall(motion.ordinal() + 3, motion::at);
    wall.grain = 6;
    wall.shutter = 0.5;
    wall.fading = 0.008;
    for (int way = 0; way < 3; way++) {
      boolean back = way == 1 || way == 2 && motion.ordinal() % 2 == 1;
      Point[] marks = way < 2 ? SPOTS : CORNERS;
      List<FootagePin.Frame> found = new ArrayList<>();
      List<Double> off = errors(wall, marks, back ? FRAMES : 0, back ? 0 : FRAMES, found);
      assertThat(found).as(motion + " " + marks.length + (back ? " back" : "")).hasSize(FRAMES);
      assertThat(found).allMatch(f -> f.how() == FootagePin.How.FOUND);
      assertThat(mean(off)).isLessThan(1);
      assertThat(worst(off)).isLessThan(3);
    }
  }

  @ParameterizedTest
  @EnumSource
  void bridgesWhatPassesInFront(Motion motion) {
    MovingWall wall = new MovingWall(motion.ordinal() + 90, motion::at);
    wall.grain = 4;
    wall.passesAt = 7;
    wall.passesFor = 2.5;
    List<FootagePin.Frame> found = new ArrayList<>();
    List<Double> off = errors(wall, SPOTS, 0, FRAMES, found);
    assertThat(found).hasSize(FRAMES);
    assertThat(found).anyMatch(f -> f.how() == FootagePin.How.BRIDGED);
    assertThat(mean(off)).isLessThan(1);
    assertThat(worst(off)).isLessThan(3);
  }

  /** What lies round a path is not looked at, so that what passes there does not matter. */
  @Test
  void somethingFlatIsFollowedWhileSomethingPassesAtItsEdge() {
    List<Point> right = new Rect(0.6, 0, 1, 1).corners();
    double[] least = new double[2];
    for (int i = 0; i < 2; i++) {
      MovingWall wall = new MovingWall(31, Motion.PERSPECTIVE::at);
      wall.grain = 4;
      wall.passesAt = 5;
      wall.passesFor = 6;
      List<FootagePin.Frame> found = new ArrayList<>();
      List<Double> off = errors(wall, CORNERS, i == 0 ? List.of() : right, 0, 8, found);
      assertThat(found).hasSize(8);
      assertThat(found).allMatch(f -> f.how() == FootagePin.How.FOUND);
      assertThat(mean(off)).isLessThan(i == 0 ? 1 : 2);
      assertThat(worst(off)).isLessThan(i == 0 ? 3 : 6);
      least[i] = found.stream().mapToDouble(FootagePin.Frame::sure).min().orElse(0);
    }
    assertThat(least[1]).isGreaterThan(least[0]);
  }

  @Test
  void asksWhereItIsNotSureAnyMore() {
    MovingWall wall = new MovingWall(5, Motion.PAN::at);
    wall.passesAt = 20;
    wall.passesFor = 25;
    List<FootagePin.Frame> found = new ArrayList<>();
    List<Double> off = errors(wall, SPOTS, 0, 3 * FRAMES, found);
    assertThat(found.size()).isBetween(1, 2 * FRAMES);
    assertThat(found).allMatch(f -> f.how() == FootagePin.How.FOUND);
    assertThat(worst(off)).isLessThan(3);
  }

  @Test
  void hasNothingToHoldOnToOnAPlainWall() {
    byte[] gray = new byte[640 * 360];
    Arrays.fill(gray, (byte) 90);
    GrayImage plain = new GrayImage(640, 360, gray);
    assertThat(new Follower(plain, 0, List.of(new Point(300, 200)), List.of()).isFlat()).isTrue();
    List<Point> corners = new Rect(100, 100, 300, 200).corners();
    assertThat(new Follower(plain, 0, corners, List.of()).isFlat()).isTrue();
  }
}
