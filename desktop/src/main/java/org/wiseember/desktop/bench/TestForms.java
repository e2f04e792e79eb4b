package org.wiseember.desktop.bench;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.tried.TriedSetup;
import org.wiseember.core.start.Nameplate;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Desk;
import org.wiseember.trial.test.drain.DrainLoad;
import org.wiseember.trial.test.heat.SoundDistance;
import org.wiseember.trial.test.realload.RealLoadTest;
import org.wiseember.trial.test.realload.RealLoads;
import org.wiseember.trial.test.soak.SoakLoad;
import org.wiseember.trial.test.solar.Arrangements;
import org.wiseember.trial.test.solar.SolarTrialTest;
import org.wiseember.trial.test.start.StartsSettings;
import org.wiseember.trial.test.usb.UsbUse;

/** What a test asks for beside loads, by the key of the test: a form each, or none. */
public final class TestForms {
  /** Where testers put a sound meter, m. */
  private static final double[] METRES = {0.3, 0.5, 1, 2};

  private static final double MOST_WATTS = 100_000;

  /** A fortnight. */
  private static final double LONGEST_SOAK_HOURS = 336;

  private TestForms() {}

  /** The forms there are. */
  static Map<String, Function<Desk, Node>> all() {
    Map<String, Function<Desk, Node>> forms = new LinkedHashMap<>();
    forms.put(Drain.AC, TestForms::drainLoad);
    forms.put(MotorStarts.KIND, TestForms::motor);
    forms.put(ByHand.USB, TestForms::usb);
    forms.put(HeatNoise.KIND, TestForms::distance);
    forms.put(Charge.KIND, ChargeForm::new);
    forms.put(Watching.KIND, TestForms::soak);
    forms.put(
        SolarTrialTest.KIND,
        desk ->
            lines(
                taken(desk, Arrangements.USUAL),
                "arrangements",
                "Arrangements, a line each",
                Arrangements::of,
                Arrangements::text,
                TriedSetup::read,
                TriedSetup::saidBack));
    forms.put(
        RealLoadTest.KIND,
        desk ->
            lines(
                taken(desk, RealLoads.USUAL),
                "real-loads",
                "What you will do, a line each",
                RealLoads::of,
                RealLoads::text,
                Function.identity(),
                line -> ""));
    return forms;
  }

  /** The load of a drain: schools differ, and the choice is shown. */
  private static Node drainLoad(Desk desk) {
    ObjectProperty<DrainLoad> taken = taken(desk, DrainLoad.USUAL);
    Map<DrainLoad.Way, String> words = new LinkedHashMap<>();
    Arrays.stream(DrainLoad.Way.values()).forEach(w -> words.put(w, w.words()));
    ObjectProperty<DrainLoad.Way> way = new SimpleObjectProperty<>(taken.get().way());
    TextField own = new TextField();
    own.setId("drain-own-watts");
    own.setPromptText("598 W");
    own.setAccessibleText("My own load, watts");
    own.setPrefColumnCount(6);
    Runnable take = () -> taken.set(new DrainLoad(way.get(), number(own, MOST_WATTS)));
    way.addListener((o, was, is) -> take.run());
    own.textProperty().addListener((o, was, is) -> take.run());
    own.visibleProperty().bind(way.isEqualTo(DrainLoad.Way.OWN));
    own.managedProperty().bind(own.visibleProperty());
    FlowPane row = Choices.row("Load", "drain-load-", words, way);
    row.getChildren().add(own);
    return row;
  }

  /**
   * Things to try, a line each in the tester's own words, with what was understood said back.
   *
   * @param read takes the whole text
   * @param text gives it back
   * @param line understands one line
   * @param said says what was understood of it
   */
  private static <T, L> Node lines(
      ObjectProperty<T> taken,
      String id,
      String name,
      Function<String, T> read,
      Function<T, String> text,
      Function<String, L> line,
      Function<L, String> said) {
    TextArea area = Field.lines(id, name, text.apply(taken.get()), 6);
    Label echo = Words.of("quiet", "");
    Runnable sayBack =
        () ->
            echo.setText(
                area.getText()
                    .lines()
                    .filter(l -> !l.isBlank())
                    .map(l -> said.apply(line.apply(l)))
                    .collect(Collectors.joining("\n")));
    area.textProperty()
        .addListener(
            (o, was, is) -> {
              taken.set(read.apply(is));
              sayBack.run();
            });
    sayBack.run();
    HBox both = new HBox(12, area, echo);
    HBox.setHgrow(area, Priority.ALWAYS);
    HBox.setHgrow(echo, Priority.ALWAYS);
    echo.setMinWidth(0);
    echo.setMaxWidth(Double.MAX_VALUE);
    both.setFillHeight(true);
    return new VBox(6, Words.line("strong", name), both);
  }

  private static Node soak(Desk desk) {
    ObjectProperty<SoakLoad> taken = taken(desk, SoakLoad.USUAL);
    Map<SoakLoad.Output, String> words = new LinkedHashMap<>();
    Arrays.stream(SoakLoad.Output.values()).forEach(o -> words.put(o, o.words()));
    ObjectProperty<SoakLoad.Output> output = new SimpleObjectProperty<>(taken.get().output());
    TextField watts = field("soak-watts", "Watts left on", Figures.plain(taken.get().watts()));
    TextField hours = field("soak-hours", "For how many hours", Figures.plain(taken.get().hours()));
    Runnable take =
        () -> {
          double w = number(watts, MOST_WATTS);
          double h = number(hours, LONGEST_SOAK_HOURS);
          if (w > 0 && h > 0) {
            taken.set(new SoakLoad(output.get(), w, h));
          }
        };
    output.addListener((o, was, is) -> take.run());
    watts.textProperty().addListener((o, was, is) -> take.run());
    hours.textProperty().addListener((o, was, is) -> take.run());
    FlowPane row = Choices.row("On", "soak-on-", words, output);
    row.getChildren().addAll(watts, Words.line("quiet", "W"), hours, Words.line("quiet", "h"));
    return row;
  }

  private static TextField field(String id, String name, String text) {
    TextField field = new TextField(text);
    field.setId(id);
    field.setAccessibleText(name);
    field.setPrefColumnCount(5);
    return field;
  }

  /** As typed in any notation; NaN for none, and for what may be two. */
  private static double number(TextField field, double most) {
    try {
      return Field.number(field, 0, most).orElse(Double.NaN);
    } catch (IllegalArgumentException notYet) {
      return Double.NaN;
    }
  }

  private static Node motor(Desk desk) {
    return new MotorForm(taken(desk, StartsSettings.usualMotor()), "motor-");
  }

  /** A thing on hand as a property that follows its form; {@code usual} until one is taken up. */
  private static <T> ObjectProperty<T> taken(Desk desk, T usual) {
    @SuppressWarnings("unchecked")
    Class<T> type = (Class<T>) usual.getClass();
    ObjectProperty<T> property =
        new SimpleObjectProperty<>(desk.bench().onHand().get().find(type).orElse(usual));
    property.addListener((o, was, is) -> desk.bench().have(is));
    return property;
  }

  /** The motor on hand, which a question about it begins with. */
  public static Nameplate motorOnHand(Desk desk) {
    return desk.bench().onHand().get().find(Nameplate.class).orElseGet(StartsSettings::usualMotor);
  }

  private static Node usb(Desk desk) {
    Map<UsbTester, String> words = new LinkedHashMap<>();
    Arrays.stream(UsbTester.values()).forEach(t -> words.put(t, t.words()));
    Map<UsbUse, String> uses = new LinkedHashMap<>();
    Arrays.stream(UsbUse.values()).forEach(u -> uses.put(u, u.words()));
    return new VBox(
        6,
        Choices.row("Asked of", "usb-use-", uses, taken(desk, UsbUse.PORT)),
        Choices.row("Asked with", "usb-", words, taken(desk, UsbTester.FIVE_VOLT)));
  }

  private static Node distance(Desk desk) {
    ObjectProperty<SoundDistance> taken = taken(desk, SoundDistance.USUAL);
    Map<Double, String> words = new LinkedHashMap<>();
    for (double metres : METRES) {
      words.put(metres, Figures.plain(metres, Unit.METRE));
    }
    ObjectProperty<Double> metres = new SimpleObjectProperty<>(taken.get().metres());
    metres.addListener((o, was, is) -> taken.set(new SoundDistance(is)));
    return Choices.row("Sound meter at", "metres-", words, metres);
  }
}
