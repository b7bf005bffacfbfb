package rovingglyph.render;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import rovingglyph.scene.Footage;

/**
 * Kept footage as painters and encoders take it.
 *
 * @param file as it was uploaded
 * @param times of its frames, ascending, seconds
 * @param width of its frames as they are seen
 * @param height of its frames as they are seen
 * @param opaque whether nothing can be seen through it
 * @param channels of its sound; 0 where it has none
 * @param matrix of its colours, as ffmpeg calls it
 */
public record FootageSource(
    Path file, double[] times, int width, int height, boolean opaque, int channels, String matrix) {
  /**
   * Options for ffmpeg and ffprobe so that a file is read as footage, and nothing but that file.
   */
  public static final List<String> WARY =
      List.of(
          "-protocol_whitelist",
          "file,pipe",
          "-format_whitelist",
          "mov,mp4,m4a,3gp,3g2,mj2,matroska,webm,gif");

  private static final long MEMORY = 3L << 30;

  /** The number of the last frame whose time is not after a moment; the first one before all. */
  public int frame(double moment) {
    return Footage.frame(times, moment);
  }

  /**
   * The command that decodes frames, one after another, onto its standard output.
   *
   * @param first the number of the frame with which it begins
   * @param format of their pixels, as ffmpeg calls it
   */
  public List<String> decoding(int first, int toWidth, int toHeight, String format) {
    List<String> out = new ArrayList<>(List.of("prlimit", "--as=" + MEMORY, "--core=0"));
    out.addAll(List.of("ffmpeg", "-hide_banner", "-nostdin", "-v", "error"));
    out.addAll(WARY);
    if (first > 0) {
      // Between two frames, so that no rounding begins with the one before.
      double at = (times[first - 1] + times[first]) / 2;
      out.addAll(List.of("-ss", String.format(Locale.ROOT, "%.6f", at)));
    }
    out.addAll(List.of("-threads", "2", "-i", file.toString(), "-map", "0:v:0"));
    out.addAll(List.of("-fps_mode", "passthrough", "-vf"));
    out.add(scaled(toWidth, toHeight, matrix) + ",format=" + format);
    out.addAll(List.of("-f", "rawvideo", "pipe:1"));
    return out;
  }

  /**
   * The filter of ffmpeg that brings frames to a size, with their colours told.
   *
   * @param matrix of the colours of the frames as they come
   */
  public static String scaled(int width, int height, String matrix) {
    return "scale=%d:%d:flags=area+accurate_rnd+full_chroma_int:in_color_matrix=%s"
        .formatted(width, height, matrix);
  }
}
