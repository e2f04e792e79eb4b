package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.MessageDigest;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.testng.SkipException;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.wiseember.trial.DemoFile;
import org.wiseember.workbook.Workbook;

/**
 * Packages of the demo's units, made and verified, and what becomes of them when they are touched.
 */
public class PackageTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  private Path folder;
  private Path demo;
  private Path packed;

  @BeforeClass
  public void make() throws IOException {
    folder = Files.createTempDirectory("ember-package");
    demo = DemoFile.itself();
    packed = folder.resolve("signed.zip");
    Told made =
        Told.by(
            "package",
            demo.toString(),
            "--unit",
            "Quernfold Q1100",
            "--out",
            packed.toString(),
            "--key",
            folder.resolve("mine.pem").toString());
    assertEquals(made.code(), 0, made.err());
    assertTrue(made.out().contains("Signed; the SHA-256 of your public key is"), made.out());
  }

  private static Map<String, byte[]> unzipped(Path zip) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        files.put(e.getName(), in.readAllBytes());
      }
    }
    return files;
  }

  private Path zipped(String name, Map<String, byte[]> files) throws IOException {
    Path zip = folder.resolve(name);
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        out.putNextEntry(new ZipEntry(file.getKey()));
        out.write(file.getValue());
        out.closeEntry();
      }
    }
    return zip;
  }

  private static JsonNode json(byte[] bytes) throws IOException {
    return JSON.readTree(bytes);
  }

  private static Set<?> against(String schema, JsonNode node) throws IOException {
    return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
        .getSchema(Files.readString(Path.of("..", "docs", "schemas", schema)))
        .validate(node);
  }

  /** Every unit of the demo: all that was published comes out the same from the package alone. */
  @Test
  public void theDemosUnitsVerify() throws IOException {
    List<String> names = new ArrayList<>();
    try (Workbook workbook = Workbook.read(demo, Clock.systemUTC())) {
      workbook.units().all().forEach(u -> names.add(u.name()));
    }
    for (String name : names) {
      Path out = folder.resolve("unit.zip");
      Told made = Told.by("package", demo.toString(), "--unit", name, "--out", out.toString());
      assertEquals(made.code(), 0, made.err());
      Told told = Told.by("verify", out.toString(), "--json");
      assertEquals(told.code(), 0, name + ": " + differing(told));
      JsonNode root = JSON.readTree(told.out());
      assertEquals(against("verify.schema.json", root), Set.of());
      assertTrue(root.path("signature").isNull());
      assertEquals(root.path("method"), root.path("methodHere"));
      Map<String, byte[]> files = unzipped(out);
      assertEquals(against("figures.schema.json", json(files.get("figures.json"))), Set.of());
      assertEquals(against("verdicts.schema.json", json(files.get("verdicts.json"))), Set.of());
      assertEquals(against("label.schema.json", json(files.get("label.json"))), Set.of());
      assertEquals(
          against("instruments.schema.json", json(files.get("instruments.json"))), Set.of());
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        if (file.getKey().endsWith("run.json")) {
          assertEquals(against("run.schema.json", json(file.getValue())), Set.of());
        }
      }
    }
  }

  private static String differing(Told told) throws IOException {
    StringBuilder words = new StringBuilder(told.err());
    for (String key : List.of("figures", "verdicts", "problems")) {
      for (JsonNode line : JSON.readTree(told.out()).path(key)) {
        if (!line.path("same").asBoolean()) {
          words.append(line).append('\n');
        }
      }
    }
    return words.toString();
  }

  /**
   * The data package specification asks for names, paths, hashes and fields. Recalled from memory.
   */
  @Test
  public void itIsAFrictionlessDataPackage() throws Exception {
    Map<String, byte[]> files = unzipped(packed);
    JsonNode root = json(files.get("datapackage.json"));
    assertTrue(root.path("name").asText().matches("[a-z0-9._-]+"));
    assertTrue(root.path("resources").size() > 10);
    for (JsonNode r : root.path("resources")) {
      byte[] bytes = files.get(r.path("path").asText());
      assertTrue(r.path("name").asText().matches("[a-z0-9._-]+"), r.toString());
      assertEquals(r.path("bytes").asLong(), bytes.length);
      String hash = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
      assertEquals(r.path("hash").asText(), "sha256:" + hash);
      if (r.path("format").asText().equals("csv")) {
        List<String> heads = new ArrayList<>();
        r.path("schema").path("fields").forEach(f -> heads.add(f.path("name").asText()));
        String first = new String(bytes, StandardCharsets.UTF_8).lines().findFirst().orElseThrow();
        assertEquals(String.join(",", heads), first);
      }
    }
  }

  private static byte[] oneDigit(byte[] bytes) {
    byte[] changed = bytes.clone();
    for (int i = changed.length / 2; i < changed.length; i++) {
      if (changed[i] >= '0' && changed[i] <= '9') {
        changed[i] = (byte) (changed[i] == '9' ? '8' : changed[i] + 1);
        return changed;
      }
    }
    throw new AssertionError("no digit");
  }

  /** One digit in any file of the package is found, and the file is named. */
  @Test
  public void oneChangedDigitIsNamed() throws IOException {
    Path plain = folder.resolve("tamsel.zip");
    String unit = "Tamsel T1";
    Told made =
        Told.by(
            "package",
            demo.toString(),
            "--unit",
            unit,
            "--out",
            plain.toString(),
            "--key",
            folder.resolve("mine.pem").toString());
    assertEquals(made.code(), 0, made.err());
    Map<String, byte[]> files = unzipped(plain);
    assertTrue(files.size() >= 7, files.keySet().toString());
    for (String name : files.keySet()) {
      Map<String, byte[]> touched = new LinkedHashMap<>(files);
      touched.computeIfPresent(name, (n, bytes) -> oneDigit(bytes));
      Told told = Told.by("verify", zipped("touched.zip", touched).toString());
      assertEquals(told.code(), 1, name + ": " + told.out() + told.err());
      assertTrue(
          told.out().lines().anyMatch(l -> l.startsWith("WRONG") && l.contains(name)),
          name + " is not named: " + told.out());
      Map<String, byte[]> without = new LinkedHashMap<>(files);
      without.remove(name);
      int code = Told.by("verify", zipped("touched.zip", without).toString()).code();
      assertTrue(
          name.equals("signature.json") ? code == 0 : code != 0, name + " taken out: " + code);
    }
    Map<String, byte[]> more = new LinkedHashMap<>(files);
    more.put("runs/9/samples.csv", new byte[] {'0'});
    Told told = Told.by("verify", zipped("touched.zip", more).toString());
    assertEquals(told.code(), 1);
    assertTrue(told.out().contains("runs/9/samples.csv is not listed"), told.out());
  }

  /** Who changes a reading and makes every hash anew is found out by the figures. */
  @Test
  public void aForgedReadingIsFoundByItsFigures() throws Exception {
    Map<String, byte[]> files = unzipped(packed);
    JsonNode figures = json(files.get("figures.json"));
    long run = 0;
    for (JsonNode r : figures.path("runs")) {
      run = run == 0 && r.path("kind").asText().equals("ac-drain") ? r.path("run").asLong() : run;
    }
    String samples = "runs/" + run + "/samples.csv";
    String text = new String(files.get(samples), StandardCharsets.UTF_8);
    String line = text.lines().skip(text.lines().count() / 2).findFirst().orElseThrow();
    String[] cells = line.split(",", -1);
    int power = List.of(text.lines().findFirst().orElseThrow().split(",")).indexOf("ac_power [W]");
    cells[power] = String.valueOf(Double.parseDouble(cells[power]) + 20);
    files.put(
        samples, text.replace(line, String.join(",", cells)).getBytes(StandardCharsets.UTF_8));
    files.remove("signature.json");
    rehash(files);
    Told told = Told.by("verify", zipped("forged.zip", files).toString());
    assertEquals(told.code(), 1, told.out() + told.err());
    assertTrue(
        told.out()
            .lines()
            .anyMatch(l -> l.startsWith("DIFFERS") && l.contains("AC energy delivered")),
        told.out());
  }

  /** Makes the hashes fit again, as who forges would. */
  private static void rehash(Map<String, byte[]> files) throws Exception {
    StringBuilder list = new StringBuilder();
    String descriptor = new String(files.get("datapackage.json"), StandardCharsets.UTF_8);
    JsonNode old = JSON.readTree(descriptor);
    for (JsonNode r : old.path("resources")) {
      String hash =
          HexFormat.of()
              .formatHex(
                  MessageDigest.getInstance("SHA-256").digest(files.get(r.path("path").asText())));
      descriptor = descriptor.replace(r.path("hash").asText(), "sha256:" + hash);
    }
    files.put("datapackage.json", descriptor.getBytes(StandardCharsets.UTF_8));
    for (String name : files.keySet()) {
      if (!name.equals("hashes.txt")) {
        list.append(
                HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(files.get(name))))
            .append("  ")
            .append(name)
            .append('\n');
      }
    }
    files.put("hashes.txt", list.toString().getBytes(StandardCharsets.UTF_8));
  }

  /** A key is its owner's: nobody else may read it, and another's signature is told by its key. */
  @Test
  public void keysAreTheirOwners() throws IOException {
    Path key = folder.resolve("mine.pem");
    assertEquals(PosixFilePermissions.toString(Files.getPosixFilePermissions(key)), "rw-------");
    JsonNode mine = JSON.readTree(Told.by("verify", packed.toString(), "--json").out());
    assertTrue(mine.path("signature").path("good").asBoolean());
    Path open = folder.resolve("open.pem");
    Files.copy(key, open);
    Files.setPosixFilePermissions(open, PosixFilePermissions.fromString("rw-r--r--"));
    assertEquals(pack(folder.resolve("closed.zip"), open).code(), 0);
    assertEquals(
        PosixFilePermissions.toString(Files.getPosixFilePermissions(open)),
        "rw-------",
        "what others could read is closed to them");
    Path out = folder.resolve("refused.zip");
    Path again = folder.resolve("again.zip");
    assertEquals(pack(again, key).code(), 0);
    JsonNode same = JSON.readTree(Told.by("verify", again.toString(), "--json").out());
    assertEquals(same.path("signature"), mine.path("signature"), "the key was read back");
    Files.writeString(folder.resolve("no.pem"), "not a key");
    Files.setPosixFilePermissions(
        folder.resolve("no.pem"), PosixFilePermissions.fromString("rw-------"));
    assertTrue(pack(out, folder.resolve("no.pem")).err().contains("holds no private key"));
    assertFalse(Files.exists(out));
  }

  private Told pack(Path out, Path key) {
    return Told.by(
        "package",
        demo.toString(),
        "--unit",
        "Tamsel T1",
        "--out",
        out.toString(),
        "--key",
        key.toString());
  }

  @Test
  public void whatIsNoPackageIsRefused() throws IOException {
    Path text = Files.writeString(folder.resolve("notes.txt"), "1075 Wh");
    for (Path no : List.of(text, folder, folder.resolve("none.zip"))) {
      Told told = Told.by("verify", no.toString());
      assertEquals(told.code(), 3, no.toString());
      assertEquals(told.err().strip().lines().count(), 1, told.err());
    }
    Map<String, byte[]> outside = new LinkedHashMap<>(unzipped(packed));
    outside.put("../evil.csv", new byte[] {'0'});
    Told told = Told.by("verify", zipped("outside.zip", outside).toString());
    assertEquals(told.code(), 3);
    assertTrue(told.err().contains("a name no package gives"), told.err());
    assertEquals(Told.by("package", demo.toString(), "--out", "x.zip").code(), 2);
    Told nobody = Told.by("package", demo.toString(), "--unit", "Nobody", "--out", text.toString());
    assertEquals(nobody.code(), 3);
    assertEquals(Files.readString(text), "1075 Wh");
  }

  /**
   * A reader nobody here wrote: Python with its standard library alone adds up the trapezoids of
   * the packed CSV to the published energy, and checks every hash.
   */
  @Test
  public void pythonRecomputesTheEnergy() throws Exception {
    Path script = folder.resolve("recompute.py");
    try (InputStream in = PackageTest.class.getResourceAsStream("recompute.py");
        OutputStream out = Files.newOutputStream(script)) {
      in.transferTo(out);
    }
    Process python;
    try {
      python =
          new ProcessBuilder("python3", script.toString(), packed.toString())
              .redirectErrorStream(true)
              .start();
    } catch (IOException none) {
      throw new SkipException("python3 is missing");
    }
    String told = new String(python.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertTrue(python.waitFor(60, TimeUnit.SECONDS));
    assertEquals(python.exitValue(), 0, told);
    assertTrue(told.strip().matches("(?s)(.*energy of run \\d+ .*\\n?){2,}"), told);
  }
}
