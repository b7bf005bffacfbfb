package rovingglyph.bench;

import java.nio.file.Path;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * Runs all measurements; a word runs one kind only: core, paint, export, series, parts, nodes,
 * follow, or figures.
 */
public final class Bench {
  private Bench() {}

  public static void main(String[] args) throws Exception {
    String only = args.length > 0 ? args[0] : "";
    if (only.isEmpty() || only.equals("figures")) {
      Figures.run();
    }
    if (only.isEmpty() || only.equals("core")) {
      new Runner(new OptionsBuilder().include(CoreBench.class.getName()).build()).run();
    }
    if (only.isEmpty() || only.equals("paint")) {
      PaintTimes.run();
    }
    if (only.isEmpty() || only.equals("export")) {
      ExportRatio.run(Path.of("demo/kite-string-entrance.json"));
    }
    if (only.isEmpty() || only.equals("series")) {
      SeriesRatio.run(Path.of("demo/kite-string-entrance.json"));
    }
    if (only.isEmpty() || only.equals("parts")) {
      PartsRatio.run(Path.of("demo/kite-string-entrance.json"));
    }
    if (only.isEmpty() || only.equals("nodes")) {
      NodesRatio.run(Path.of("demo/kite-string-entrance.json"));
    }
    if (only.isEmpty() || only.equals("follow")) {
      FollowSpeed.run();
    }
  }
}
