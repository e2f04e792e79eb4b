package org.wiseember.command;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.RunWriter;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.disk.Scratch;
import org.wiseember.workbook.pack.RunPackage;

/** Files that are in order, one or more for every reader, to be damaged. */
final class Seeds {
  /** Who reads a file. */
  enum Reader {
    COMMAND,
    LOG,
    PACKAGE,
    WORKBOOK,
    DESCRIPTION,
    MAPPING
  }

  /** A file's bytes after it was damaged. */
  private interface Damage {
    byte[] of(SplittableRandom random) throws IOException;
  }

  /**
   * A file that is in order.
   *
   * @param command the command that reads it, for a command; FILE stands for it
   */
  record Seed(Reader reader, String name, List<String> command, Damage damage) {
    byte[] damaged(SplittableRandom random) throws IOException {
      return damage.of(random);
    }
  }

  private static final String DAY =
      """
      {"start": "17:00", "hours": 30,
       "unit": {"usable": [{"watts": 592, "wattHours": 904, "u95": 4}, {"watts": 1048, "wattHours": 887}],
                "dcUsable": [{"watts": 108, "wattHours": 917}], "idleWatts": 13.2, "outputWatts": 1200,
                "startVa": 2400, "labelWattHours": 1075, "charge": 90, "reserve": 5},
       "appliances": [
         {"name": "kettle", "use": "cycling", "watts": 480, "wattHoursPerHour": 200,
          "on": [{"from": "18:00", "to": "22:00"}, {"from": "07:00", "to": "8:30", "day": 1}]},
         {"name": "shaver", "use": "per-go", "watts": 410, "wattHoursPerGo": 12, "startVa": 2300,
          "at": ["19:00", {"at": "20:30", "day": 0}]}],
       "feed": {"kind": "port", "volts": [12, 60], "amps": 12, "from": {"kind": "battery", "volts": 52.4,
         "wattHours": 300, "amps": 100, "from": [{"kind": "charger", "volts": 57, "amps": 15,
           "efficiency": 0.94, "from": {"kind": "generator", "va": 1600}},
           {"kind": "controller", "volts": [20, 100], "amps": 15, "from": {"kind": "panels", "watts": 380,
             "volts": 76, "openVolts": 91, "on": [{"from": "17:00", "to": "19:30"}]}}]}}}
      """;

  private static final int WORKBOOK_EVERY = 100;
  private static final int UNIT_EVERY = 50;

  private final Scratch scratch;
  private final List<Seed> seeds = new ArrayList<>();
  private final Seed workbook;
  private final Seed unitPackage;

  Seeds(Scratch scratch) throws IOException {
    this.scratch = scratch;
    logs();
    captures();
    text(Reader.DESCRIPTION, "meter.json", List.of(), description());
    text(Reader.MAPPING, "mapping.json", List.of(), MAPPING);
    Path label = Files.writeString(scratch.file("plain.txt"), LABEL);
    text(
        Reader.COMMAND,
        "label.txt",
        List.of("judge", "--label", "FILE", "--json", "--run", "ac-drain=" + written(drain())),
        LABEL);
    for (String kind :
        List.of("ac-drain", "ladder", "charge", "idle", "overload", "heat", "dc-port", "usb")) {
      text(
          Reader.COMMAND,
          kind + ".csv",
          List.of("judge", "--label", label.toString(), "--json", "--run", kind + "=FILE"),
          drain());
    }
    text(Reader.COMMAND, "day.json", List.of("run-time", "FILE", "--json"), DAY);
    byte[] packed = packed();
    seeds.add(new Seed(Reader.PACKAGE, "run.zip", List.of(), r -> Mutation.bytes(packed, r)));
    seeds.add(new Seed(Reader.PACKAGE, "parts.zip", List.of(), r -> parts(packed, r)));
    byte[] unit = unit();
    unitPackage =
        new Seed(
            Reader.COMMAND,
            "unit.zip",
            List.of("verify", "FILE", "--json"),
            r -> r.nextBoolean() ? Mutation.bytes(unit, r) : parts(unit, r));
    byte[] whole = Files.readAllBytes(scratch.file("from.ember"));
    workbook = new Seed(Reader.WORKBOOK, "damaged.ember", List.of(), r -> Mutation.bytes(whole, r));
  }

  /** The next to be damaged; a workbook or a unit now and then, since that takes much longer. */
  Seed pick(int turn, SplittableRandom random) {
    return turn % WORKBOOK_EVERY == 0
        ? workbook
        : turn % UNIT_EVERY == 1 ? unitPackage : seeds.get(random.nextInt(seeds.size()));
  }

  private void text(Reader reader, String name, List<String> command, String text) {
    seeds.add(
        new Seed(
            reader, name, command, r -> Mutation.text(text, r).getBytes(StandardCharsets.UTF_8)));
  }

  private Path written(String text) throws IOException {
    return Files.writeString(scratch.file("plain.csv"), text);
  }

  private void logs() {
    for (String kind : List.of("capacity", "charge", "efficiency", "idle", "overload")) {
      List<String> args = new ArrayList<>(List.of("analyze", kind, "FILE", "--json"));
      if (!kind.equals("charge")) {
        args.addAll(
            kind.equals("capacity")
                ? List.of("--rated-wh", "1075")
                : kind.equals("idle")
                    ? List.of("--usable-wh", "900")
                    : List.of("--rated-w", "600"));
      }
      text(
          Reader.COMMAND,
          kind + ".csv",
          args,
          kind.equals("charge") ? drain().replace("ac_power", "in_power") : drain());
    }
    text(Reader.LOG, "own.csv", List.of(), drain());
    text(Reader.LOG, "meter.csv", List.of(), METER);
    text(Reader.LOG, "stamps.csv", List.of(), STAMPS);
  }

  private void captures() throws IOException {
    text(Reader.COMMAND, "wave.csv", List.of("analyze", "waveform", "FILE", "--json"), wave());
    text(Reader.COMMAND, "scope.csv", List.of("analyze", "waveform", "FILE"), SCOPE);
    Path csv = Files.writeString(scratch.file("in.csv"), wave());
    for (String format : List.of("ASCII", "BINARY", "FLOAT32")) {
      String stem = "record" + format;
      StringWriter nothing = new StringWriter();
      Ember.run(
          new PrintWriter(nothing),
          new PrintWriter(nothing),
          "convert",
          csv.toString(),
          "--out",
          scratch.file(stem + ".cfg").toString(),
          "--format",
          format);
      List<String> read = List.of("analyze", "waveform", "FILE", "--json");
      byte[] cfg = Files.readAllBytes(scratch.file(stem + ".cfg"));
      byte[] dat = Files.readAllBytes(scratch.file(stem + ".dat"));
      Files.write(scratch.file("cfg" + stem + ".dat"), dat);
      Files.write(scratch.file("dat" + stem + ".cfg"), cfg);
      text(Reader.COMMAND, "cfg" + stem + ".cfg", read, new String(cfg, StandardCharsets.UTF_8));
      seeds.add(new Seed(Reader.COMMAND, "dat" + stem + ".dat", read, r -> Mutation.bytes(dat, r)));
      ByteArrayOutputStream both = new ByteArrayOutputStream();
      both.write("--- file type: CFG ---\r\n".getBytes(StandardCharsets.UTF_8));
      both.write(cfg);
      both.write(
          ("--- file type: DAT " + format + ": " + dat.length + " ---\r\n")
              .getBytes(StandardCharsets.UTF_8));
      both.write(dat);
      byte[] combined = both.toByteArray();
      seeds.add(new Seed(Reader.COMMAND, stem + ".cff", read, r -> Mutation.bytes(combined, r)));
    }
  }

  /** A thousand seconds at 600 W, off, on, and off for good. */
  private static String drain() {
    StringBuilder log =
        new StringBuilder(
            "time [s],ac_power [W],ac_voltage [V],dc_voltage [V],dc_current [A],case_temperature"
                + " [°C],room_temperature [°C],sound_level [dB]\n");
    for (int i = 0; i < 240; i++) {
      boolean on = i > 4 && i < 200;
      log.append(i * 5)
          .append(on ? ",598.5,229.8,51.2,13.1," : ",0,0,52.8,0.2,")
          .append(22 + i / 20.0)
          .append(",21.5,")
          .append(on ? 48 : 31)
          .append('\n');
    }
    return log.toString();
  }

  private static String wave() {
    StringBuilder text = new StringBuilder("time [s],voltage [V],current [A]\n");
    for (int i = 0; i < 800; i++) {
      double a = 2 * Math.PI * 50 * i / 4000.0;
      text.append(i / 4000.0).append(',').append(325 * Math.sin(a)).append(',');
      text.append(3 * Math.sin(a)).append('\n');
    }
    return text.toString();
  }

  private static String description() throws IOException {
    String name = "scpi-dc-load.json";
    try (var in = org.wiseember.bench.instrument.DescriptionJson.class.getResourceAsStream(name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  /** A packed run; the workbook it came from stays. */
  private byte[] packed() throws IOException {
    Path file = scratch.file("packed.zip");
    Clock clock = Clock.systemUTC();
    try (Workbook from = Workbook.open(scratch.file("from.ember"), clock)) {
      long unit = from.units().add("Quernfold Q1100").id();
      from.units().label(unit, LABEL, List.of());
      RunWriter writer =
          from.runs()
              .begin(
                  new NewRun(
                      RunOf.unit(unit),
                      "ac-drain",
                      "AC drain",
                      Instant.parse("2026-05-04T16:30:00Z"),
                      RunSettings.of(RunSettings.Source.FILE, Map.of())),
                  List.of(Channel.AC_POWER, Channel.DC_VOLTAGE));
      for (int i = 0; i < 300; i++) {
        writer.append(i * 10, new double[] {i < 250 ? 600 : 0, 51.5 - i / 100.0});
      }
      writer.note(new Event(3, "mark", "Fan on"));
      writer.flush();
      writer.end(Run.State.DONE, "The output dropped out.");
      from.typedReadings()
          .keep(writer.runId(), 2500, "Meter B", Channel.AC_ENERGY, 415.3, 0.1, "415.3");
      double[] volts = new double[2000];
      for (int i = 0; i < volts.length; i++) {
        volts[i] = 325 * Math.sin(2 * Math.PI * 50 * i / 10_000);
      }
      from.captures()
          .add(
              writer.runId(),
              List.of(new StoredCapture(7, CaptureNote.ofLoad(600), Capture.of(1e4, volts))));
      RunPackage.write(from, from.runs().all().get(0), file);
    }
    return Files.readAllBytes(file);
  }

  /** The same unit as others are given it. */
  private byte[] unit() throws IOException {
    Path file = scratch.file("unit.zip");
    Told made =
        Told.by(
            "package",
            scratch.file("from.ember").toString(),
            "--unit",
            "Quernfold Q1100",
            "--out",
            file.toString());
    if (made.code() != 0) {
      throw new IOException(made.err());
    }
    return Files.readAllBytes(file);
  }

  /** The same package with one of its files damaged inside. */
  private static byte[] parts(byte[] packed, SplittableRandom random) throws IOException {
    List<String> names = new ArrayList<>();
    try (var in = new ZipInputStream(new ByteArrayInputStream(packed))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        names.add(entry.getName());
      }
    }
    String chosen = names.get(random.nextInt(names.size()));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (var in = new ZipInputStream(new ByteArrayInputStream(packed));
        ZipOutputStream zip = new ZipOutputStream(out)) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        byte[] bytes = in.readAllBytes();
        zip.putNextEntry(new ZipEntry(entry.getName()));
        zip.write(
            entry.getName().equals(chosen)
                ? Mutation.text(new String(bytes, StandardCharsets.UTF_8), random)
                    .getBytes(StandardCharsets.UTF_8)
                : bytes);
        zip.closeEntry();
      }
    }
    return out.toByteArray();
  }

  private static final String LABEL =
      """
      Quernfold Q1100
      Capacity 1075 Wh, 51.2 V 21 Ah LFP
      AC output 230 V 50 Hz 1000 W, surge 2000 W
      USB-C 100 W, 12 V 10 A
      AC input 900 W, full in 1.5 h
      Weight 12.4 kg, 30 dB at 600 W
      """;

  private static final String MAPPING =
      "{\"separator\":\";\",\"headingRow\":1,\"decimalComma\":true,\"time\":0,\"date\":-1,"
          + "\"timeForm\":\"iso\",\"columns\":[{\"column\":1,\"channel\":\"ac_power\",\"unit\":"
          + "\"W\"}]}";

  private static final String METER =
      """
      Stall meter export

      Date;Clock;Power (kW);Volts (V);Total (kWh)
      04/05/2026;18:00:00;0,598;229,8;1,204
      04/05/2026;18:01:00;0,601;229,7;1,214
      04/05/2026;18:02:00;0,600;229,9;1,224
      04/05/2026;18:03:00;0,000;0,0;1,224
      """;

  private static final String STAMPS =
      """
      time,ac_power [W],ac_energy [kWh]
      2026-05-04T18:00:00+02:00,598,0.1
      2026-05-04T18:00:10+02:00,599,0.2
      2026-05-04T18:00:20+02:00,601,0.3
      """;

  private static final String SCOPE =
      """
      Model,Stall scope
      Sampling Rate,2 kSa/s
      Volts per count,0.5
      CH1 (counts),CH2 (A)
      """
          + "0,0\n100,1\n0,0\n-100,-1\n".repeat(60);
}
