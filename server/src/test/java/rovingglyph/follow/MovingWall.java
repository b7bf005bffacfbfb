package rovingglyph.follow;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import rovingglyph.geometry.Point;

/**
 * Frames of a wall that a camera moves before, with the truth about every point of it. Points of
 * the wall are in px of its own.
 */
final class MovingWall {
  static final int WIDTH = 1920;
  static final int HEIGHT = 1080;

  /** Px round the points that are asked for that are drawn: a follower looks no farther. */
  private static final int DRAWN = 300;

  private static final int SIDE = 1024;

  /** What the camera does. */
  interface Camera {
    /**
     * The map of the wall to the frame.
     *
     * @param at the number of the frame; between two while the shutter is open
     * @return nine numbers of a homography, row by row
     */
    double[] at(double at);
  }

  private final float[] texture = new float[SIDE * SIDE];
  private final Camera camera;

  /** Of the noise of every pixel, in steps of gray. */
  double grain;

  /** Of the time between frames, how long the shutter is open. */
  double shutter;

  /** By which brightness changes from frame to frame, and an offset. */
  double fading;

  /** The number of the frame in which something is before the first point, and for how long. */
  double passesAt = -1000;

  double passesFor = 6;

  MovingWall(long seed, Camera camera) {
    this.camera = camera;
    Random random = new Random(seed);
    for (int size = 128; size >= 4; size /= 2) {
      int n = SIDE / size;
      float[] grid = new float[n * n];
      for (int i = 0; i < grid.length; i++) {
        grid[i] = (float) (random.nextGaussian() * 9);
      }
      for (int y = 0; y < SIDE; y++) {
        for (int x = 0; x < SIDE; x++) {
          texture[y * SIDE + x] += mixed(grid, n, x / (double) size, y / (double) size);
        }
      }
    }
  }

  private static float mixed(float[] grid, int n, double x, double y) {
    int left = (int) Math.floor(x);
    int top = (int) Math.floor(y);
    float a = (float) (x - left);
    float b = (float) (y - top);
    int l = Math.floorMod(left, n);
    int r = Math.floorMod(left + 1, n);
    int t = Math.floorMod(top, n) * n;
    int u = Math.floorMod(top + 1, n) * n;
    float upper = grid[t + l] + (grid[t + r] - grid[t + l]) * a;
    float lower = grid[u + l] + (grid[u + r] - grid[u + l]) * a;
    return upper + (lower - upper) * b;
  }

  /** Where a point of the wall is in a frame. */
  Point truth(Point wall, double frame) {
    return mapped(camera.at(frame), wall.x(), wall.y());
  }

  private static Point mapped(double[] h, double x, double y) {
    double w = h[6] * x + h[7] * y + h[8];
    return new Point((h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w);
  }

  /** A frame, drawn round some points of the wall. */
  GrayImage frame(int number, Point... round) {
    int[] box = box(number, round);
    byte[] out = new byte[WIDTH * HEIGHT];
    Arrays.fill(out, (byte) 128);
    int samples = shutter > 0 ? 4 : 1;
    List<double[]> maps = new ArrayList<>();
    for (int s = 0; s < samples; s++) {
      double open = samples == 1 ? 0 : shutter * (s / (samples - 1.0) - 0.5);
      maps.add(inverse(camera.at(number + open)));
    }
    double[] object = object(number, round[0]);
    IntStream.range(box[1], box[3]).parallel().forEach(y -> row(out, y, box, number, maps, object));
    return new GrayImage(WIDTH, HEIGHT, out);
  }

  private void row(byte[] out, int y, int[] box, int number, List<double[]> maps, double[] object) {
    Random random = new Random(number * 4096L + y);
    for (int x = box[0]; x < box[2]; x++) {
      double sum = 0;
      for (double[] map : maps) {
        Point wall = mapped(map, x + 0.5, y + 0.5);
        sum += mixed(texture, SIDE, wall.x(), wall.y());
      }
      double value = (128 + sum / maps.size()) * (1 - fading * number);
      if (object != null && Math.abs(x - object[0]) < 40 && Math.abs(y - object[1]) < 140) {
        value = 60 + 40 * Math.sin((x - object[0]) / 9);
      }
      value += grain > 0 ? random.nextGaussian() * grain : 0;
      out[y * WIDTH + x] = (byte) Math.min(Math.max(Math.round(value), 0), 255);
    }
  }

  /** Something of its own look that goes across the first point. */
  private double[] object(int number, Point point) {
    double along = (number - passesAt) / passesFor;
    if (Math.abs(along) > 3) {
      return null;
    }
    Point p = truth(point, number);
    return new double[] {p.x() + along * 90, p.y()};
  }

  /** Left, top, right and bottom of what is drawn. */
  private int[] box(int number, Point... round) {
    int[] out = {WIDTH, HEIGHT, 0, 0};
    for (Point wall : round) {
      Point p = truth(wall, number);
      out[0] = (int) Math.max(0, Math.min(out[0], p.x() - DRAWN));
      out[1] = (int) Math.max(0, Math.min(out[1], p.y() - DRAWN));
      out[2] = (int) Math.min(WIDTH, Math.max(out[2], p.x() + DRAWN));
      out[3] = (int) Math.min(HEIGHT, Math.max(out[3], p.y() + DRAWN));
    }
    return out;
  }

  private static double[] inverse(double[] m) {
    double[] out = {
      m[4] * m[8] - m[5] * m[7], m[2] * m[7] - m[1] * m[8], m[1] * m[5] - m[2] * m[4],
      m[5] * m[6] - m[3] * m[8], m[0] * m[8] - m[2] * m[6], m[2] * m[3] - m[0] * m[5],
      m[3] * m[7] - m[4] * m[6], m[1] * m[6] - m[0] * m[7], m[0] * m[4] - m[1] * m[3]
    };
    return out;
  }
}
