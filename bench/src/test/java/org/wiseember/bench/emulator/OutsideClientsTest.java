package org.wiseember.bench.emulator;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.SkipException;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/**
 * Clients nobody here wrote talk to the stand-ins: PyVISA with its Python backend, and mbpoll. The
 * launcher's test command installs them and then insists on them; without that a machine that lacks
 * them skips.
 */
public class OutsideClientsTest {
  private EmulatorFixture fixture;

  @BeforeMethod
  public void start() throws IOException {
    fixture = new EmulatorFixture(true);
    fixture.unit().load(true);
    fixture.pass(120);
  }

  @AfterMethod(alwaysRun = true)
  public void stop() throws IOException {
    fixture.close();
  }

  private static void need(String program, boolean there) {
    if (!there && "required".equals(System.getenv("EMBER_CLIENTS"))) {
      throw new AssertionError(program + " is missing though the test command installs it");
    }
    if (!there) {
      throw new SkipException(program + " is not installed");
    }
  }

  private static String run(List<String> command) throws Exception {
    Path out = Files.createTempFile("client", ".txt");
    Process process =
        new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(out.toFile()).start();
    assertTrue(process.waitFor(60, TimeUnit.SECONDS), "the client hangs");
    String said = Files.readString(out, StandardCharsets.UTF_8);
    Files.delete(out);
    assertEquals(process.exitValue(), 0, said);
    return said;
  }

  private static boolean answers(String... command) throws InterruptedException {
    try {
      Process process =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      return process.waitFor(60, TimeUnit.SECONDS) && process.exitValue() == 0;
    } catch (IOException missing) {
      return false;
    }
  }

  @Test
  public void aVisaClientMeasuresAndReadsBlocks() throws Exception {
    need("python3-pyvisa-py", answers("/usr/bin/python3", "-c", "import pyvisa_py"));
    String said =
        run(
            List.of(
                "/usr/bin/python3",
                Path.of("src/test/python/visa_client.py").toAbsolutePath().toString(),
                "meter=" + fixture.port("AC meter"),
                "scope=" + fixture.port("Scope")));
    Map<String, String> lines = new TreeMap<>();
    said.lines()
        .map(l -> l.split(" ", 2))
        .filter(l -> l.length == 2)
        .forEach(l -> lines.put(l[0], l[1].strip()));
    assertTrue(lines.get("idn").startsWith("Wise Ember,AC meter"), said);
    assertEquals(lines.get("opc"), "1");
    assertEquals(Double.parseDouble(lines.get("watts")), 590, 15, said);
    assertEquals(lines.get("both"), "2");
    assertEquals(lines.get("error"), "-113,\"Undefined header\"");
    assertEquals(lines.get("esr"), "32");
    assertEquals(lines.get("none"), "0,\"No error\"");
    assertEquals(lines.get("counts"), "1000 True");
    assertEquals(Double.parseDouble(lines.get("rms")), 228, 3, said);
    assertEquals(lines.get("ascii"), "1000");
  }

  @Test
  public void aModbusClientReadsTheRegisters() throws Exception {
    need("mbpoll", answers("mbpoll", "-h"));
    fixture.pass(60);
    String said =
        run(
            List.of(
                "mbpoll",
                "-m",
                "tcp",
                "-p",
                Integer.toString(fixture.modbusPort()),
                "-a",
                "1",
                "-0",
                "-r",
                "0",
                "-c",
                "5",
                "-t",
                "3:float",
                "-B",
                "-1",
                "127.0.0.1"));
    assertEquals(register(said, 0), 590, 15, said);
    assertEquals(register(said, 2), 228, 3, said);
    assertEquals(register(said, 8), 50, 0.1, said);
    String held =
        run(
            List.of(
                "mbpoll",
                "-m",
                "tcp",
                "-p",
                Integer.toString(fixture.modbusPort()),
                "-a",
                "6",
                "-0",
                "-r",
                "0",
                "-c",
                "2",
                "-t",
                "4:float",
                "-B",
                "-1",
                "127.0.0.1"));
    assertEquals(register(held, 2), 22, 1, held);
  }

  private static double register(String said, int number) {
    Matcher m = Pattern.compile("\\[" + number + "\\]:\\s+(-?[\\d.]+)").matcher(said);
    assertTrue(m.find(), said);
    return Double.parseDouble(m.group(1));
  }
}
