package rovingglyph.bench;

import java.nio.file.Path;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs all measurements; {@code core} or {@code export} as a word runs one kind only. */
public final class Bench {
  private Bench() {}

  public static void main(String[] args) throws Exception {
    String only = args.length > 0 ? args[0] : "";
    if (!only.equals("export")) {
      new Runner(new OptionsBuilder().include(CoreBench.class.getName()).build()).run();
    }
    if (!only.equals("core")) {
      ExportRatio.run(Path.of("demo/kite-string-entrance.json"));
    }
  }
}
