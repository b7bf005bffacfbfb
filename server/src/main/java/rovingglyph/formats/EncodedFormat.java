package rovingglyph.formats;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Encoding;
import rovingglyph.render.FramePainter;
import rovingglyph.render.FrameRange;
import rovingglyph.render.Progress;
import rovingglyph.render.Raster;
import rovingglyph.render.Take;
import rovingglyph.render.VideoJoiner;
import rovingglyph.render.VideoWriter;
import rovingglyph.scene.Scene;

/**
 * A file that ffmpeg makes of painted frames.
 *
 * @param encoder that ffmpeg must have
 * @param spread see {@link Take}
 * @param least width and height that the encoder takes, px
 * @param own options beside those of all frames
 * @param encoding what ffmpeg is told, by what was chosen
 */
record EncodedFormat(
    FormatWords words,
    String encoder,
    Raster.Pixels pixels,
    boolean spread,
    int least,
    List<ExportOption> own,
    Function<ExportOptions, Encoding> encoding)
    implements FormatInParts {

  /** Without transparency; encoders of such video take even sizes only. */
  static EncodedFormat opaque(
      FormatWords words,
      String encoder,
      int least,
      List<ExportOption> own,
      Function<ExportOptions, Encoding> encoding) {
    return new EncodedFormat(words, encoder, Raster.Pixels.OPAQUE, false, least, own, encoding);
  }

  private boolean isOpaque() {
    return pixels == Raster.Pixels.OPAQUE;
  }

  @Override
  public List<ExportOption> options() {
    List<ExportOption> out = new ArrayList<>(List.of(FrameOptions.SIZE));
    out.addAll(own);
    out.addAll(FrameOptions.RANGE);
    out.add(FrameOptions.SAMPLES);
    if (isOpaque()) {
      out.add(FrameOptions.GROUND_COLOUR);
      out.add(FrameOptions.ODD);
    } else {
      out.add(FrameOptions.GROUND);
    }
    return out;
  }

  @Override
  public int frames(Scene scene, ExportOptions options) {
    return FrameOptions.range(scene, options).count();
  }

  @Override
  public int images() {
    // Those painted ahead; deep ones are twice as large and have a copy to be written.
    return pixels == Raster.Pixels.DEEP ? 4 * VideoWriter.LEAST_AHEAD : VideoWriter.LEAST_AHEAD;
  }

  @Override
  public String unsupportedReason(Scene scene, ExportOptions options) {
    if (!Encoders.has(encoder)) {
      return "The ffmpeg of this server has no encoder "
          + encoder
          + ". Choose another format, or install an ffmpeg that has it.";
    }
    String range = FrameOptions.outOfRange(scene, options);
    return range != null ? range : sizeReason(scene, options);
  }

  private String sizeReason(Scene scene, ExportOptions options) {
    int w = FramePainter.scaled(scene.width(), FrameOptions.scale(options));
    int h = FramePainter.scaled(scene.height(), FrameOptions.scale(options));
    if (Math.min(w, h) < least) {
      return "This video is at least "
          + least
          + " px wide and high; these frames are "
          + w
          + " \u00d7 "
          + h
          + ". Choose a larger size, or another format.";
    }
    if (!isOpaque() || isPadded(options) || w % 2 == 0 && h % 2 == 0) {
      return null;
    }
    return "This video needs an even width and height; these frames are "
        + w
        + " \u00d7 "
        + h
        + ". Change them to "
        + (w + w % 2)
        + " \u00d7 "
        + (h + h % 2)
        + " in the scene's settings, choose to add a line (Odd sizes), or another format.";
  }

  private static boolean isPadded(ExportOptions options) {
    return !options.choice(FrameOptions.ODD).equals(FrameOptions.ODD.initial());
  }

  @Override
  public String note(Scene scene, ExportOptions options) {
    return isOpaque() && scene.background() == null
        ? "This scene has no background, and this video has no transparency: it is on black."
            + " Choose a colour for it, or a format with transparency."
        : null;
  }

  @Override
  public void write(
      PreparedScene scene, Bitmaps bitmaps, ExportOptions options, Path out, Progress progress)
      throws IOException {
    FrameRange range = FrameOptions.range(scene.scene(), options);
    Take take = take(scene, bitmaps, options, range);
    VideoWriter.write(take, chosen(scene.scene(), options), out, progress);
  }

  private Take take(PreparedScene scene, Bitmaps bitmaps, ExportOptions options, FrameRange range) {
    // A background that covers all leaves nothing to spread.
    boolean spreads = spread && scene.scene().background() == null;
    return new Take(scene, bitmaps, range, FrameOptions.scale(options), pixels, spreads);
  }

  private Encoding chosen(Scene scene, ExportOptions options) {
    Encoding chosen = encoding.apply(options);
    if (!isOpaque() || !isPadded(options)) {
      return chosen;
    }
    Integer ground = scene.background();
    return chosen.evened(ground == null ? 0 : ground);
  }

  @Override
  public List<Part> parts(Scene scene, ExportOptions options) {
    FrameRange range = FrameOptions.range(scene, options);
    return encoding.apply(options).isVideo()
        ? Part.cut(range.count(), range.wholeMillis())
        : Part.whole(range.count());
  }

  @Override
  public void writePart(
      PreparedScene scene,
      Bitmaps bitmaps,
      ExportOptions options,
      Part part,
      Path out,
      Progress progress)
      throws IOException {
    FrameRange range = FrameOptions.range(scene.scene(), options).part(part.first(), part.count());
    Take take = take(scene, bitmaps, options, range);
    VideoWriter.writeSilent(take, chosen(scene.scene(), options), out, progress);
  }

  @Override
  public void join(
      Scene scene,
      Bitmaps bitmaps,
      ExportOptions options,
      List<Path> parts,
      Path out,
      Progress progress)
      throws IOException {
    FrameRange whole = FrameOptions.range(scene, options);
    List<FrameRange> ranges =
        parts(scene, options).stream().map(p -> whole.part(p.first(), p.count())).toList();
    Encoding chosen = chosen(scene, options);
    VideoJoiner.join(scene, bitmaps, parts, ranges, whole, chosen, out, progress);
  }
}
