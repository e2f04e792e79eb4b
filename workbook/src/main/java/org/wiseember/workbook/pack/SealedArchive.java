package org.wiseember.workbook.pack;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.disk.OrdinaryFile;

/**
 * An archive whose files are all listed with their SHA-256, opened to be looked at. Nothing in it
 * says where anything is written, and how much is unpacked is limited. Not safe for several
 * threads.
 */
public final class SealedArchive implements AutoCloseable {
  /** What it holds, as a Frictionless Data Package describes it. */
  public static final String DESCRIPTOR = "datapackage.json";

  /** A line a file, as {@code sha256sum} writes and checks it. */
  public static final String HASHES = "hashes.txt";

  /** Who vouches for the hashes; not there where nobody does. */
  public static final String SIGNATURE = "signature.json";

  private static final Pattern NAME = Pattern.compile("[A-Za-z0-9_-][A-Za-z0-9._-]*");
  private static final Pattern LINE = Pattern.compile("([0-9a-f]{64}) {2}(\\S+)");
  private static final int MOST_ENTRIES = 10_000;
  private static final long MOST_BYTES = 8L << 30;
  private static final int MOST_JSON = 64 << 20;
  private static final ObjectMapper JSON = new ObjectMapper();

  private final Path file;
  private final ZipFile zip;
  private final Map<String, String> found = new LinkedHashMap<>();
  private final Map<String, String> listed = new LinkedHashMap<>();
  private final List<String> problems = new ArrayList<>();
  private Optional<Signed> signed = Optional.empty();

  /**
   * A signature.
   *
   * @param fingerprint SHA-256 of the public key
   * @param good whether it is that key's signature of the hashes
   */
  public record Signed(String fingerprint, boolean good) {}

  private SealedArchive(Path file, ZipFile zip) {
    this.file = file;
    this.zip = zip;
  }

  /**
   * Opens one and holds every file against its SHA-256.
   *
   * @throws WorkbookException in one sentence where it is no such archive
   */
  public static SealedArchive open(Path file) {
    OrdinaryFile.trouble(file)
        .ifPresent(
            why -> {
              throw refused(file, why);
            });
    ZipFile zip;
    try {
      zip = new ZipFile(file.toFile());
    } catch (ZipException e) {
      throw refused(file, "it is not a zip archive");
    } catch (IOException e) {
      throw refused(file, "it cannot be read; check the file and its permissions");
    }
    SealedArchive archive = new SealedArchive(file, zip);
    try {
      archive.check();
      return archive;
    } catch (IOException e) {
      archive.close();
      throw refused(file, "it cannot be read to its end");
    } catch (WorkbookException e) {
      archive.close();
      throw e;
    }
  }

  /** Whether a file looks like one, from its outside. */
  public static boolean looksLikeOne(Path file) {
    if (OrdinaryFile.trouble(file).isPresent()) {
      return false;
    }
    try (ZipFile zip = new ZipFile(file.toFile())) {
      return zip.getEntry(DESCRIPTOR) != null;
    } catch (IOException noZip) {
      return false;
    }
  }

  private void check() throws IOException {
    names();
    if (!found.containsKey(DESCRIPTOR) || !found.containsKey(HASHES)) {
      throw refused(file, "there is no " + DESCRIPTOR + " and " + HASHES + " in it");
    }
    list();
    hash();
    compare();
    sign();
  }

  private void names() {
    Set<String> names = new HashSet<>();
    for (ZipEntry entry : Collections.list(zip.entries())) {
      if (names.size() >= MOST_ENTRIES) {
        throw refused(file, "it holds more than 10 000 files");
      }
      if (entry.isDirectory()) {
        continue;
      }
      for (String part : entry.getName().split("/", -1)) {
        if (!NAME.matcher(part).matches()) {
          throw refused(file, "a file in it has a name no package gives");
        }
      }
      if (!names.add(entry.getName())) {
        throw refused(file, "it holds " + entry.getName() + " twice");
      }
      found.put(entry.getName(), "");
    }
  }

  private void list() throws IOException {
    int number = 0;
    for (String line : text(HASHES).lines().toList()) {
      number++;
      Matcher matcher = LINE.matcher(line);
      if (!matcher.matches() || listed.put(matcher.group(2), matcher.group(1)) != null) {
        problems.add(HASHES + " was changed: its line " + number + " is none of its kind.");
      }
    }
  }

  private void hash() throws IOException {
    long[] left = {MOST_BYTES};
    for (String name : List.copyOf(found.keySet())) {
      try (InputStream in = new Counted(zip.getInputStream(zip.getEntry(name)), left)) {
        found.put(name, Sha256.of(in));
      } catch (ZipException damaged) {
        found.put(name, "damaged");
      } catch (Counted.TooMuch e) {
        throw refused(file, "unpacked it is larger than 8 GiB");
      }
    }
  }

  private void compare() {
    Map<String, String> described = described();
    listed.forEach(
        (name, hash) -> {
          String is = found.get(name);
          if (is == null) {
            problems.add(name + " is missing.");
          } else if (!is.equals(hash)) {
            problems.add(blame(name, is, described));
          }
        });
    for (String name : found.keySet()) {
      if (!listed.containsKey(name) && !name.equals(HASHES) && !name.equals(SIGNATURE)) {
        problems.add(
            name + " is not listed in " + HASHES + "; it was added, or its line was lost.");
      }
    }
    described.forEach(
        (name, hash) -> {
          String is = found.get(name);
          if (is != null && is.equals(listed.get(name)) && !is.equals(hash)) {
            problems.add(DESCRIPTOR + " was changed: its hash of " + name + " does not fit.");
          }
        });
  }

  /** Two lists tell of most files, so it can be said which of the three was changed. */
  private static String blame(String name, String is, Map<String, String> described) {
    if (is.equals("damaged")) {
      return name + " is damaged; it cannot be unpacked.";
    }
    if (name.equals(DESCRIPTOR)) {
      return DESCRIPTOR + " does not fit its line in " + HASHES + "; one of the two was changed.";
    }
    if (is.equals(described.get(name))) {
      return HASHES + " was changed: its line of " + name + " does not fit, and the file does.";
    }
    return name + " was changed: it does not fit its SHA-256.";
  }

  private Map<String, String> described() {
    Map<String, String> hashes = new LinkedHashMap<>();
    for (JsonNode resource : json(DESCRIPTOR).path("resources")) {
      hashes.put(
          resource.path("path").asText(),
          resource.path("hash").asText().replaceFirst("^sha256:", ""));
    }
    return hashes;
  }

  private void sign() throws IOException {
    if (!found.containsKey(SIGNATURE)) {
      return;
    }
    JsonNode node = json(SIGNATURE);
    byte[] key = bytes(node, "publicKey");
    String fingerprint = Sha256.of(key);
    boolean good =
        node.path("algorithm").asText().equals(Signing.ALGORITHM)
            && node.path("signs").asText().equals(HASHES)
            && node.path("fingerprint").asText().equals(fingerprint)
            && node.size() == 5
            && Signing.good(key, raw(HASHES), bytes(node, "signature"));
    signed = Optional.of(new Signed(fingerprint, good));
    if (!good) {
      problems.add(SIGNATURE + " is no signature of " + HASHES + " by the key it names.");
    }
  }

  private static byte[] bytes(JsonNode node, String key) {
    try {
      return Base64.getDecoder().decode(node.path(key).asText());
    } catch (IllegalArgumentException notBase64) {
      return new byte[0];
    }
  }

  /** What does not fit, a sentence each; empty where every file is as it was packed. */
  public List<String> problems() {
    return List.copyOf(problems);
  }

  /** The signature; empty where there is none. */
  public Optional<Signed> signed() {
    return signed;
  }

  /** SHA-256 of the list of hashes, and so of the whole package. */
  public String fingerprint() {
    return found.get(HASHES);
  }

  /** Names of the files, and the SHA-256 of what they hold. */
  public Map<String, String> files() {
    return Collections.unmodifiableMap(found);
  }

  /** The archive itself, for what reads files of it by their names. */
  public ZipFile zip() {
    return zip;
  }

  public Path file() {
    return file;
  }

  /**
   * A file of it as JSON.
   *
   * @throws WorkbookException where it is missing or no JSON
   */
  public JsonNode json(String name) {
    try {
      JsonNode node = JSON.readTree(text(name));
      if (node == null || !node.isObject()) {
        throw refused(file, name + " is no JSON object");
      }
      return node;
    } catch (JsonProcessingException e) {
      throw refused(file, name + " is not JSON");
    } catch (IOException e) {
      throw refused(file, name + " is damaged");
    }
  }

  private String text(String name) throws IOException {
    return new String(raw(name), StandardCharsets.UTF_8);
  }

  private byte[] raw(String name) throws IOException {
    ZipEntry entry = zip.getEntry(name);
    if (entry == null) {
      throw refused(file, "there is no " + name + " in it");
    }
    try (InputStream in = zip.getInputStream(entry)) {
      byte[] bytes = in.readNBytes(MOST_JSON + 1);
      if (bytes.length > MOST_JSON) {
        throw refused(file, name + " is larger than 64 MiB");
      }
      return bytes;
    }
  }

  private static WorkbookException refused(Path file, String why) {
    return new WorkbookException(
        file.getFileName()
            + " is not read: "
            + why
            + ". Is it a package of a unit? Nothing was changed.");
  }

  @Override
  public void close() {
    try {
      zip.close();
    } catch (IOException nothingWasWritten) {
      // It was only read.
    }
  }
}
