package org.wiseember.trial.byhand;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipFile;
import org.testng.annotations.Test;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.trace.Channel;
import org.wiseember.trial.publish.PackageCheck;
import org.wiseember.trial.publish.UnitPackage;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Workbook;

/** What a person read and pressed goes out, and anybody works the same figures out of it. */
public class HandPackageTest {
  private static final Instant BEGAN = Instant.parse("2026-05-04T16:30:00Z");
  private static final Clock CLOCK = Clock.fixed(BEGAN, ZoneOffset.UTC);

  private static Tester drained(Label label) {
    Tester tester = new Tester(label, Tester.plan(Drain.AC, label), 3);
    tester.writeSurely("100 %, 0 Wh");
    tester.set(SetPoints.WHOLE_LOAD);
    tester.pass(1);
    tester.press(OperatorEvent.LOAD_ON);
    double looked = tester.now();
    while (tester.alive()) {
      tester.pass(5);
      if (tester.alive() && tester.now() - looked > 900) {
        looked = tester.now();
        tester.writeSurely(
            Tester.figure(tester.shown(Channel.AC_ENERGY), 0)
                + " Wh, "
                + Tester.watts(tester.shown(Channel.AC_POWER)));
      }
    }
    tester.press(OperatorEvent.DROPPED_OUT);
    tester.writeSurely(Tester.figure(tester.shown(Channel.AC_ENERGY), 0) + " Wh");
    tester.press(OperatorEvent.DONE);
    return tester;
  }

  @Test
  public void aDrainByHandVerifies() throws IOException {
    Label label = Label.read("Capacity 500 Wh\nAC out 230 V 400 W");
    Path folder = Files.createTempDirectory("hand-package");
    try (Workbook workbook = Workbook.open(folder.resolve("hand.ember"), CLOCK)) {
      long unit = workbook.units().add("Stall unit").id();
      workbook.units().label(unit, label.text(), List.of());
      drained(label).keepIn(workbook, unit, BEGAN);
      Judgement judgement = Judgement.of(workbook, workbook.units().byId(unit).orElseThrow(), true);
      Judged capacity =
          judgement.lines().stream()
              .filter(l -> l.claim().subject() == Subject.CAPACITY)
              .findFirst()
              .orElseThrow();
      assertTrue(capacity.figure().isPresent(), "the drain gave a figure");
      Path zip = folder.resolve("hand.zip");
      UnitPackage.write(workbook, judgement, zip, BEGAN, Optional.empty());
      PackageCheck check = PackageCheck.of(zip, CLOCK);
      assertTrue(check.good(), check.toString());
      assertEquals(check.verdicts().get(0).here().orElseThrow(), capacity.figure().get().value());
      try (ZipFile packed = new ZipFile(zip.toFile())) {
        String typed =
            new String(
                packed.getInputStream(packed.getEntry("runs/1/typed.csv")).readAllBytes(),
                java.nio.charset.StandardCharsets.UTF_8);
        assertTrue(typed.startsWith("time [s],"), typed);
        assertTrue(typed.contains("ac_energy [Wh]"), typed);
        assertTrue(typed.lines().count() > 3, typed);
      }
    }
  }
}
