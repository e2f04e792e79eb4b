package org.wiseember.desktop.plan;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.core.solar.Site;
import org.wiseember.core.solar.SunDay;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.QuantityField;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;

/** Where the panels stand, which day is looked at, and how cold it gets. */
final class SiteForm extends VBox {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

  /** Any year with 365 days: only the day counts. */
  private static final int YEAR = 2023;

  private static final double PERCENT = 100;

  private final Session session;
  private final QuantityField coldest =
      new QuantityField("site-coldest", "Coldest morning", Unit.CELSIUS, 4);
  private final TextField latitude = Field.of("site-latitude", "Latitude, ° north", "", 4);
  private final TextField day = Field.of("site-day", "Day", "", 6);
  private final TextField tilt = Field.of("site-tilt", "Tilt, °", "", 3);
  private final TextField turned = Field.of("site-turned", "Turned west, °", "", 4);
  private final TextField clouds = Field.of("site-clouds", "Clouds, %", "", 3);
  private final QuantityField air = new QuantityField("site-air", "Air", Unit.CELSIUS, 3);
  private final Label trouble = Words.of("care", "");

  SiteForm(Session session) {
    this.session = session;
    getStyleClass().add("sheet");
    setSpacing(8);
    FlowPane row = new FlowPane(12, 6);
    for (TextField field : new TextField[] {coldest, latitude, day, tilt, turned, clouds, air}) {
      row.getChildren().add(field instanceof QuantityField q ? q.named() : Field.named(field));
      Field.whenTyped(field, this::keep);
    }
    Words.shown(trouble, false);
    getChildren().addAll(Words.of("heading", "Where they stand"), row, trouble);
    session.solar().panels().addListener((o, was, is) -> show());
    show();
  }

  private void show() {
    Site site = session.solar().panels().get().site();
    coldest.show(site.coldestCelsius());
    latitude.setText(text(site.day().latitude()));
    day.setText(
        DAY.format(LocalDate.ofYearDay(YEAR, Math.min(365, site.day().dayOfYear())))
            .replace(" " + YEAR, ""));
    tilt.setText(text(site.day().tilt()));
    turned.setText(text(site.day().turned()));
    clouds.setText(text(PERCENT * site.day().cloudiness()));
    air.show(site.airCelsius());
    Words.shown(trouble, false);
  }

  private static String text(double value) {
    return Figures.plain(value).replace("\u2009", "").replace('\u2212', '-');
  }

  private void keep() {
    PanelsOnHand now = session.solar().panels().get();
    Site old = now.site();
    try {
      SunDay sun =
          new SunDay(
              Field.number(latitude, -66, 66).orElse(old.day().latitude()),
              dayOfYear(old),
              Field.number(tilt, 0, 90).orElse(old.day().tilt()),
              Field.number(turned, -180, 180).orElse(old.day().turned()),
              Field.number(clouds, 0, PERCENT).orElse(PERCENT * old.day().cloudiness()) / PERCENT);
      Site site =
          new Site(
              sun,
              coldest.kept(-60, 60).orElse(old.coldestCelsius()),
              air.kept(-60, 60).orElse(old.airCelsius()));
      Words.shown(trouble, false);
      session.solar().keep(now.with(site), "Site changed");
    } catch (IllegalArgumentException e) {
      trouble.setText(e.getMessage());
      Words.shown(trouble, true);
    }
  }

  private int dayOfYear(Site old) {
    String typed = day.getText().strip();
    if (typed.isEmpty()) {
      return old.day().dayOfYear();
    }
    try {
      return LocalDate.parse(typed + " " + YEAR, DAY).getDayOfYear();
    } catch (DateTimeException e) {
      throw new IllegalArgumentException(
          "Day: “" + typed + "” is no day of the year; type it as “21 Jun”.", e);
    }
  }
}
