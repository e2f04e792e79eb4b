package org.wiseember.workbook.pack;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.workbook.CaptureWords;
import org.wiseember.workbook.Captures;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.Photo;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.TreatmentJson;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.disk.OrdinaryFile;
import org.wiseember.workbook.disk.Scratch;
import org.wiseember.workbook.disk.WholeFile;
import org.wiseember.workbook.log.LogCsv;
import org.wiseember.workbook.log.LogUnreadable;

/**
 * One run as a zip that any program can open: {@code run.json} and {@code samples.csv}, see
 * docs/formats.md. What is read is looked for by name; nothing in an archive can name a place to
 * write to.
 */
public final class RunPackage {
  /** What run.json calls itself. */
  public static final String FORMAT = "wise-ember-run-1";

  private static final String RUN = "run.json";
  private static final String SAMPLES = "samples.csv";
  private static final long MOST_JSON = 16L << 20;
  private static final int MOST_ENTRIES = 10_000;
  private static final ObjectMapper JSON = new ObjectMapper();

  private RunPackage() {}

  /**
   * What a package holds.
   *
   * @param unitName of the unit that was tested
   * @param labelText its label as printed
   */
  public record Unpacked(
      String unitName,
      String labelText,
      String kind,
      String title,
      Instant startedAt,
      Run.State state,
      String ending,
      RunSettings settings,
      Trace trace,
      List<Event> events,
      List<StoredReading> typed,
      List<NotebookLine> notebook,
      Treatment treatment,
      List<StoredCapture> captures) {
    /** A run of a workbook, as it would come out of its package. */
    static Unpacked of(Workbook workbook, Run run) {
      Optional<TestedUnit> unit = workbook.units().byId(run.unitId());
      return new Unpacked(
          unit.map(TestedUnit::name).orElse(""),
          unit.map(u -> u.label().text()).orElse(""),
          run.kind(),
          run.title(),
          run.startedAt(),
          run.state(),
          run.ending(),
          run.settings(),
          workbook.runs().trace(run),
          workbook.runs().events(run.id()),
          workbook.typedReadings().of(run.id()),
          workbook.notebook().of(run.id()),
          workbook.treatments().of(run.id()),
          workbook.captures().of(run.id()));
    }

    /** Adds it to the unit of its name, or to a new one; gives the key of the run. */
    private long into(Workbook workbook) {
      return into(workbook, unit(workbook).id());
    }

    /** Adds it to a unit; gives the key of the run. */
    public long into(Workbook workbook, long unit) {
      long run =
          workbook
              .runs()
              .add(
                  new NewRun(RunOf.unit(unit), kind, title, startedAt, settings),
                  state,
                  ending,
                  trace,
                  events);
      if (!treatment.equals(Treatment.NONE)) {
        workbook.treatments().decide(run, treatment);
      }
      workbook.captures().add(run, captures);
      typed.forEach(r -> workbook.typedReadings().keep(run, r));
      notebook.forEach(l -> workbook.notebook().keep(run, l, List.of()));
      return run;
    }

    private TestedUnit unit(Workbook workbook) {
      return workbook.units().all().stream()
          .filter(u -> u.name().equals(unitName) && u.origin().isEmpty())
          .findFirst()
          .orElseGet(
              () -> {
                TestedUnit fresh = workbook.units().add(unitName);
                workbook.units().label(fresh.id(), labelText, List.of());
                return fresh;
              });
    }
  }

  /**
   * Packs a run.
   *
   * @throws IOException when the file cannot be written; none is left half written
   */
  public static void write(Workbook workbook, Run run, Path file) throws IOException {
    WholeFile.write(file, out -> pack(workbook, run, out));
  }

  private static void pack(Workbook workbook, Run run, OutputStream out) throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(new Unclosed(out))) {
      for (Part part : parts(workbook, run)) {
        zip.putNextEntry(entry(part.name(), run));
        part.content().into(zip);
        zip.closeEntry();
      }
    }
  }

  /**
   * A file of a package.
   *
   * @param columns headings of a table of numbers; empty for JSON
   */
  public record Part(String name, WholeFile.Content content, List<String> columns) {
    public Part {
      columns = List.copyOf(columns);
    }
  }

  /** A table of readings. */
  public static Part table(String name, Trace trace, List<Channel> channels) {
    List<String> columns = new ArrayList<>(List.of("time [s]"));
    channels.forEach(c -> columns.add(heading(c)));
    return new Part(name, out -> samples(trace, channels, out), columns);
  }

  private static String heading(Channel channel) {
    return channel.key() + " [" + channel.unit().symbol() + "]";
  }

  /** The files of a run, by their names. */
  public static List<Part> parts(Workbook workbook, Run run) {
    List<Part> parts = new ArrayList<>();
    parts.add(
        new Part(
            RUN,
            out -> out.write(json(workbook, run).getBytes(StandardCharsets.UTF_8)),
            List.of()));
    parts.add(table(SAMPLES, workbook.runs().trace(run), run.channels()));
    List<StoredCapture> captures = workbook.captures().of(run.id());
    for (int i = 0; i < captures.size(); i++) {
      Capture capture = captures.get(i).capture();
      parts.add(
          new Part(
              CaptureCsv.name(i),
              out -> CaptureCsv.write(capture, out),
              CaptureCsv.columns(capture)));
    }
    return parts;
  }

  /** The end of the archive is not the end of what it goes into. */
  private static final class Unclosed extends FilterOutputStream {
    Unclosed(OutputStream out) {
      super(out);
    }

    @Override
    public void write(byte[] bytes, int from, int length) throws IOException {
      out.write(bytes, from, length);
    }

    @Override
    public void close() throws IOException {
      flush();
    }
  }

  /** Entries bear the run's own time, so that packing twice gives the same bytes. */
  private static ZipEntry entry(String name, Run run) {
    ZipEntry entry = new ZipEntry(name);
    entry.setTime(Math.max(run.startedAt().toEpochMilli(), 315_532_800_000L));
    return entry;
  }

  private static String json(Workbook workbook, Run run) throws JsonProcessingException {
    ObjectNode root = JSON.createObjectNode();
    root.put("format", FORMAT);
    workbook
        .units()
        .byId(run.unitId())
        .ifPresent(
            unit ->
                root.putObject("unit").put("name", unit.name()).put("label", unit.label().text()));
    root.put("kind", run.kind());
    root.put("title", run.title());
    root.put("startedAt", run.startedAt().toString());
    root.put("state", run.state().name().toLowerCase(Locale.ROOT));
    root.put("ending", run.ending());
    root.set("settings", JSON.readTree(run.settings().json()));
    Treatment treatment = workbook.treatments().of(run.id());
    if (!treatment.equals(Treatment.NONE)) {
      root.set("treatment", TreatmentJson.node(treatment));
    }
    ArrayNode channels = root.putArray("channels");
    run.channels().forEach(c -> channels.add(c.key()));
    ArrayNode events = root.putArray("events");
    for (Event event : workbook.runs().events(run.id())) {
      events
          .addObject()
          .put("seconds", event.seconds())
          .put("code", event.code())
          .put("detail", event.detail())
          .put("words", event.words());
    }
    ArrayNode typed = root.putArray("typedReadings");
    for (StoredReading reading : workbook.typedReadings().of(run.id())) {
      typed
          .addObject()
          .put("seconds", reading.seconds())
          .put("meter", reading.meter())
          .put("channel", reading.channel().key())
          .put("value", reading.value())
          .put("resolution", reading.resolution())
          .put("asTyped", reading.asTyped());
    }
    ArrayNode notebook = root.putArray("notebook");
    for (NotebookLine line : workbook.notebook().of(run.id())) {
      ObjectNode node = notebook.addObject();
      number(node, "earliest", line.earliest());
      number(node, "latest", line.latest());
      number(node, "at", line.when().isCentred() ? Double.NaN : line.seconds());
      line.press().ifPresent(p -> node.put("press", p.key()));
      number(node, "subject", line.subject());
      node.put("words", line.words()).put("who", line.who());
    }
    ArrayNode captures = root.putArray("captures");
    for (StoredCapture kept : workbook.captures().of(run.id())) {
      ObjectNode capture = captures.addObject();
      number(capture, "seconds", kept.seconds());
      number(capture, "loadWatts", kept.loadWatts());
      capture
          .put("file", CaptureCsv.name(captures.size() - 1))
          .put("words", kept.words())
          .put("mains", kept.mains())
          .put("place", kept.note().place().key())
          .put("samplesPerSecond", kept.capture().perSecond());
    }
    ArrayNode photos = root.putArray("photos");
    for (Photo photo : workbook.photos().of(run.id())) {
      photos
          .addObject()
          .put("seconds", photo.seconds())
          .put("file", String.valueOf(Path.of(photo.path()).getFileName()))
          .put("sha256", photo.sha256())
          .put("words", photo.words());
    }
    return root.toPrettyString();
  }

  /** Numbers as the shortest text that reads back as the same double. */
  private static void samples(Trace trace, List<Channel> channels, OutputStream out)
      throws IOException {
    StringBuilder text = new StringBuilder("time [s]");
    for (Channel channel : channels) {
      text.append(',').append(heading(channel));
    }
    text.append('\n');
    for (int i = 0; i < trace.size(); i++) {
      text.append(trace.seconds(i));
      for (Channel channel : channels) {
        double value = trace.value(channel, i);
        text.append(',');
        if (!Double.isNaN(value)) {
          text.append(value);
        }
      }
      text.append('\n');
      if (text.length() > 1 << 16) {
        out.write(text.toString().getBytes(StandardCharsets.UTF_8));
        text.setLength(0);
      }
    }
    out.write(text.toString().getBytes(StandardCharsets.UTF_8));
  }

  /**
   * Reads a package.
   *
   * @throws WorkbookException in one sentence that names the file
   */
  public static Unpacked read(Path file) {
    Optional<String> trouble = OrdinaryFile.trouble(file);
    if (trouble.isPresent()) {
      throw refused(file, trouble.get());
    }
    try (ZipFile zip = new ZipFile(file.toFile())) {
      if (zip.size() > MOST_ENTRIES) {
        throw refused(file, "it holds more than 10 000 files");
      }
      return read(zip, "", file);
    } catch (ZipException e) {
      throw refused(file, "it is not a zip archive");
    } catch (IOException e) {
      throw refused(file, "it cannot be read; check the file and its permissions");
    }
  }

  /**
   * Reads a run out of an archive.
   *
   * @param in names of its files begin so, {@code runs/1/}; empty where it is alone
   * @param file the archive, as it is called when something is wrong
   * @throws WorkbookException in one sentence
   */
  public static Unpacked read(ZipFile zip, String in, Path file) throws IOException {
    try {
      JsonNode root = JSON.readTree(text(zip, in, file));
      if (!FORMAT.equals(root.path("format").asText())) {
        throw refused(file, "its " + in + RUN + " does not call itself “" + FORMAT + "”");
      }
      List<Channel> channels = new ArrayList<>();
      for (JsonNode key : root.path("channels")) {
        channels.add(
            Channel.byKey(key.asText())
                .orElseThrow(() -> refused(file, "it has an unknown channel")));
      }
      Trace trace = channels.isEmpty() ? Trace.empty() : samples(zip, in, file);
      return unpacked(root, trace, captures(zip, in, root, file), file);
    } catch (JsonProcessingException e) {
      throw refused(file, "its " + in + RUN + " is not JSON");
    } catch (LogUnreadable e) {
      throw refused(file, "its samples cannot be read: " + e.getMessage().replaceAll("\\.$", ""));
    } catch (DateTimeException | IllegalArgumentException e) {
      throw refused(file, "its " + in + RUN + " has a field that cannot be read");
    }
  }

  /** A number that may be missing. */
  private static void number(ObjectNode node, String name, double value) {
    if (Double.isFinite(value)) {
      node.put(name, value);
    }
  }

  /**
   * Takes a packed run into a workbook, whole or not at all: to the unit of its name, or to a new
   * one with its label.
   *
   * @throws WorkbookException in one sentence, when the package cannot be read
   */
  public static Run takeIn(Workbook workbook, Path file) {
    Unpacked in = read(file);
    long[] run = new long[1];
    workbook.allOrNothing(() -> run[0] = in.into(workbook));
    return workbook.runs().byId(run[0]).orElseThrow();
  }

  private static WorkbookException refused(Path file, String why) {
    return new WorkbookException(
        file.getFileName() + " is not taken in: " + why + ". Nothing was changed.");
  }

  private static String text(ZipFile zip, String place, Path file) throws IOException {
    ZipEntry entry = zip.getEntry(place + RUN);
    if (entry == null) {
      throw refused(file, "there is no " + place + RUN + " in it");
    }
    try (InputStream in = zip.getInputStream(entry)) {
      byte[] bytes = in.readNBytes((int) MOST_JSON + 1);
      if (bytes.length > MOST_JSON) {
        throw refused(file, "its " + place + RUN + " is larger than 16 MiB");
      }
      return new String(bytes, StandardCharsets.UTF_8);
    }
  }

  /** Samples go to a temporary file of our own naming, no larger than a log may be. */
  private static Trace samples(ZipFile zip, String place, Path file)
      throws IOException, LogUnreadable {
    ZipEntry entry = zip.getEntry(place + SAMPLES);
    if (entry == null) {
      throw refused(file, "there is no " + place + SAMPLES + " in it");
    }
    try (Scratch scratch = Scratch.make()) {
      Path samples = scratch.file(SAMPLES);
      try (InputStream in = zip.getInputStream(entry);
          OutputStream out = Files.newOutputStream(samples)) {
        byte[] buffer = new byte[1 << 16];
        long written = 0;
        for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
          written += n;
          if (written > LogCsv.MOST_BYTES) {
            throw refused(file, "its samples are larger than 2 GiB");
          }
          out.write(buffer, 0, n);
        }
      }
      return LogCsv.readWithItsTimes(samples).trace();
    }
  }

  private static List<StoredCapture> captures(ZipFile zip, String place, JsonNode root, Path file)
      throws IOException {
    List<StoredCapture> captures = new ArrayList<>();
    int samples = 0;
    for (JsonNode node : root.path("captures")) {
      String name = place + CaptureCsv.name(captures.size());
      ZipEntry entry = zip.getEntry(name);
      if (entry == null) {
        throw refused(file, "there is no " + name + " in it");
      }
      try (InputStream in = zip.getInputStream(entry)) {
        Capture capture =
            CaptureCsv.read(
                in, node.path("samplesPerSecond").asDouble(), Captures.MOST_SAMPLES - samples);
        samples += capture.size();
        captures.add(
            new StoredCapture(node.path("seconds").asDouble(Double.NaN), note(node), capture));
      } catch (CaptureCsv.Unreadable e) {
        throw refused(file, name + " cannot be read: " + e.getMessage());
      }
    }
    return captures;
  }

  /** Packages from before the load had a field of its own name it in words. */
  private static CaptureNote note(JsonNode node) {
    String words = node.path("words").asText();
    return node.has("mains")
        ? new CaptureNote(
            words,
            Captures.place(node.path("place").asText(""), node.path("mains").asBoolean()),
            node.path("loadWatts").asDouble(Double.NaN))
        : CaptureWords.read(words);
  }

  /** A number that has to be one; text such as NaN is none. */
  private static double finite(JsonNode node, String name, Path file) {
    JsonNode number = node.path(name);
    if (!number.isNumber() || !Double.isFinite(number.doubleValue())) {
      throw refused(
          file, "“" + name + "” of an event, a typed reading or a notebook line is no number");
    }
    return number.doubleValue();
  }

  /** A limit nobody knows is left out; the line still has its place then. */
  private static Optional<Moment> when(JsonNode node, Path file) {
    double earliest = limit(node, "earliest", Double.NEGATIVE_INFINITY, file);
    double latest = limit(node, "latest", Double.POSITIVE_INFINITY, file);
    double middle = (earliest + latest) / 2;
    double at = limit(node, "at", middle, file);
    return latest >= earliest && Double.isFinite(at)
        ? Optional.of(new Moment(at, earliest, latest))
        : Optional.empty();
  }

  private static double limit(JsonNode node, String name, double unknown, Path file) {
    return node.hasNonNull(name) ? finite(node, name, file) : unknown;
  }

  private static List<NotebookLine> notebook(JsonNode root, Path file) {
    List<NotebookLine> lines = new ArrayList<>();
    for (JsonNode node : root.path("notebook")) {
      Optional<OperatorEvent> press = OperatorEvent.byKey(node.path("press").asText());
      Optional<Moment> when = when(node, file);
      if ((node.has("press") && press.isEmpty()) || when.isEmpty()) {
        throw refused(file, "a line of its notebook has no moment, or an unknown press");
      }
      lines.add(
          new NotebookLine(
              0,
              when.get(),
              press,
              node.path("subject").asDouble(Double.NaN),
              node.path("words").asText(),
              node.path("who").asText()));
    }
    return lines;
  }

  private static Unpacked unpacked(
      JsonNode root, Trace trace, List<StoredCapture> captures, Path file) {
    List<Event> events = new ArrayList<>();
    for (JsonNode event : root.path("events")) {
      events.add(
          new Event(
              finite(event, "seconds", file),
              Event.spelled(event.path("code").asText()),
              event.path("detail").asText(),
              event.path("words").asText()));
    }
    List<StoredReading> typed = new ArrayList<>();
    for (JsonNode reading : root.path("typedReadings")) {
      Optional<Channel> channel = Channel.byKey(reading.path("channel").asText());
      typed.add(
          new StoredReading(
              0,
              finite(reading, "seconds", file),
              reading.path("meter").asText(),
              channel.orElseThrow(() -> refused(file, "a typed reading has no channel")),
              finite(reading, "value", file),
              finite(reading, "resolution", file),
              reading.path("asTyped").asText()));
    }
    return new Unpacked(
        root.path("unit").path("name").asText("Unpacked unit"),
        root.path("unit").path("label").asText(""),
        root.path("kind").asText("ac-drain"),
        root.path("title").asText("Run"),
        Instant.parse(root.path("startedAt").asText()),
        Run.State.valueOf(root.path("state").asText("done").toUpperCase(Locale.ROOT)),
        root.path("ending").asText(""),
        RunSettings.read(root.path("settings").toString()),
        trace,
        events,
        typed,
        notebook(root, file),
        TreatmentJson.read(root.path("treatment")),
        captures);
  }
}
