package org.wiseember.desktop.bench;

import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.TextFormatter;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.onhand.ChargeSetting;

/** What a unit is charged from: one source or several, and the panels that were chosen for it. */
final class ChargeForm extends VBox {
  private static final double LEAST_USB = 5;
  private static final double MOST_USB = 240;

  private final Session session;
  private final Label panels = Words.of("quiet", "");
  private final Label trouble = Words.of("care", "");
  private final HBox usb;
  private final HBox sun;

  ChargeForm(Session session) {
    this.session = session;
    setSpacing(6);
    FlowPane row = new FlowPane(6, 6);
    row.getChildren().add(Words.line("strong", "Charged from"));
    for (ChargeSource source : ChargeSource.values()) {
      row.getChildren().add(button(source));
    }
    var toPanels =
        Words.button("action", "To the panels", () -> session.at().stage().set(StageName.PLAN));
    toPanels.setId("to-panels");
    sun = new HBox(12, panels, toPanels);
    sun.setStyle("-fx-alignment: center-left;");
    usb = usb();
    getChildren().addAll(row, slowed(), sun, usb);
    session.bench().onHand().addListener((o, was, is) -> show());
    show();
  }

  private ChargeSetting setting() {
    return session.bench().onHand().get().answer(ChargeSetting.ASK);
  }

  private ToggleButton button(ChargeSource source) {
    String words = source.words();
    ToggleButton button =
        new ToggleButton(Character.toUpperCase(words.charAt(0)) + words.substring(1));
    button.getStyleClass().setAll("toggle-button", "choice");
    button.setId("from-" + source);
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setSelected(setting().sources().contains(source));
    button.setOnAction(
        e -> {
          ChargeSetting now = setting();
          session
              .bench()
              .have(
                  ChargeSetting.ASK,
                  button.isSelected() ? now.adding(source) : now.without(source));
          if (source == ChargeSource.SOLAR) {
            wireTheBest();
          }
          // The last source does not let go.
          button.setSelected(setting().sources().contains(source));
        });
    session
        .bench()
        .onHand()
        .addListener((o, was, is) -> button.setSelected(setting().sources().contains(source)));
    return button;
  }

  /** Where no panels were chosen in the plan, the best way to wire those on hand is taken. */
  private void wireTheBest() {
    PanelsOnHand onHand = session.solar().panels().get();
    ChargeSetting now = setting();
    if (now.panels().isPresent()
        || onHand.lots().isEmpty()
        || session.shelf().chosen().get() == null) {
      return;
    }
    LabelInputs.port(session.shelf().chosen().get().unit().label())
        .ifPresent(
            port ->
                session
                    .solar()
                    .ways(
                        port,
                        ways ->
                            ways.stream()
                                .filter(w -> w.fullSunWatts() > 0)
                                .findFirst()
                                .ifPresent(
                                    w ->
                                        session
                                            .bench()
                                            .have(
                                                ChargeSetting.ASK,
                                                setting().with(w.arrangement(), onHand.site())))));
  }

  /** A unit that was told to be slow breaks no promise by it. */
  private HBox slowed() {
    TextField set =
        Field.of("charge-setting", "Unit set to, if not its fastest", setting().slowed(), 14);
    set.setPromptText("such as slow, eco, 400 W");
    Field.whenTyped(
        set, () -> session.bench().have(ChargeSetting.ASK, setting().set(set.getText())));
    session
        .bench()
        .onHand()
        .addListener(
            (o, was, is) -> {
              if (!set.isFocused()) {
                set.setText(setting().slowed());
              }
            });
    set.setTextFormatter(
        new TextFormatter<String>(
            c -> c.getControlNewText().length() > ChargeSetting.LONGEST ? null : c));
    return Field.named(set);
  }

  private HBox usb() {
    TextField watts =
        Field.of("usb-charger", "USB-C charger gives, W", Figures.plain(setting().usbWatts()), 4);
    Field.whenTyped(
        watts,
        () -> {
          try {
            double gives = Field.number(watts, LEAST_USB, MOST_USB).orElse(ChargeSetting.USUAL_USB);
            session.bench().have(ChargeSetting.ASK, setting().withUsb(gives));
            trouble.setText("");
          } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
          }
          show();
        });
    return new HBox(12, Field.named(watts), trouble);
  }

  private void show() {
    ChargeSetting setting = setting();
    Words.shown(sun, setting.sources().contains(ChargeSource.SOLAR));
    boolean throughUsb = setting.through(Inlet.USB_C);
    Words.shown(usb, throughUsb);
    Words.shown(trouble, !trouble.getText().isEmpty());
    // What stands in a charger's field says nothing where none is used.
    session.bench().trouble(ChargeSetting.ASK, throughUsb ? trouble.getText() : "");
    panels.setText(
        setting
            .panels()
            .map(p -> "Panels: " + p.words() + ", as chosen in the plan.")
            .orElse("No panels chosen yet. Choose a way to wire them in the plan."));
  }
}
