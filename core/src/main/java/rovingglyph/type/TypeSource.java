package rovingglyph.type;

/** Where shaped runs come from: a shaper on the server, a store of received runs in the browser. */
public interface TypeSource {
  /** The shaped text, or null while it is not there. */
  ShapedRun run(RunRequest request);
}
