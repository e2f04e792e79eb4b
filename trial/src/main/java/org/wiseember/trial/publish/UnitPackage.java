package org.wiseember.trial.publish;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.trace.Trace;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.ClaimJson;
import org.wiseember.workbook.Instruments;
import org.wiseember.workbook.Origin;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.UnitFacts;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.disk.WholeFile;
import org.wiseember.workbook.pack.ArchiveWriter;
import org.wiseember.workbook.pack.RunPackage;
import org.wiseember.workbook.pack.SealedArchive;
import org.wiseember.workbook.pack.Signing;

/**
 * A unit with its label, every reading of its runs, and what was made of them, so that anybody can
 * work the figures out again; see docs/formats.md. Not in it: photos, serial numbers, and where
 * instruments are reached.
 */
public final class UnitPackage {
  /** What the package calls itself. */
  public static final String FORMAT = "wise-ember-unit-1";

  static final String LABEL = "label.json";
  static final String FIGURES = "figures.json";
  static final String VERDICTS = "verdicts.json";
  private static final String INSTRUMENTS = "instruments.json";
  private static final String TYPED = "typed.csv";
  private static final int MOST_RUNS = 5000;
  private static final ObjectMapper JSON = new ObjectMapper();

  private UnitPackage() {}

  /**
   * Writes the package of a unit.
   *
   * @param judgement of it, as it is to be published
   * @param now printed in it
   * @param signing vouches for it; empty for nobody
   * @throws IOException when the file cannot be written; none is left half written
   */
  public static void write(
      Workbook workbook, Judgement judgement, Path file, Instant now, Optional<Signing> signing)
      throws IOException {
    if (judgement.unit().origin().isPresent()) {
      throw new WorkbookException(
          judgement.unit().name()
              + " is "
              + judgement.unit().origin().get().words()
              + ". Pass on the package it came in.");
    }
    WholeFile.write(file, out -> write(workbook, judgement, out, now, signing));
  }

  private static void write(
      Workbook workbook,
      Judgement judgement,
      OutputStream out,
      Instant now,
      Optional<Signing> signing)
      throws IOException {
    Map<Long, Long> numbers = numbers(judgement);
    ArchiveWriter archive = new ArchiveWriter(out, now);
    archive.json(LABEL, label(workbook, judgement));
    archive.json(FIGURES, figures(judgement, numbers));
    archive.json(VERDICTS, verdicts(judgement, numbers));
    archive.json(INSTRUMENTS, instruments(workbook));
    archive.unchained();
    ObjectNode descriptor = descriptor(workbook, judgement, now);
    ArrayNode chain = descriptor.withObject("/wiseEmber").putArray("runs");
    String link = "";
    for (TestRun run : ended(judgement)) {
      long number = numbers.get(run.run().id());
      for (RunPackage.Part part : parts(workbook, run.run())) {
        archive.part(folder(number), part);
      }
      link = archive.chained(link);
      chain
          .addObject()
          .put("run", number)
          .put("title", run.run().title())
          .put("path", folder(number))
          .put("chain", link);
    }
    archive.end(descriptor, signing);
  }

  /** One that still goes on has no figure yet that stands. */
  private static List<TestRun> ended(Judgement judgement) {
    return judgement.all().stream().filter(r -> r.run().state() != Run.State.RUNNING).toList();
  }

  /** Numbers of the runs in a package, by their keys in the workbook: oldest first, from one. */
  static Map<Long, Long> numbers(Judgement judgement) {
    Map<Long, Long> numbers = new HashMap<>();
    ended(judgement).forEach(r -> numbers.put(r.run().id(), numbers.size() + 1L));
    return numbers;
  }

  static String folder(long number) {
    return "runs/" + number + "/";
  }

  private static List<RunPackage.Part> parts(Workbook workbook, Run run) {
    List<RunPackage.Part> parts = new ArrayList<>(RunPackage.parts(workbook, run));
    if (run.settings().byHand()) {
      Trace typed = workbook.typedReadings().trace(run.id());
      parts.add(RunPackage.table(TYPED, typed, List.copyOf(typed.channels())));
    }
    return parts;
  }

  private static ObjectNode descriptor(Workbook workbook, Judgement judgement, Instant now) {
    ObjectNode root = JSON.createObjectNode();
    root.put("profile", "data-package");
    root.put("name", slug(judgement.unit().name()));
    root.put("title", judgement.unit().name());
    root.put(
        "description",
        "Tests of a portable power unit: its label, every reading, and the figures and verdicts"
            + " made of them. “ember verify” works them out again.");
    root.put("created", now.toString());
    ObjectNode own = root.putObject("wiseEmber");
    own.put("format", FORMAT);
    own.put("method", Findings.method());
    own.put("workbook", workbook.title());
    return root;
  }

  private static String slug(String name) {
    String slug =
        name.toLowerCase(java.util.Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    return slug.isEmpty() ? "unit" : slug;
  }

  private static ObjectNode label(Workbook workbook, Judgement judgement) {
    UnitFacts facts = workbook.units().facts(judgement.unit().id());
    ObjectNode node = JSON.createObjectNode();
    node.put("unit", judgement.unit().name());
    node.put("label", judgement.label().text());
    try {
      node.set("claimsByHand", JSON.readTree(ClaimJson.write(judgement.label().byHand())));
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("what was just written is JSON", e);
    }
    node.put("firmware", facts.firmware());
    node.put("obtained", facts.obtained());
    node.put("obtainedOn", facts.obtainedOn().map(LocalDate::toString).orElse(null));
    PublishedJson.number(node, "price", facts.price());
    node.put("currency", facts.currency());
    return node;
  }

  static ObjectNode figures(Judgement judgement, Map<Long, Long> numbers) {
    ObjectNode root = JSON.createObjectNode();
    root.put("method", Findings.method());
    ArrayNode all = root.putArray("runs");
    for (TestRun run : ended(judgement)) {
      all.add(
          PublishedJson.run(run, numbers.get(run.run().id()), id -> numbers.getOrDefault(id, 0L)));
    }
    return root;
  }

  static ObjectNode verdicts(Judgement judgement, Map<Long, Long> numbers) {
    ObjectNode root = JSON.createObjectNode();
    root.put("guardBand", judgement.guardBand());
    ArrayNode claims = root.putArray("claims");
    judgement
        .lines()
        .forEach(
            line -> {
              ObjectNode claim = PublishedJson.claim(line);
              claim.put("title", line.title());
              claim.put("run", line.runId().map(numbers::get).orElse(null));
              claims.add(claim);
            });
    return root;
  }

  /** Their names, classes and checks; not where they are reached. */
  private static ObjectNode instruments(Workbook workbook) {
    ObjectNode root = JSON.createObjectNode();
    ArrayNode all = root.putArray("instruments");
    for (Instruments.Kept kept : workbook.instruments().all()) {
      ObjectNode node = all.addObject();
      node.put("name", PublishedJson.name(kept));
      try {
        JsonNode description = JSON.readTree(kept.description());
        ArrayNode channels = node.putArray("channels");
        for (JsonNode channel : description.path("channels")) {
          ObjectNode one = channels.addObject();
          for (String key : List.of("channel", "accuracy", "correction")) {
            if (channel.has(key)) {
              one.set(key, channel.path(key));
            }
          }
        }
      } catch (JsonProcessingException notReadable) {
        // Its name says so.
      }
      node.put(
          "checkedOn",
          workbook.instruments().checkedOn(kept.id()).map(LocalDate::toString).orElse(null));
    }
    return root;
  }

  /**
   * Takes a package into a workbook as somebody else's unit, whole or not at all: it is looked at,
   * compared and printed like any other, and nothing of one's own is added to it.
   *
   * @return the unit, and what its check said
   * @throws WorkbookException in one sentence where a file of it was changed, or where it is there
   *     already
   */
  public static TakenIn takeIn(Workbook workbook, Path file, Clock clock) throws IOException {
    PackageCheck check = PackageCheck.of(file, clock);
    if (!check.problems().isEmpty()) {
      throw new WorkbookException(
          file.getFileName() + " is not taken in: " + check.problems().get(0));
    }
    try (SealedArchive archive = SealedArchive.open(file)) {
      Origin origin =
          new Origin(
              String.valueOf(file.getFileName()),
              archive.fingerprint(),
              archive.signed().map(SealedArchive.Signed::fingerprint).orElse(""),
              clock.instant());
      for (TestedUnit unit : workbook.units().all()) {
        if (unit.origin()
            .map(Origin::fingerprint)
            .filter(origin.fingerprint()::equals)
            .isPresent()) {
          throw new WorkbookException(
              file.getFileName() + " is on the shelf already, as " + unit.name() + ".");
        }
      }
      long[] id = new long[1];
      IOException[] wrong = new IOException[1];
      workbook.allOrNothing(
          () -> {
            try {
              id[0] = into(workbook, archive);
              workbook.units().origin(id[0], origin);
            } catch (IOException e) {
              wrong[0] = e;
            }
          });
      if (wrong[0] != null) {
        throw wrong[0];
      }
      return new TakenIn(workbook.units().byId(id[0]).orElseThrow(), check);
    }
  }

  /** A unit that was taken in, and what its check said. */
  public record TakenIn(TestedUnit unit, PackageCheck check) {
    /** Whose it is, and whether its figures come out here as well, one sentence or two. */
    public String words() {
      long differ = check.figures().stream().filter(f -> !f.same()).count();
      return unit.name()
          + " is on the shelf, "
          + unit.origin().map(Origin::words).orElse("")
          + ". "
          + (differ == 0
              ? "Every figure it publishes comes out the same here."
              : differ
                  + " of its figures come out otherwise here"
                  + (check.sameMethod() ? "; look at them." : ", where the method is another."));
    }
  }

  /** How many runs a package says it has. */
  static int runs(SealedArchive archive) {
    JsonNode own = archive.json(SealedArchive.DESCRIPTOR).path("wiseEmber");
    if (!FORMAT.equals(own.path("format").asText())) {
      throw new WorkbookException(
          archive.file().getFileName()
              + " is no package of a unit: it does not call itself “"
              + FORMAT
              + "”. Nothing was changed.");
    }
    int runs = own.path("runs").size();
    if (runs > MOST_RUNS) {
      throw new WorkbookException(
          archive.file().getFileName() + " has more than " + MOST_RUNS + " runs.");
    }
    return runs;
  }

  /**
   * Takes the unit of a package into a workbook, with its label and all its runs, whole or not at
   * all.
   *
   * @return its key
   * @throws WorkbookException in one sentence, when something in it cannot be read
   */
  static long into(Workbook workbook, SealedArchive archive) throws IOException {
    JsonNode label = archive.json(LABEL);
    int many = runs(archive);
    List<RunPackage.Unpacked> runs = new ArrayList<>();
    for (int i = 1; i <= many; i++) {
      runs.add(RunPackage.read(archive.zip(), folder(i), archive.file()));
    }
    long[] unit = new long[1];
    workbook.allOrNothing(
        () -> {
          unit[0] = workbook.units().add(label.path("unit").asText("Unpacked unit")).id();
          workbook
              .units()
              .label(
                  unit[0],
                  label.path("label").asText(),
                  ClaimJson.read(label.path("claimsByHand").toString()));
          workbook.units().facts(unit[0], facts(label));
          runs.forEach(run -> run.into(workbook, unit[0]));
        });
    return unit[0];
  }

  private static UnitFacts facts(JsonNode label) {
    Optional<LocalDate> day = Optional.empty();
    try {
      day = Optional.of(LocalDate.parse(label.path("obtainedOn").asText()));
    } catch (DateTimeParseException none) {
      // Nobody noted it.
    }
    return new UnitFacts(
        "",
        label.path("firmware").asText(""),
        label.path("obtained").asText(""),
        day,
        label.path("price").isNumber() ? label.path("price").asDouble() : Double.NaN,
        label.path("currency").asText(""));
  }
}
