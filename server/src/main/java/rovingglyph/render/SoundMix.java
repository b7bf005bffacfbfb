package rovingglyph.render;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import rovingglyph.scene.Scene;
import rovingglyph.scene.Soundtrack;

/**
 * What ffmpeg is told so that a video has the sound of its footage.
 *
 * @param inputs each a file from a moment on
 * @param graph makes of these the sound "[heard]"; empty where nothing is heard
 */
record SoundMix(List<String> inputs, String graph) {
  private static final int SAMPLES = 48_000;

  /** The range of ffmpeg's filter for tempo at which nothing is left out. */
  private static final double FASTEST = 2;

  private static final double SLOWEST = 0.5;

  /** The inputs of sound follow so many others. */
  private static final int BEFORE = 1;

  static final SoundMix NONE = new SoundMix(List.of(), "");

  /** What is heard while these frames are shown. */
  static SoundMix of(Scene scene, Bitmaps bitmaps, FrameRange range) throws IOException {
    List<String> inputs = new ArrayList<>();
    StringBuilder graph = new StringBuilder();
    StringBuilder names = new StringBuilder();
    int count = 0;
    for (Soundtrack.Piece p : Soundtrack.of(scene)) {
      FootageSource source = bitmaps.footage(p.image());
      if (source == null || source.channels() == 0) {
        continue;
      }
      inputs.addAll(FootageSource.WARY);
      inputs.addAll(List.of("-ss", number(p.from()), "-t", number(p.seconds() * p.speed())));
      inputs.addAll(List.of("-i", source.file().toString()));
      graph.append(
          "[" + (BEFORE + count) + ":a:0]" + piece(p, source.channels()) + "[p" + count + "];");
      names.append("[p" + count + "]");
      count++;
    }
    if (count == 0) {
      return NONE;
    }
    double end = range.start() + range.seconds();
    String whole =
        "apad=whole_dur=%1$s,atrim=start=%2$s:end=%1$s,asetpts=PTS-STARTPTS"
            .formatted(number(end), number(range.start()));
    graph.append(names + "amix=inputs=" + count + ":normalize=0:dropout_transition=0," + whole);
    return new SoundMix(inputs, graph.append("[heard]").toString());
  }

  private static String piece(Soundtrack.Piece p, int channels) {
    List<String> out = new ArrayList<>();
    out.add("aresample=" + SAMPLES + ":first_pts=0");
    // ffmpeg would make one channel softer on its way to two.
    out.add(channels == 1 ? "pan=stereo|c0=c0|c1=c0" : "aformat=channel_layouts=stereo");
    double speed = p.speed();
    while (Math.abs(speed - 1) > 1e-9) {
      double step = Math.min(Math.max(speed, SLOWEST), FASTEST);
      out.add("atempo=" + number(step));
      speed /= step;
    }
    // Tempo is found in steps: what it gives may be a little longer than it is to be.
    out.add("atrim=end=" + number(p.seconds()));
    out.add("adelay=delays=" + Math.round(p.at() * SAMPLES) + "S:all=1");
    // Loudness is told anew every 2.7 ms.
    out.add("asetnsamples=n=128:p=0,volume=eval=frame:volume='" + gain(p) + "'");
    return String.join(",", out);
  }

  /** {@link Soundtrack.Piece#gain} in ffmpeg's words; t is the time in the scene. */
  private static String gain(Soundtrack.Piece p) {
    String out = number(Math.pow(10, p.level() / 20));
    if (p.fadeIn() > 0) {
      out += "*clip((t-%s)/%s,0,1)".formatted(number(p.rises()), number(p.fadeIn()));
    }
    if (p.fadeOut() > 0) {
      out += "*clip((%s-t)/%s,0,1)".formatted(number(p.falls()), number(p.fadeOut()));
    }
    return out;
  }

  private static String number(double n) {
    return String.format(Locale.ROOT, "%.6f", n);
  }
}
