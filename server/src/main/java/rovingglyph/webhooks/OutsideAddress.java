package rovingglyph.webhooks;

import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import java.util.Locale;
import java.util.Set;

/**
 * An address that may be told something: outside of the own network, so that nobody reaches what
 * only the server can by having it call there, unless its host is one that the operator named.
 *
 * @param uri with http or https
 * @param inside whether its host may be inside
 */
record OutsideAddress(URI uri, boolean inside) {
  /** An address that is not called, with the reason in plain words. */
  static final class Refused extends Exception {
    Refused(String message) {
      super(message);
    }
  }

  private static final int LONGEST = 2000;

  /**
   * Reads an address; names are looked up later, when it is called.
   *
   * @param allowed hosts that may be inside, with or without a port
   * @throws Refused if it is none, or inside by what can be seen of it
   */
  static OutsideAddress read(String text, Set<String> allowed) throws Refused {
    URI uri = uri(text);
    String host = host(uri);
    boolean inside = allowed.contains(host) || allowed.contains(host + ":" + port(uri));
    if (!inside && (isInsideName(host) || isInsideNumber(host))) {
      throw refused();
    }
    return new OutsideAddress(uri, inside);
  }

  private static URI uri(String text) throws Refused {
    try {
      URI uri = new URI(text.strip());
      String scheme = uri.getScheme() == null ? "" : uri.getScheme().toLowerCase(Locale.ROOT);
      boolean web = scheme.equals("http") || scheme.equals("https");
      boolean plain = uri.getHost() != null && uri.getRawUserInfo() == null;
      if (web && plain && text.length() <= LONGEST && uri.getPort() != 0 && uri.getPort() < 65536) {
        return uri;
      }
    } catch (URISyntaxException e) {
      // Told like one of another kind.
    }
    throw new Refused("takes an address with http:// or https://, without a user's name in it");
  }

  private static Refused refused() {
    return new Refused(
        "is inside the server's own network, where nothing is called; the operator can name hosts"
            + " that may be (ROVING_WEBHOOK_HOSTS)");
  }

  private static String host(URI uri) {
    String host = uri.getHost().toLowerCase(Locale.ROOT);
    return host.startsWith("[") ? host.substring(1, host.length() - 1) : host;
  }

  String host() {
    return host(uri);
  }

  int port() {
    return port(uri);
  }

  boolean isSecret() {
    return uri.getScheme().equalsIgnoreCase("https");
  }

  private static int port(URI uri) {
    if (uri.getPort() > 0) {
      return uri.getPort();
    }
    return uri.getScheme().equalsIgnoreCase("https") ? 443 : 80;
  }

  private static boolean isInsideName(String host) {
    String name = host.endsWith(".") ? host.substring(0, host.length() - 1) : host;
    return !name.contains(".") && !name.contains(":") && !name.matches("[0-9]+")
        || name.endsWith(".localhost")
        || name.endsWith(".local")
        || name.endsWith(".internal");
  }

  /** Whether it is a number, which needs no looking up, of an inside address. */
  private static boolean isInsideNumber(String host) throws Refused {
    if (!host.contains(":") && !host.matches("[0-9.]+")) {
      return false;
    }
    try {
      return isInside(InetAddress.getByName(host));
    } catch (UnknownHostException e) {
      throw new Refused("has a host that is no address: " + host);
    }
  }

  /**
   * Where it is now. What was found is what is to be called: a second look could find another.
   *
   * @throws Refused if it is inside
   * @throws IOException if it is not found
   */
  InetAddress found() throws Refused, IOException {
    InetAddress[] all = InetAddress.getAllByName(host());
    for (InetAddress a : all) {
      if (!inside && isInside(a)) {
        throw refused();
      }
    }
    return all[0];
  }

  /** Whether an address is not one of the public internet; see RFC 6890. */
  static boolean isInside(InetAddress a) {
    if (a.isLoopbackAddress()
        || a.isAnyLocalAddress()
        || a.isLinkLocalAddress()
        || a.isSiteLocalAddress()
        || a.isMulticastAddress()) {
      return true;
    }
    byte[] b = a.getAddress();
    int first = b[0] & 0xFF;
    int second = b[1] & 0xFF;
    if (b.length == 4) {
      return first == 0
          || first >= 240
          || (first == 100 && second >= 64 && second < 128)
          || (first == 192 && second == 0 && b[2] == 0)
          || (first == 198 && (second == 18 || second == 19));
    }
    // Unique local ones, and those that stand for addresses of version 4 behind a gateway.
    boolean translated = first == 0 && second == 0x64 && (b[2] & 0xFF) == 0xFF;
    boolean tunnelled = first == 0x20 && second == 0x02;
    return (first & 0xFE) == 0xFC || translated || tunnelled || first == 0;
  }
}
