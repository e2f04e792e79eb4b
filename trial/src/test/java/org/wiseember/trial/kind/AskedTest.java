package org.wiseember.trial.kind;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.label.Label;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.trial.live.Known;

/** What a finding asked for says for how long it stands. */
public class AskedTest {
  private static final String LABEL = "1000 Wh LFP\n230 V, 800 W\nSolar 12-60 V, 10 A\n5 kg";

  private record Known(Label label, Optional<Estimate> usableWattHours) implements UnitFindings {
    @Override
    public List<TestRun> runs() {
      return List.of();
    }
  }

  private static UnitFindings unit(String label) {
    return new Known(Label.read(label), Optional.of(new Estimate(900, 9)));
  }

  @DataProvider
  public Object[][] questions() {
    Consumer<Inquiry> energy = Inquiry::ratedWattHours;
    Consumer<Inquiry> power = Inquiry::ratedWatts;
    Consumer<Inquiry> volts = Inquiry::outputVolts;
    Consumer<Inquiry> inputs = Inquiry::inputs;
    return new Object[][] {
      {energy, "1000 Wh", "1001 Wh"},
      {power, "800 W", "850 W"},
      {volts, "230 V", "120 V"},
      {inputs, "12-60 V", "12-50 V"},
      {inputs, "10 A", "12 A"},
    };
  }

  /** A change of what was asked is noticed, and of nothing else. */
  @Test(dataProvider = "questions")
  public void noticesWhatWasAskedForAndNothingElse(
      Consumer<Inquiry> question, String printed, String changed) {
    Inquiry asked = new Inquiry(unit(LABEL));
    question.accept(asked);
    Map<String, String> answers = asked.answers();
    assertEquals(answers.size(), 1);
    assertTrue(Inquiry.same(answers, unit(LABEL)));
    assertTrue(
        Inquiry.same(answers, unit(LABEL.replace("5 kg", "6 kg"))), "nobody asked the weight");
    assertFalse(Inquiry.same(answers, unit(LABEL.replace(printed, changed))), changed);
  }

  /** What is on the label no longer, or not yet, is another answer too. */
  @Test
  public void aMissingFigureIsAnAnswer() {
    Inquiry asked = new Inquiry(unit("LFP"));
    assertTrue(Double.isNaN(asked.ratedWattHours()));
    assertTrue(Inquiry.same(asked.answers(), unit("LFP\n5 kg")));
    assertFalse(Inquiry.same(asked.answers(), unit(LABEL)));
  }

  /** What other runs found is asked for as the label is. */
  @Test
  public void otherRunsAreAskedToo() {
    Inquiry asked = new Inquiry(unit(LABEL));
    assertEquals(asked.usableWattHours(), Optional.of(new Estimate(900, 9)));
    assertEquals(asked.offered("usable_ac_energy"), List.of());
    assertEquals(asked.answers().keySet(), Set.of("usable energy", "offered usable_ac_energy"));
    assertTrue(Inquiry.same(asked.answers(), unit(LABEL)));
    UnitFindings other = new Known(Label.read(LABEL), Optional.of(new Estimate(900, 8)));
    assertFalse(Inquiry.same(asked.answers(), other), "it is surer now");
  }

  /** Nothing asked stands for ever; a question of another program never does. */
  @Test
  public void whatNobodyKnowsDoesNotStand() {
    assertTrue(Inquiry.same(Map.of(), unit(LABEL)));
    assertFalse(Inquiry.same(Map.of("a colour", "0"), unit(LABEL)));
    assertFalse(Inquiry.same(Map.of("rated energy", "not a checksum"), unit(LABEL)));
  }
}
