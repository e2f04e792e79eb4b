package org.wiseember.desktop.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.start.Nameplate;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.onhand.Ask;
import org.wiseember.trial.onhand.ChargeSetting;
import org.wiseember.trial.onhand.MotorOnHand;

/** What a test asks for beside loads, drawn from what it declares; answers are taken as typed. */
public final class TestForms {
  /** What has more to it than a row: by the key of what is asked. */
  private static final Map<String, Function<Session, Node>> OWN =
      Map.of(MotorOnHand.ASK.key(), TestForms::motor, ChargeSetting.ASK.key(), ChargeForm::new);

  private final Session session;
  private final Pane form = new VBox(6);
  private final Map<String, ObjectProperty<?>> answers = new LinkedHashMap<>();

  private TestForms(Session session) {
    this.session = session;
  }

  /** The form of a test; empty where it asks for nothing. */
  static Optional<Node> of(TestType test, Session session) {
    TestForms forms = new TestForms(session);
    test.declaration().asks().forEach(forms::add);
    return forms.form.getChildren().isEmpty() ? Optional.empty() : Optional.of(forms.form);
  }

  /** Until a motor is named, the one offered is for the volts of the unit. */
  private static Node motor(Session session) {
    MotorForm form =
        new MotorForm(
            answered(session, MotorOnHand.ASK, motorOnHand(session)),
            "motor-",
            trouble -> session.bench().trouble(MotorOnHand.ASK, trouble));
    session
        .shelf()
        .chosen()
        .addListener(
            (o, was, is) -> {
              if (session.bench().onHand().get().given(MotorOnHand.ASK).isEmpty()) {
                form.show(motorOnHand(session));
              }
            });
    return form;
  }

  /** An answer as a property: what is set there is on hand. */
  private static <T> ObjectProperty<T> answered(Session session, Ask<T> ask) {
    return answered(session, ask, session.bench().onHand().get().answer(ask));
  }

  private static <T> ObjectProperty<T> answered(Session session, Ask<T> ask, T now) {
    ObjectProperty<T> property = new SimpleObjectProperty<>(now);
    property.addListener((o, was, is) -> session.bench().have(ask, is));
    return property;
  }

  private void add(Ask<?> ask) {
    if (ask instanceof Ask.OneOf<?> one) {
      choice(one);
    } else if (ask instanceof Ask.Amount amount) {
      amount(amount);
    } else if (ask instanceof Ask.Lines lines) {
      lines(lines);
    } else {
      form.getChildren().add(OWN.get(ask.key()).apply(session));
    }
  }

  private <T> void choice(Ask.OneOf<T> ask) {
    Map<T, String> words = new LinkedHashMap<>();
    ask.values().forEach(v -> words.put(v, ask.names().apply(v)));
    ObjectProperty<T> answer = answered(session, ask);
    answers.put(ask.key(), answer);
    form.getChildren().add(Choices.row(ask.words(), ask.key() + "-", words, answer));
  }

  /** Stands in the row of the choice before it. */
  private void amount(Ask.Amount ask) {
    double usual = session.bench().onHand().get().answer(ask);
    TextField field =
        Field.of(ask.key(), ask.words(), Double.isNaN(usual) ? "" : Figures.plain(usual), 6);
    Label unit = Words.line("quiet", ask.symbol());
    Label trouble = Words.of("care", "");
    Words.shown(trouble, false);
    field
        .textProperty()
        .addListener(
            (o, was, is) -> {
              try {
                session
                    .bench()
                    .have(ask, Field.number(field, ask.least(), ask.most()).orElse(ask.usual()));
                trouble.setText("");
              } catch (IllegalArgumentException notYet) {
                trouble.setText(notYet.getMessage());
              }
              Words.shown(trouble, !trouble.getText().isEmpty());
              session.bench().trouble(ask, trouble.getText());
            });
    ask.only()
        .ifPresent(
            only -> {
              var shown = answers.get(only.ask().key()).isEqualTo(only.value());
              field.visibleProperty().bind(shown);
              field.managedProperty().bind(shown);
              unit.visibleProperty().bind(shown);
              unit.managedProperty().bind(shown);
            });
    row().getChildren().addAll(field, unit, trouble);
  }

  private Pane row() {
    int last = form.getChildren().size() - 1;
    if (last >= 0 && form.getChildren().get(last) instanceof FlowPane row) {
      return row;
    }
    FlowPane row = new FlowPane(6, 6);
    form.getChildren().add(row);
    return row;
  }

  /** A line each in the tester's own words, with what was understood said back beside it. */
  private void lines(Ask.Lines ask) {
    ObjectProperty<List<String>> answer = answered(session, ask);
    TextArea area = Field.lines(ask.key(), ask.words(), String.join("\n", answer.get()), 6);
    Label echo = Words.of("quiet", "");
    Runnable sayBack =
        () ->
            echo.setText(
                ask.read(area.getText()).stream()
                    .map(ask.saidBack())
                    .collect(Collectors.joining("\n")));
    area.textProperty()
        .addListener(
            (o, was, is) -> {
              answer.set(ask.read(is));
              sayBack.run();
            });
    sayBack.run();
    HBox both = new HBox(12, area, echo);
    HBox.setHgrow(area, Priority.ALWAYS);
    HBox.setHgrow(echo, Priority.ALWAYS);
    echo.setMinWidth(0);
    echo.setMaxWidth(Double.MAX_VALUE);
    both.setFillHeight(true);
    form.getChildren().add(new VBox(6, Words.line("strong", ask.words()), both));
  }

  /** The motor on hand, which a question about it begins with. */
  public static Nameplate motorOnHand(Session session) {
    double volts =
        Optional.ofNullable(session.shelf().chosen().get())
            .map(j -> FromLabel.volts(j.unit().label()))
            .orElse(MotorOnHand.ASK.usual().volts());
    return MotorOnHand.of(session.bench().onHand().get(), volts);
  }
}
