package org.wiseember.desktop.app;

import java.util.Locale;
import java.util.prefs.BackingStoreException;
import java.util.prefs.Preferences;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.desktop.model.Session;
import org.wiseember.report.look.Palette;

/**
 * How one person likes the window, from one start to the next: units, colours, size of text. It
 * belongs to the person and not to a workbook, so it is kept where the system keeps such things.
 */
public final class Remembered {
  private static final Logger LOG = LoggerFactory.getLogger(Remembered.class);
  private static final String UNITS = "units";
  private static final String DARK = "dark";
  private static final String TEXT = "text";

  private final Preferences kept;

  /**
   * Uses a place to keep it.
   *
   * @param kept of this person
   */
  public Remembered(Preferences kept) {
    this.kept = kept;
  }

  /** The place of whoever is logged in. */
  public static Remembered ofUser() {
    return new Remembered(Preferences.userRoot().node("wise-ember"));
  }

  /**
   * Sets a desk up as it was left, and keeps what is changed on it from now on.
   *
   * @param locale says what is usual where nothing was chosen yet
   */
  public void on(Session session, Locale locale) {
    session.look().units().set(units(locale));
    session.look().palette().set(kept.getBoolean(DARK, false) ? Palette.DARK : Palette.LIGHT);
    session.look().textScale().set(Math.max(1, Math.min(1.5, kept.getDouble(TEXT, 1))));
    session.look().units().addListener((o, was, is) -> keep(() -> kept.put(UNITS, is.words())));
    session
        .look()
        .palette()
        .addListener((o, was, is) -> keep(() -> kept.putBoolean(DARK, is.dark())));
    session
        .look()
        .textScale()
        .addListener((o, was, is) -> keep(() -> kept.putDouble(TEXT, is.doubleValue())));
  }

  private ReaderUnits units(Locale locale) {
    String words = kept.get(UNITS, null);
    try {
      return words == null ? ReaderUnits.of(locale) : ReaderUnits.named(words);
    } catch (IllegalArgumentException ofAnotherVersion) {
      LOG.warn("units not understood: {}", words);
      return ReaderUnits.of(locale);
    }
  }

  private void keep(Runnable put) {
    try {
      put.run();
      kept.flush();
    } catch (BackingStoreException | IllegalStateException e) {
      // A system that keeps nothing forgets it; nothing else depends on it.
      LOG.warn("not remembered", e);
    }
  }
}
