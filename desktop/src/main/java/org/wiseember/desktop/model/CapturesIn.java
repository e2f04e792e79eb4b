package org.wiseember.desktop.model;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Subject;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.WaveformUnreadable;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.wave.CapturedWaves;
import org.wiseember.trial.wave.Wave;
import org.wiseember.trial.wave.WaveFiles;
import org.wiseember.workbook.CaptureFiles;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.comtrade.ComtradeReader;
import org.wiseember.workbook.comtrade.ComtradeWriter;
import org.wiseember.workbook.comtrade.DataFormat;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.ReadCapture;

/** Captured waves that come from files and go to files. */
public final class CapturesIn {
  /** A table sampled faster than this is a wave, not a log, samples a second. */
  private static final double WAVE_RATE = 400;

  private static final int WAVE_SAMPLES = 100;

  /** No larger table is looked into for a wave. */
  private static final long LOOKED_INTO = 64L << 20;

  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at;
  private final Clock clock;
  private final Edits edits;
  private final ObjectProperty<CaptureDraft> draft = new SimpleObjectProperty<>();

  CapturesIn(OpenWorkbook open, UnitShelf shelf, Navigation at) {
    this.open = open;
    this.shelf = shelf;
    this.at = at;
    this.clock = open.clock();
    this.edits = open.edits();
  }

  /** The capture that is being looked at; null while there is none. */
  public ObjectProperty<CaptureDraft> draft() {
    return draft;
  }

  /** Whether a file holds a wave rather than a log. Reads it; not for the interface thread. */
  static boolean isWave(Path file) {
    if (ComtradeReader.reads(file)) {
      return true;
    }
    try {
      if (!Files.isRegularFile(file) || Files.size(file) > LOOKED_INTO) {
        return false;
      }
      Capture c = CaptureFiles.read(file, OptionalDouble.empty(), Optional.empty(), 1).capture();
      return c.perSecond() >= WAVE_RATE && c.size() >= WAVE_SAMPLES;
    } catch (LogUnreadable | IOException e) {
      return false;
    }
  }

  /**
   * Looks at a file.
   *
   * @param channel to take for the volts; blank for the first that has volts
   */
  public void look(Path file, String channel) {
    if (shelf.chosen().get() == null) {
      open.say("A capture belongs to a unit. Add the unit first, then read its capture in.");
      return;
    }
    Optional<String> named = channel.isBlank() ? Optional.empty() : Optional.of(channel.strip());
    open.background(
        () -> {
          try {
            ReadCapture read = CaptureFiles.read(file, OptionalDouble.empty(), named, 1);
            return new CaptureDraft(file, read, WaveFiles.looked(read.capture()));
          } catch (LogUnreadable e) {
            open.say(e.getMessage());
          } catch (WaveformUnreadable e) {
            open.say(file.getFileName() + ": " + e.getMessage());
          } catch (IOException e) {
            open.say(file.getFileName() + " cannot be read. Check the disk it lies on.");
          }
          return null;
        },
        found -> {
          if (found != null) {
            draft.set(found);
          }
        });
  }

  /** Lets the capture be. */
  public void forget() {
    draft.set(null);
  }

  /** The run a kept capture goes into: the newest of the unit's made of files, else a new one. */
  public Optional<CapturedWaves> into() {
    Judgement judgement = shelf.chosen().get();
    return judgement == null
        ? Optional.empty()
        : judgement.runs().stream()
            .filter(CapturedWaves.class::isInstance)
            .map(CapturedWaves.class::cast)
            .filter(r -> r.run().settings().source() != RunSettings.Source.SIMULATED)
            .reduce((a, b) -> b);
  }

  /**
   * Keeps the capture that is looked at, and shows its run.
   *
   * @param note what it is of
   * @param ratio of probe and transformer; volts are multiplied by it
   */
  public void keep(CaptureNote note, double ratio) {
    CaptureDraft from = draft.get();
    Judgement judgement = shelf.chosen().get();
    if (from == null || judgement == null || open.refuseWhenReadOnly()) {
      return;
    }
    long unitId = judgement.unit().id();
    double volts =
        judgement.unit().label().claim(Subject.OUTPUT_VOLTAGE).map(Claim::figure).orElse(0.0);
    Optional<CapturedWaves> run = into();
    String name = String.valueOf(from.file().getFileName());
    record Kept(long run, long capture, boolean fresh) {}
    open.background(
        () -> {
          Workbook workbook = open.workbook().orElseThrow();
          StoredCapture capture =
              new StoredCapture(Double.NaN, note, scaled(from.read().capture(), ratio));
          long[] keys = new long[2];
          workbook.allOrNothing(
              () -> {
                keys[0] =
                    run.map(r -> r.run().id())
                        .orElseGet(
                            () -> WaveFiles.run(workbook, unitId, volts, name, clock.instant()));
                keys[1] = workbook.captures().keep(keys[0], capture);
              });
          return new Kept(keys[0], keys[1], run.isEmpty());
        },
        kept -> {
          draft.set(null);
          edits.did(
              "Capture imported", () -> away(unitId, kept.run(), kept.capture(), kept.fresh()));
          at.shownRun().set(kept.run());
          shelf.show(unitId);
          at.stage().set(StageName.EVIDENCE);
          open.say(
              note.words()
                  + ": "
                  + from.read().capture().size()
                  + " samples imported from "
                  + name
                  + ". Ctrl+Z takes it away again.");
        });
  }

  private void away(long unitId, long runId, long captureId, boolean fresh) {
    open.background(
        () -> {
          Workbook workbook = open.workbook().orElseThrow();
          if (fresh) {
            workbook.runs().removed(runId, true);
          } else {
            workbook.captures().struck(captureId, true);
          }
          return unitId;
        },
        id -> shelf.refresh(id));
  }

  private static Capture scaled(Capture c, double ratio) {
    double[] v = c.volts();
    for (int i = 0; i < v.length; i++) {
      v[i] *= ratio;
    }
    return c.hasAmps() ? Capture.of(c.perSecond(), v, c.amps()) : Capture.of(c.perSecond(), v);
  }

  /** Writes a capture as a COMTRADE record beside the workbook. */
  public void save(Run run, Wave wave, DataFormat format) {
    Judgement judgement = shelf.chosen().get();
    String unit = judgement == null ? "unit" : judgement.unit().name();
    open.background(
        () -> {
          String safe =
              (unit + ", run " + run.id() + ", " + wave.kept().words())
                  .replace('\u2009', ' ')
                  .replaceAll("[^\\p{L}\\p{N} ._,-]", "_");
          Path file =
              open.workbook().orElseThrow().file().toAbsolutePath().resolveSibling(safe + ".cfg");
          try {
            ComtradeWriter.write(
                wave.kept().capture(),
                unit + " " + wave.kept().words(),
                wave.finding().map(f -> f.frequency().value()).orElse(50.0),
                format,
                file);
            return "Saved as " + file + " with its .dat beside it.";
          } catch (IOException e) {
            return file + " cannot be written. Check the folder and the space on the disk.";
          }
        },
        open::say);
  }
}
