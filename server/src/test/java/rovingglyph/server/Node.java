package rovingglyph.server;

import java.io.IOException;
import java.net.ConnectException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.LockSupport;

/** A server in a process of its own, which can be killed. */
public final class Node implements AutoCloseable {
  private final Process process;

  /**
   * Starts it, and waits until it answers.
   *
   * @param port at which it listens
   * @param prefix what is put before the command, if anything
   * @param options of the JVM
   * @param properties of the server
   */
  public Node(int port, List<String> prefix, List<String> options, List<String> properties)
      throws IOException {
    List<String> command = new ArrayList<>(prefix);
    command.add(ProcessHandle.current().info().command().orElse("java"));
    command.addAll(options);
    command.addAll(List.of("-cp", System.getProperty("java.class.path")));
    command.add(RovingGlyph.class.getName());
    command.addAll(properties);
    command.add("--server.port=" + port);
    Path log = Files.createTempFile("roving-node", ".log");
    process =
        new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log.toFile()).start();
    awaitAnswer(port, log);
  }

  /** Waits until it answers. */
  private void awaitAnswer(int port, Path log) throws IOException {
    for (int i = 0; i < 600 && process.isAlive(); i++) {
      try (Socket s = new Socket(InetAddress.getLoopbackAddress(), port)) {
        return;
      } catch (ConnectException e) {
        LockSupport.parkNanos(100_000_000);
      }
    }
    kill();
    throw new IOException("The node did not start: " + Files.readString(log));
  }

  /** Ends it and its encoders at once, as a failing machine would. */
  public void kill() {
    process.descendants().forEach(ProcessHandle::destroyForcibly);
    process.destroyForcibly().onExit().join();
  }

  @Override
  public void close() {
    kill();
  }
}
