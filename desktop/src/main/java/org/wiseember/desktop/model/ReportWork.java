package org.wiseember.desktop.model;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.atomic.AtomicLong;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.report.film.Captions;
import org.wiseember.report.film.LowerThird;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.PagePdf;
import org.wiseember.report.page.Report;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.publish.FilmCaptions;
import org.wiseember.trial.publish.ReportSheets;
import org.wiseember.trial.publish.UnitPackage;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.ReportChoice;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.disk.WholeFile;
import org.wiseember.workbook.pack.Signing;

/**
 * What is published of the chosen unit: its report, laid out anew whenever something of it changes
 * while one looks at it, and what is made for makers, films and whoever checks.
 */
public final class ReportWork {
  /** Nothing is being laid out. */
  public static final double IDLE = 2;

  private static final Logger LOG = LoggerFactory.getLogger(ReportWork.class);
  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm[:ss]", Locale.ROOT);

  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at;
  private final ReaderLook look;
  private final Benchwork bench;
  private final Clock clock;
  private final Edits edits;
  private final ObjectProperty<ReportChoice> choice =
      new SimpleObjectProperty<>(ReportChoice.USUAL);
  private final ObjectProperty<Made> made = new SimpleObjectProperty<>();
  private final DoubleProperty progress = new SimpleDoubleProperty(IDLE);
  private final ExecutorService laying = OwnThread.named("report");
  private final AtomicLong asked = new AtomicLong();
  private boolean stale = true;
  private Optional<Runnable> onceLaidOut = Optional.empty();

  /** A report laid out. */
  public record Made(long unitId, String html, byte[] pdf) {}

  ReportWork(OpenWorkbook open, UnitShelf shelf, Navigation at, ReaderLook look, Benchwork bench) {
    this.open = open;
    this.shelf = shelf;
    this.at = at;
    this.look = look;
    this.bench = bench;
    this.clock = open.clock();
    this.edits = open.edits();
    shelf.chosen().addListener((o, was, is) -> again());
    look.units().addListener((o, was, is) -> again());
    at.stage()
        .addListener(
            (o, was, is) -> {
              if (stale) {
                again();
              }
            });
  }

  /** What it is made of. */
  public ReadOnlyObjectProperty<ReportChoice> choice() {
    return choice;
  }

  /** The newest that was laid out; null until one was. */
  public ReadOnlyObjectProperty<Made> made() {
    return made;
  }

  /** How far the next one is, 0 to 1; 1 while its pages are laid out; above for none. */
  public ReadOnlyDoubleProperty progress() {
    return progress;
  }

  /** Shows what a workbook has that was just opened. */
  void show(ReportChoice kept) {
    choice.set(kept);
    made.set(null);
    again();
  }

  /** Takes another choice, and remembers it; undo returns to the one before. */
  public void choose(ReportChoice next) {
    ReportChoice before = choice.get();
    if (next.equals(before)) {
      return;
    }
    if (!open.readOnly()) {
      edits.did("Report changed", () -> keep(before));
    }
    keep(next);
  }

  private void keep(ReportChoice next) {
    choice.set(next);
    again();
    if (!open.readOnly()) {
      open.background(
          () -> {
            open.workbook().orElseThrow().reportChoice(next);
            return next;
          },
          done -> {});
    }
  }

  /** Lays it out anew, at once if one looks at it. */
  private void again() {
    long mine = asked.incrementAndGet();
    Judgement judgement = shelf.chosen().get();
    stale = true;
    if (at.stage().get() != StageName.REPORT
        || open.workbook().isEmpty()
        || judgement == null
        || judgement.unit().label().claims().isEmpty()) {
      progress.set(IDLE);
      return;
    }
    stale = false;
    progress.set(0);
    ReportChoice wanted = choice.get();
    ReaderUnits units = look.units().get();
    ReportSheets sheets = sheets(judgement);
    laying.execute(
        () -> {
          try {
            Optional<Report> report =
                sheets.made(
                    wanted,
                    share -> {
                      open.screen().later(() -> told(mine, share));
                      return mine == asked.get();
                    });
            if (report.isPresent()) {
              String html = new PageHtml(units).write(report.get());
              Made done = new Made(judgement.unit().id(), html, pdf(html));
              open.screen().later(() -> take(mine, done));
            }
          } catch (WorkbookException | IOException e) {
            LOG.warn("a report was given up", e);
            open.say("The report cannot be laid out: " + e.getMessage());
            open.screen().later(() -> told(mine, IDLE));
          }
        });
  }

  private ReportSheets sheets(Judgement judgement) {
    OnHand onHand = bench.onHand().get();
    return new ReportSheets(
        open.workbook().orElseThrow(),
        judgement,
        onHand,
        clock.instant(),
        ZoneId.systemDefault(),
        look.units().get());
  }

  private static byte[] pdf(String html) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PagePdf.write(html, out);
    return out.toByteArray();
  }

  private void told(long mine, double share) {
    if (mine == asked.get()) {
      progress.set(share);
    }
  }

  private void take(long mine, Made done) {
    if (mine == asked.get()) {
      progress.set(IDLE);
      made.set(done);
      Optional<Runnable> then = onceLaidOut;
      onceLaidOut = Optional.empty();
      then.ifPresent(Runnable::run);
    }
  }

  /** Ends what is being laid out; what was there before stays. */
  public void cancel() {
    asked.incrementAndGet();
    onceLaidOut = Optional.empty();
    stale = true;
    progress.set(IDLE);
  }

  /** A place that is proposed for what is saved. */
  public String proposed() {
    Judgement judgement = shelf.chosen().get();
    String name =
        judgement == null
            ? ""
            : judgement.unit().name().replaceAll("[^\\p{L}\\p{N} ._-]", "").strip();
    Path folder =
        open.workbook()
            .map(w -> w.file().toAbsolutePath().getParent())
            .orElse(Path.of(System.getProperty("user.home")));
    return folder.resolve((name.isEmpty() ? "page" : name) + ".pdf").toString();
  }

  /**
   * Where something is saved.
   *
   * @param typed with or without an ending
   * @param ending in its place
   * @return empty for what is no place; the tester is told
   */
  private Optional<Path> file(String typed, String ending) {
    String stem = typed.strip().replaceFirst("(?i)\\.(pdf|html|zip)$", "");
    if (stem.isEmpty()) {
      open.say("Type where it should go first.");
      return Optional.empty();
    }
    try {
      return Optional.of(Path.of(stem + ending));
    } catch (InvalidPathException e) {
      open.say("“" + typed + "” is no place for a file; change it.");
      return Optional.empty();
    }
  }

  /** Saves the report as it is on show. */
  public void save(String typed, boolean pdf) {
    Made page = made.get();
    if (progress.get() != IDLE) {
      onceLaidOut = Optional.of(() -> save(typed, pdf));
      open.say("The pages are still being laid out; they are saved as soon as they are.");
      return;
    }
    if (page == null) {
      open.say("There is no report to save yet.");
      return;
    }
    file(typed, pdf ? ".pdf" : ".html")
        .ifPresent(
            file -> written(file, pdf ? page.pdf() : page.html().getBytes(StandardCharsets.UTF_8)));
  }

  private void written(Path file, byte[] content) {
    open.background(() -> OpenWorkbook.written(file, content), open::say);
  }

  private Optional<Judgement> judged() {
    Judgement judgement = shelf.chosen().get();
    if (judgement == null) {
      open.say("Choose a unit first.");
    }
    return Optional.ofNullable(judgement);
  }

  /** Saves what the maker should hear, as PDF. */
  public void saveForMaker(String typed) {
    Optional<Judgement> judgement = judged();
    Optional<Path> file = file(typed, ", for its maker.pdf");
    if (judgement.isEmpty() || file.isEmpty()) {
      return;
    }
    ReportSheets sheets = sheets(judgement.get());
    ReaderUnits units = look.units().get();
    String paper = choice.get().paper();
    open.background(
        () ->
            OpenWorkbook.written(
                file.get(), pdf(new PageHtml(units).write(sheets.forItsMaker(paper)))),
        open::say);
  }

  /**
   * Saves the package others check.
   *
   * @param key file of the key it is signed with; empty for unsigned
   */
  public void savePackage(String typed, String key) {
    Optional<Judgement> judgement = judged();
    Optional<Path> file = file(typed, ".zip");
    if (judgement.isEmpty() || file.isEmpty()) {
      return;
    }
    Workbook workbook = open.workbook().orElseThrow();
    Instant now = clock.instant();
    open.background(
        () -> {
          try {
            Optional<Signing> signing =
                key.isBlank()
                    ? Optional.empty()
                    : Optional.of(Signing.in(Path.of(key.strip()), new SecureRandom()));
            UnitPackage.write(workbook, judgement.get(), file.get(), now, signing);
            return "Saved "
                + file.get()
                + signing
                    .map(s -> ", signed by the key " + s.fingerprint().substring(0, 16) + "…")
                    .orElse(", unsigned")
                + ".";
          } catch (IOException | InvalidPathException e) {
            return file.get()
                + " or the key could not be written or read. Check the folder, the permissions and"
                + " the space.";
          }
        },
        open::say);
  }

  /** When the first run of the chosen unit began, as the film's start is typed. */
  public String filmStart() {
    Judgement judgement = shelf.chosen().get();
    return judgement == null
        ? ""
        : judgement.runs().stream()
            .map(TestRun::run)
            .map(r -> r.startedAt())
            .reduce((a, b) -> b)
            .map(at -> MOMENT.format(at.atZone(ZoneId.systemDefault())))
            .orElse("");
  }

  /**
   * Saves captions, and a strip for each verdict.
   *
   * @param start when the film begins: a day and a time, or a time of the newest run's day
   */
  public void saveForFilm(String typed, String start) {
    Optional<Judgement> judgement = judged();
    Optional<Path> file = file(typed, "");
    Optional<Instant> begins = judgement.flatMap(j -> begins(start, j));
    if (judgement.isEmpty() || file.isEmpty() || begins.isEmpty()) {
      return;
    }
    Workbook workbook = open.workbook().orElseThrow();
    open.background(() -> film(workbook, judgement.get(), file.get(), begins.get()), open::say);
  }

  private static String film(Workbook workbook, Judgement judgement, Path stem, Instant begins) {
    Captions captions = FilmCaptions.of(workbook, judgement, begins);
    List<String> saved = new ArrayList<>();
    try {
      Path vtt = stem.resolveSibling(stem.getFileName() + ".vtt");
      WholeFile.write(vtt, captions.vtt().getBytes(StandardCharsets.UTF_8));
      Path srt = stem.resolveSibling(stem.getFileName() + ".srt");
      WholeFile.write(srt, captions.srt().getBytes(StandardCharsets.UTF_8));
      Path folder = Files.createDirectories(stem.resolveSibling(stem.getFileName() + " strips"));
      for (Map.Entry<String, LowerThird> strip : FilmCaptions.lowerThirds(judgement).entrySet()) {
        WholeFile.write(
            folder.resolve(strip.getKey() + ".svg"),
            strip.getValue().svg().getBytes(StandardCharsets.UTF_8));
        WholeFile.write(folder.resolve(strip.getKey() + ".png"), strip.getValue().png());
        saved.add(strip.getKey());
      }
      return captions.cues().isEmpty()
          ? "Nothing happened after the film began, so its captions are empty; check when it began."
          : "Saved "
              + captions.cues().size()
              + " captions in "
              + vtt
              + " and .srt, and "
              + saved.size()
              + " strips in "
              + folder
              + ".";
    } catch (IOException e) {
      return stem + " could not be written. Check the folder, the permissions and the space.";
    }
  }

  private Optional<Instant> begins(String typed, Judgement judgement) {
    ZoneId zone = ZoneId.systemDefault();
    String text = typed.strip();
    try {
      if (text.matches("\\d{1,2}:\\d{2}(:\\d{2})?")) {
        LocalDate day =
            judgement.runs().stream()
                .map(r -> LocalDate.ofInstant(r.run().startedAt(), zone))
                .reduce((a, b) -> b)
                .orElseGet(() -> LocalDate.now(clock));
        String time = text.indexOf(':') == 1 ? "0" + text : text;
        return Optional.of(LocalTime.parse(time).atDate(day).atZone(zone).toInstant());
      }
      return Optional.of(java.time.LocalDateTime.parse(text, MOMENT).atZone(zone).toInstant());
    } catch (DateTimeException e) {
      open.say("“" + typed + "” is no time; type 14:20:05, or 2026-05-04 14:20:05.");
      return Optional.empty();
    }
  }

  void close() {
    asked.incrementAndGet();
    laying.shutdownNow();
  }
}
