package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Clock;
import java.util.Map;
import java.util.function.Consumer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Correction;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.json.Records;
import org.wiseember.workbook.plan.CampaignNotes;

/** What the workbook keeps as JSON, written by others, by a later program, or by nobody. */
public class KeptNotesTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  /** Others name of a meter what its data sheet names. */
  @Test
  public void whatADataSheetDoesNotNameIsNothing() {
    RunSettings read =
        RunSettings.read(
            "{\"source\":\"file\",\"accuracy\":{\"ac_power\":{\"percentOfReading\":1.5}},"
                + "\"corrections\":{\"ac_power\":{\"offset\":0.5,"
                + "\"reference\":{\"percentOfReading\":0.2}}}}");
    assertEquals(read.accuracy(), Map.of(Channel.AC_POWER, MeterClass.ofReading(1.5, 0, 0)));
    assertEquals(
        read.corrections(),
        Map.of(Channel.AC_POWER, new Correction(1, 0.5, MeterClass.ofReading(0.2, 0, 0))));
    assertEquals(RunSettings.read(read.json()), read);
  }

  @Test
  public void whatALaterProgramKnowsIsPassedOver() {
    RunSettings read =
        RunSettings.read(
            "{\"source\":\"by-hand\",\"colour\":\"green\",\"accuracy\":{\"moonlight\":"
                + "{\"percentOfReading\":1},\"ac_power\":{\"percentOfReading\":1}}}");
    assertEquals(read.accuracy().keySet(), java.util.Set.of(Channel.AC_POWER));
    LineUpNotes notes =
        LineUpJson.read(
            "{\"units\":[3],\"weights\":{\"charm\":2},\"source\":\"sail\","
                + "\"answers\":{\"3\":{\"Quiet\":\"perhaps\",\"Light\":\"not-known\"}}}");
    assertEquals(notes.units(), java.util.List.of(3L));
    assertEquals(notes.answers().get(3L).keySet(), java.util.Set.of("Light"));
  }

  @Test
  public void noDecisionIsNone() throws Exception {
    assertEquals(TreatmentJson.read(JSON.readTree("null")), Treatment.NONE);
    assertEquals(TreatmentJson.read(JSON.readTree("{}")), Treatment.NONE);
    assertEquals(TreatmentJson.read(JSON.readTree("{}").path("treatment")), Treatment.NONE);
  }

  @DataProvider
  Object[][] damaged() {
    Consumer<String> settings = RunSettings::read;
    Consumer<String> lineUp = LineUpJson::read;
    Consumer<String> panels = PanelsJson::read;
    Consumer<String> treatment = TreatmentJson::read;
    Consumer<String> claims = ClaimJson::read;
    Consumer<String> plan = KeptNotesTest::plan;
    return new Object[][] {
      {settings, "{\"faults\":[null]}"},
      {settings, "{\"loads\":[60,null]}"},
      {settings, "{\"loads\":[\"many\"]}"},
      {settings, "{\"particulars\":{\"motor\":null}}"},
      {settings, "{\"corrections\":{\"ac_power\":{\"gain\":1}}}"},
      {settings, "{\"accuracy\":{\"ac_power\":null}}"},
      {settings, "null"},
      {settings, "[]"},
      {lineUp, "{\"mustHaves\":[null]}"},
      {lineUp, "{\"units\":[null]}"},
      {lineUp, "{\"parts\":{\"3\":[null]}}"},
      {lineUp, "{\"bills\":[{\"name\":\"May\"}]}"},
      {panels, "{\"panels\":[null],\"site\":{}}"},
      {panels, "{\"panels\":[]}"},
      {treatment, "{\"leftOut\":[null]}"},
      {treatment, "null"},
      {claims, "[null]"},
      {claims, "null"},
      {
        claims,
        "[{\"subject\":\"capacity\",\"direction\":\"at_least\",\"low\":1,\"conditions\":[{}]}]"
      },
      {plan, "{\"present\":[{\"from\":\"08:00\"}]}"},
      {plan, "{\"away\":[{\"thing\":\"meter\"}]}"},
      {plan, "{\"units\":[null]}"},
      {plan, "{\"begun\":{\"3\":{\"from\":10}}}"},
      {plan, "{\"charges\":{\"3\":{\"at\":\"2026-05-04T16:30:00Z\"}}}"},
      {plan, "{\"pins\":{\"3\":{\"ac-drain\":\"soon\"}}}"},
    };
  }

  /** As a workbook has them that somebody wrote into. */
  private static void plan(String json) {
    try {
      Path file = Files.createTempDirectory("ember-notes").resolve("notes.ember");
      Workbook.open(file, Clock.systemUTC()).close();
      try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + file);
          PreparedStatement s =
              other.prepareStatement("INSERT OR REPLACE INTO about VALUES ('campaign', ?)")) {
        s.setString(1, json);
        s.execute();
      }
      try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
        workbook.campaignNotes();
      }
    } catch (IOException | SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test(dataProvider = "damaged")
  public void whatMakesNoSenseIsOneSentence(Consumer<String> read, String json) {
    WorkbookException said =
        org.testng.Assert.expectThrows(WorkbookException.class, () -> read.accept(json));
    assertTrue(said.getMessage().endsWith("cannot be read."), said.getMessage());
  }

  /** A charge nobody read is no charge of nothing. */
  @Test
  public void aChargeWithoutAReadingIsRefused() {
    String kept = "{\"charges\":{\"3\":{\"at\":\"2026-05-04T16:30:00Z\"}}}";
    assertThrows(IllegalArgumentException.class, () -> Records.read(kept, CampaignNotes.class));
    CampaignNotes read =
        Records.read(kept.replace("\"at\"", "\"percent\":40,\"at\""), CampaignNotes.class);
    assertEquals(read.charges().get(3L).percent(), 40.0);
    assertEquals(Records.read(Records.write(read), CampaignNotes.class), read);
  }
}
