package org.wiseember.core.label;

import static org.wiseember.core.label.LabelWords.Aspect;
import static org.wiseember.core.label.LabelWords.Part;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.label.LabelLexer.Mark;
import org.wiseember.core.label.LabelLexer.Measure;
import org.wiseember.core.quantity.Figures;

/**
 * Reads a label line by line, as printed. Tolerant: many spellings, several claims in a line, signs
 * and units where the printer put them. What it cannot place it leaves alone; what cannot be it
 * asks about.
 */
public final class LabelReader {
  /** Assumed around a nominal output voltage when the label prints no tolerance, %. */
  static final double VOLTAGE_TOLERANCE = 5;

  /** Assumed around a nominal frequency when the label prints no tolerance, %. */
  static final double FREQUENCY_TOLERANCE = 1;

  /** Longest line looked at; no printed label has longer ones. */
  static final int LONGEST_LINE = 500;

  private static final Pattern PIECES =
      Pattern.compile("(?<!\\d),|,(?!\\d)|[;|()\\[\\]·•]|\\s\\+\\s|\\s&\\s|\\s/\\s(?=[a-z])");

  private static final Pattern AT_BEFORE = Pattern.compile("(?:\\bat|@)\\s*(?:about\\s*)?$");
  private static final Pattern FOR_BEFORE = Pattern.compile("(?:\\bfor|within|,)\\s*$");
  private static final Pattern LESS =
      Pattern.compile("(?:less than|below|under|not (?:more|over)[^0-9]*|at most)\\s*$");
  private static final Pattern MORE =
      Pattern.compile("(?:more than|over|above|at least|min\\.?|minimum|not less[^0-9]*)\\s*$");

  /** Reads one line. Never throws: whatever is typed is one of the four readings. */
  public LineReading readLine(String line) {
    if (line.isBlank()) {
      return new LineReading.Blank(line);
    }
    Line reading = new Line(line);
    reading.read();
    if (reading.problem != null) {
      return new LineReading.Doubtful(line, reading.problem, reading.claims);
    }
    return reading.claims.isEmpty()
        ? new LineReading.NoClaim(line)
        : new LineReading.Understood(line, reading.claims);
  }

  /** Unicode and spelling variants brought to one form. */
  static String tidy(String line) {
    String cut = line.length() > LONGEST_LINE ? line.substring(0, LONGEST_LINE) : line;
    return cut.replace('\u00a0', ' ')
        .replace('\u2009', ' ')
        .replace('\u202f', ' ')
        .replace('×', 'x')
        .replace('～', '~')
        .replace("V DC", "VDC")
        .replace("V AC", "VAC")
        .replaceAll("(?i)kilowatt[- ]hours?", "kWh")
        .replaceAll("(?i)watt[- ]?hours?", "Wh")
        .replaceAll("(?i)amp(?:ere)?[- ]?hours?", "Ah")
        .replaceAll("(?i)dB\\s?\\(A\\)", "dBA")
        .replaceAll("(?i)° C\\b", "°C")
        .replaceAll("(?i)deg(?:rees)?\\.? ?C\\b", "°C")
        .replaceAll("(?i)\\bhalf an hour\\b", "0.5 h")
        .replaceAll("(?i)\\b(\\d+)\\s?h(?:ours?|rs?)?\\s?(\\d{1,2})\\s?m(?:in\\w*)?\\b", "$1h$2min")
        .replaceAll("\\s+", " ")
        .strip();
  }

  /** One line while it is being read. */
  private static final class Line {
    private final String printed;
    private final String text;
    private final String lower;
    private final List<Claim> claims = new ArrayList<>();
    private String problem;
    private Part part;
    private String heading = "";
    private double times = Double.NaN;
    private double fromPercent = Double.NaN;
    private double toPercent = Double.NaN;
    private double usbVolts = Double.NaN;

    Line(String printed) {
      this.printed = printed.strip();
      this.text = joinHoursAndMinutes(tidy(printed));
      this.lower = text.toLowerCase(Locale.ROOT);
    }

    /** "1h40min" becomes one figure in minutes. */
    private static String joinHoursAndMinutes(String text) {
      Matcher m = Pattern.compile("(\\d+)h(\\d{1,2})min").matcher(text);
      return m.replaceAll(
          r -> Integer.parseInt(r.group(1)) * 60 + Integer.parseInt(r.group(2)) + " min");
    }

    void read() {
      LabelWords.chemistry(lower).ifPresent(c -> state(Subject.CHEMISTRY, c));
      LabelWords.waveform(lower).ifPresent(w -> state(Subject.WAVEFORM, w));
      if (LabelWords.passThrough(lower)) {
        state(Subject.PASS_THROUGH, "yes");
      }
      List<Measure> all = LabelLexer.measures(text);
      for (Measure m : all) {
        if (m.mark() == Mark.TIMES) {
          times = m.low();
        }
      }
      Matcher cut = PIECES.matcher(lower);
      int start = 0;
      while (true) {
        boolean more = cut.find();
        int end = more ? cut.start() : lower.length();
        piece(start, end, all);
        if (!more) {
          break;
        }
        start = cut.end();
      }
      finish();
    }

    private void piece(int start, int end, List<Measure> all) {
      String piece = lower.substring(start, end);
      List<Measure> here = all.stream().filter(m -> m.start() >= start && m.start() < end).toList();
      if (here.isEmpty()) {
        LabelWords.lastPart(piece).ifPresent(p -> part = p);
        applyWordsOnly(piece);
        heading = heading + " " + piece;
        return;
      }
      boolean prefixed =
          LabelWords.power(lower.substring(start, Math.min(end, here.get(0).start()))).isPresent();
      for (int i = 0; i < here.size(); i++) {
        Measure m = here.get(i);
        int before = i == 0 ? start : here.get(i - 1).end();
        int after = i == here.size() - 1 ? end : here.get(i + 1).start();
        String pre = lower.substring(Math.min(before, m.start()), m.start());
        String post =
            lower.substring(Math.min(m.end(), end), Math.max(Math.min(m.end(), end), after));
        LabelWords.lastPart(pre)
            .or(() -> here.size() == 1 ? LabelWords.lastPart(post) : Optional.empty())
            .ifPresent(p -> part = p);
        if (m.mark() == Mark.V && m.most() < 60 && LabelWords.namesDcPort(post)) {
          part = Part.DC_PORT;
        }
        boolean single = here.stream().filter(o -> o.mark() == m.mark()).count() == 1;
        String around = single ? piece : prefixed ? pre : post;
        if (i == 0 && claims.isEmpty()) {
          around = heading + " " + around;
        }
        take(m, pre, post, around, piece);
      }
    }

    private void applyWordsOnly(String piece) {
      if (claims.isEmpty()) {
        return;
      }
      Claim last = claims.get(claims.size() - 1);
      if (LabelWords.regulated(piece) && last.subject().group() == Group.PORTS) {
        addCondition(last.subject(), Condition.of(Condition.Kind.REGULATED));
      }
      LabelWords.power(piece)
          .ifPresent(
              aspect -> {
                if (last.subject() == Subject.CONTINUOUS_POWER && aspect == Aspect.SURGE) {
                  retitle(last, Subject.SURGE);
                }
              });
    }

    private void take(Measure m, String pre, String post, String around, String piece) {
      if (AT_BEFORE.matcher(pre).find() && attachAt(m)) {
        return;
      }
      switch (m.mark()) {
        case W -> power(m, pre, post, around);
        case VA -> {
          if (notChargerSide()) {
            claim(Subject.APPARENT_POWER, m, pre);
          }
        }
        case V -> volts(m, pre, post, piece);
        case A -> amps(m, pre, piece);
        case WH -> claim(Subject.CAPACITY, m, pre);
        case AH -> claim(Subject.CHARGE_CAPACITY, m, pre);
        case HZ -> {
          if (part != Part.MAINS_INPUT) {
            band(Subject.OUTPUT_FREQUENCY, m, FREQUENCY_TOLERANCE);
          }
        }
        case PERCENT -> percent(m, pre, piece);
        case KG -> claim(Subject.WEIGHT, m, pre);
        case TIME -> time(m, pre, piece);
        case DB -> claim(Subject.NOISE, m, pre);
        case CELSIUS -> temperature(m, piece);
        case C_RATE -> attach(Condition.Kind.AT_C_RATE, m.low());
        case METRE -> {
          if (has(Subject.NOISE)) {
            addCondition(Subject.NOISE, new Condition(Condition.Kind.AT_DISTANCE, m.low()));
          }
        }
        case CYCLES -> cycles(m, pre);
        case YEARS -> claim(Subject.WARRANTY, m, pre);
        case CELLS -> claim(Subject.CELLS, m, pre);
        case OUTLETS -> claim(Subject.AC_OUTLETS, m, pre);
        case TIMES -> {}
        case BARE -> bare(m, pre, post, piece);
      }
    }

    private void cycles(Measure m, String pre) {
      if (m.low() >= 10) {
        claim(Subject.CYCLE_LIFE, m, pre);
      }
    }

    private void bare(Measure m, String pre, String post, String piece) {
      if (pre.matches(".*\\bwh\\s*[:=]?\\s*")) {
        claim(Subject.CAPACITY, m, pre);
      } else if (m.low() >= 10
          && (LabelWords.has(pre, Aspect.CYCLES)
              || post.matches("\\s?(?:charge |full |deep |battery )?cycles?\\b.*"))) {
        claim(Subject.CYCLE_LIFE, m, pre);
      } else if (post.matches("\\s?(?:x )?(?:ac |mains )?(?:outlets?|sockets?).*")
          || pre.matches(".*(?:outlets?|sockets?)\\s*:?\\s*")) {
        claim(Subject.AC_OUTLETS, m, pre);
      } else if (piece.contains("cells") && piece.contains("series")) {
        claim(Subject.CELLS, m, pre);
      } else if (LabelWords.has(pre, Aspect.CONTINUOUS) || LabelWords.has(pre, Aspect.SURGE)) {
        doubt(m, "has no unit. Is it W, V or A?");
      }
    }

    private boolean notChargerSide() {
      return part == null || part == Part.AC_OUTPUT;
    }

    private void power(Measure m, String pre, String post, String around) {
      if (LabelWords.lamp(lower)) {
        return;
      }
      Optional<Aspect> aspect = LabelWords.power(around);
      if (aspect.isPresent() && aspect.get() == Aspect.IDLE) {
        claim(Subject.IDLE, m, pre);
        return;
      }
      if (aspect.isPresent() && aspect.get() == Aspect.STANDBY) {
        claim(Subject.STANDBY, m, pre);
        return;
      }
      Part here = part;
      if (here != null && here != Part.AC_OUTPUT) {
        switch (here) {
          case SOLAR -> claim(Subject.SOLAR_POWER, m, pre);
          case CAR_INPUT -> claim(Subject.CAR_POWER, m, pre);
          case MAINS_INPUT -> claim(Subject.MAINS_POWER, m, pre);
          case TOTAL_INPUT, BATTERY_INPUT -> claim(Subject.TOTAL_INPUT, m, pre);
          case DC_PORT -> claim(Subject.DC_PORT_POWER, m, pre);
          case USB_C -> claim(Subject.USB_C_POWER, m, pre);
          case USB_A -> claim(Subject.USB_A_POWER, m, pre);
          default -> acPower(m, pre, post, aspect);
        }
        return;
      }
      acPower(m, pre, post, aspect);
    }

    private void acPower(Measure m, String pre, String post, Optional<Aspect> aspect) {
      Subject subject =
          switch (aspect.orElse(Aspect.CONTINUOUS)) {
            case SURGE -> Subject.SURGE;
            case OVERLOAD -> Subject.OVERLOAD;
            default -> Subject.CONTINUOUS_POWER;
          };
      if (subject == Subject.CONTINUOUS_POWER
          && aspect.isEmpty()
          && lastOf(Subject.OVERLOAD, Subject.CONTINUOUS_POWER)
              .equals(Optional.of(Subject.OVERLOAD))
          && text.substring(m.end()).matches("\\s?(?:for )?\\d.*")) {
        subject = Subject.OVERLOAD;
      } else if (subject == Subject.CONTINUOUS_POWER
          && aspect.isEmpty()
          && figureOf(Subject.CONTINUOUS_POWER).filter(w -> w < m.most()).isPresent()) {
        // A second, larger figure with a time is an overload step; without one, a surge.
        subject =
            post.matches(".*\\bfor\\b.*") || text.substring(m.end()).matches("\\s?\\d.*")
                ? Subject.OVERLOAD
                : Subject.SURGE;
      }
      claim(subject, m, pre);
    }

    private void volts(Measure m, String pre, String post, String piece) {
      if (m.sign().equals("±")) {
        tolerate(m.low() / Math.max(1, nominalOf(Subject.OUTPUT_VOLTAGE)) * 100);
        return;
      }
      Part here = part;
      if (here == Part.SOLAR) {
        window(Subject.SOLAR_VOLTAGE, m);
      } else if (here == Part.CAR_INPUT) {
        nominal(Subject.CAR_VOLTAGE, m);
      } else if (here == Part.USB_C || here == Part.USB_A) {
        usbVolts = m.most();
      } else if (here == Part.DC_PORT) {
        nominal(Subject.DC_PORT_VOLTAGE, m);
      } else if (here == Part.BATTERY_INPUT && m.most() < 90) {
        nominal(Subject.INPUT_VOLTAGE, m);
      } else if (here == Part.MAINS_INPUT || here == Part.TOTAL_INPUT) {
        if (m.most() >= 80) {
          nominal(Subject.MAINS_VOLTAGE, m);
        } else {
          part = Part.BATTERY_INPUT;
          nominal(Subject.INPUT_VOLTAGE, m);
        }
      } else if (m.most() >= 90 || m.alternating() || post.startsWith(" ac")) {
        band(Subject.OUTPUT_VOLTAGE, m, VOLTAGE_TOLERANCE);
      } else if (lower.matches(".*(?:to|->|→)\\s*(?:1[0-2]\\d|2[0-4]\\d).*")
          || (here == Part.AC_OUTPUT && piece.contains("inverter"))) {
        nominal(Subject.INPUT_VOLTAGE, m);
      } else if (piece.matches(".*\\bdc\\b.*")
          && !lower.matches(".*(?:ah|wh|batter|pack|cell).*")) {
        part = Part.DC_PORT;
        nominal(Subject.DC_PORT_VOLTAGE, m);
      } else if (lower.matches(".*(?:\\d ?m?ah|\\d ?k?wh|batter|pack|cell|nominal).*")) {
        claim(Subject.NOMINAL_VOLTAGE, m, pre);
      } else if (text.matches("(?i).*\\d\\s?v\\w*\\s?[/,x@]?\\s?\\d+(?:[.,]\\d+)?\\s?a\\b.*")) {
        part = Part.DC_PORT;
        nominal(Subject.DC_PORT_VOLTAGE, m);
      } else {
        claim(Subject.NOMINAL_VOLTAGE, m, pre);
      }
    }

    private void amps(Measure m, String pre, String piece) {
      if (LabelWords.has(piece, Aspect.IDLE)) {
        claim(Subject.IDLE_CURRENT, m, pre);
        return;
      }
      Part here = part;
      if (here == null) {
        boolean lowVolts = figureOf(Subject.DC_PORT_VOLTAGE).isPresent() || piece.contains("12 v");
        here = lowVolts ? Part.DC_PORT : Part.AC_OUTPUT;
      }
      switch (here) {
        case SOLAR -> claim(Subject.SOLAR_CURRENT, m, pre);
        case CAR_INPUT -> claim(Subject.CAR_CURRENT, m, pre);
        case MAINS_INPUT, TOTAL_INPUT -> claim(Subject.MAINS_CURRENT, m, pre);
        case DC_PORT -> claim(Subject.DC_PORT_CURRENT, m, pre);
        case USB_C, USB_A -> usb(here == Part.USB_C ? Subject.USB_C_POWER : Subject.USB_A_POWER, m);
        case AC_OUTPUT -> claim(Subject.OUTPUT_CURRENT, m, pre);
        case BATTERY_INPUT -> {}
      }
    }

    /** USB ports are printed as volts and amps as often as in watts; the largest pair counts. */
    private void usb(Subject subject, Measure m) {
      if (Double.isNaN(usbVolts)) {
        return;
      }
      double watts = usbVolts * m.most();
      Optional<Double> known = figureOf(subject);
      if (known.isEmpty() || known.get() < watts) {
        claims.removeIf(c -> c.subject() == subject);
        add(Claim.atLeast(subject, watts, printed));
      }
    }

    private void percent(Measure m, String pre, String piece) {
      if (m.sign().equals("±")) {
        tolerate(m.low());
      } else if (LabelWords.has(piece, Aspect.DISTORTION)) {
        claim(Subject.DISTORTION, m, pre);
      } else if (LabelWords.has(piece, Aspect.EFFICIENCY)) {
        claim(Subject.EFFICIENCY, m, pre);
      } else if (has(Subject.CYCLE_LIFE) || LabelWords.has(lower, Aspect.CYCLES)) {
        toPercent = m.most();
      } else if (m.isRange()) {
        fromPercent = m.low();
        toPercent = m.high();
      } else if (pre.contains("distortion") || LabelWords.has(lower, Aspect.DISTORTION)) {
        claim(Subject.DISTORTION, m, pre);
      } else if (LabelWords.has(lower, Aspect.EFFICIENCY)) {
        claim(Subject.EFFICIENCY, m, pre);
      } else {
        toPercent = m.low();
      }
    }

    private void time(Measure m, String pre, String piece) {
      if (LabelWords.has(piece, Aspect.SWITCH_OVER)
          || (m.milli() && LabelWords.has(lower, Aspect.SWITCH_OVER))) {
        claim(Subject.SWITCH_OVER, m.scaled(1000), pre);
        return;
      }
      Optional<Subject> held =
          lastOf(Subject.OVERLOAD, Subject.SURGE, Subject.CONTINUOUS_POWER)
              .filter(s -> part == null || part == Part.AC_OUTPUT);
      boolean charging =
          LabelWords.has(lower, Aspect.CHARGE_TIME)
              || part == Part.MAINS_INPUT
              || part == Part.SOLAR
              || part == Part.CAR_INPUT
              || part == Part.TOTAL_INPUT;
      if (held.isPresent() && !LabelWords.has(piece, Aspect.CHARGE_TIME)) {
        Claim claim =
            claims.stream().filter(c -> c.subject() == held.get()).reduce((a, b) -> b).get();
        boolean forIt =
            FOR_BEFORE.matcher(pre).find() || claim.subject() != Subject.CONTINUOUS_POWER;
        if (claim.condition(Condition.Kind.FOR_SECONDS).isEmpty()
            && (forIt || claim.subject() == Subject.CONTINUOUS_POWER)) {
          attachTo(claim, new Condition(Condition.Kind.FOR_SECONDS, m.most()));
        }
        return;
      }
      if (m.milli() && !charging) {
        claim(Subject.SWITCH_OVER, m.scaled(1000), pre);
      } else if (charging || !Double.isNaN(toPercent)) {
        claim(Subject.CHARGE_TIME, m.scaled(1.0 / 3600), pre);
      }
    }

    private void temperature(Measure m, String piece) {
      if (!m.isRange()) {
        if (has(Subject.CAPACITY)) {
          addCondition(Subject.CAPACITY, new Condition(Condition.Kind.AT_TEMPERATURE, m.low()));
        }
        return;
      }
      boolean discharge = LabelWords.has(piece, Aspect.DISCHARGE_HEAT);
      boolean charge = LabelWords.has(piece, Aspect.CHARGE_HEAT);
      Subject subject =
          charge && !discharge ? Subject.CHARGING_TEMPERATURE : Subject.OPERATING_TEMPERATURE;
      add(range(subject, Direction.STATED, m));
    }

    /** A claim of both ends of a printed range, whichever way round they stand. */
    private Claim range(Subject subject, Direction direction, Measure m) {
      return new Claim(
          subject,
          direction,
          Math.min(m.low(), m.high()),
          Math.max(m.low(), m.high()),
          "",
          List.of(),
          printed);
    }

    /** A window such as a solar port's: a range, or only its upper end. */
    private void window(Subject subject, Measure m) {
      if (!usable(subject, m)) {
        return;
      }
      if (m.isRange()) {
        add(range(subject, Direction.BAND, m));
      } else {
        add(
            new Claim(
                subject,
                Direction.AT_MOST,
                Double.NaN,
                m.low(),
                "",
                List.of(Condition.of(Condition.Kind.UPPER_LIMIT_ONLY)),
                printed));
      }
    }

    /** A plain fact about volts, one figure or two. */
    private void nominal(Subject subject, Measure m) {
      if (usable(subject, m)) {
        Direction direction = m.isRange() ? Direction.BAND : Direction.STATED;
        double high = m.isRange() ? Math.max(m.low(), m.high()) : Double.NaN;
        double low = m.isRange() ? Math.min(m.low(), m.high()) : m.low();
        add(new Claim(subject, direction, low, high, "", List.of(), printed));
      }
    }

    /** A band around a nominal figure, the tolerance assumed until one is printed. */
    private void band(Subject subject, Measure m, double assumed) {
      if (m.sign().equals("±")) {
        tolerate(m.low() / Math.max(1, nominalOf(subject)) * 100);
        return;
      }
      if (!usable(subject, m)) {
        return;
      }
      if (m.isRange()) {
        add(range(subject, Direction.BAND, m));
        return;
      }
      add(
          new Claim(
              subject,
              Direction.BAND,
              m.low() * (1 - assumed / 100),
              m.low() * (1 + assumed / 100),
              "",
              List.of(new Condition(Condition.Kind.ASSUMED_TOLERANCE, assumed)),
              printed));
    }

    /** A printed ± takes the place of the assumed tolerance of the band before it. */
    private void tolerate(double percent) {
      for (int i = claims.size() - 1; i >= 0; i--) {
        Claim c = claims.get(i);
        if (c.direction() == Direction.BAND
            && c.condition(Condition.Kind.ASSUMED_TOLERANCE).isPresent()) {
          double middle = c.figure();
          claims.set(
              i,
              new Claim(
                  c.subject(),
                  Direction.BAND,
                  middle * (1 - percent / 100),
                  middle * (1 + percent / 100),
                  "",
                  List.of(),
                  printed));
          return;
        }
      }
    }

    private double nominalOf(Subject subject) {
      return figureOf(subject).orElse(100.0);
    }

    private void claim(Subject subject, Measure m, String pre) {
      if (!usable(subject, m)) {
        return;
      }
      if (subject.usualDirection() == Direction.STATED) {
        add(new Claim(subject, Direction.STATED, m.low(), Double.NaN, "", List.of(), printed));
        return;
      }
      add(limited(subject, m, pre));
    }

    /** A claim with one limit: the sign or words decide the side, else the subject's usual one. */
    private Claim limited(Subject subject, Measure m, String pre) {
      boolean least = subject.usualDirection() == Direction.AT_LEAST;
      if (m.sign().equals("<") || LESS.matcher(pre).find()) {
        least = false;
      } else if (m.sign().equals(">") || MORE.matcher(pre).find()) {
        least = true;
      }
      double limit = least && m.isRange() ? m.low() : m.most();
      return least ? Claim.atLeast(subject, limit, printed) : Claim.atMost(subject, limit, printed);
    }

    private boolean usable(Subject subject, Measure m) {
      double low = m.low();
      double high = m.most();
      if (!subject.mayBeNegative() && (low < 0 || high < 0)) {
        doubt(m, subject.words().toLowerCase(Locale.ROOT) + " cannot be negative. Check the sign.");
        return false;
      }
      if (!subject.plausible(low) || !subject.plausible(high)) {
        doubt(
            m,
            "that is not a likely "
                + subject.words().toLowerCase(Locale.ROOT)
                + ". Check the figure and its unit.");
        return false;
      }
      return true;
    }

    private void doubt(Measure m, String what) {
      if (problem == null) {
        problem = "“" + text.substring(m.start(), m.end()).strip() + "”: " + what;
      }
    }

    private void state(Subject subject, String word) {
      add(new Claim(subject, Direction.STATED, Double.NaN, Double.NaN, word, List.of(), printed));
    }

    private void add(Claim claim) {
      boolean again =
          claims.stream()
              .anyMatch(
                  c ->
                      c.subject() == claim.subject()
                          && c.direction() == claim.direction()
                          && Math.abs(c.figure() - claim.figure()) <= 0.02 * Math.abs(c.figure()));
      if (!again) {
        claims.add(claim);
      }
    }

    private boolean attachAt(Measure m) {
      if (claims.isEmpty()) {
        return false;
      }
      Claim last = claims.get(claims.size() - 1);
      Condition.Kind kind =
          switch (m.mark()) {
            case W -> Condition.Kind.AT_LOAD;
            case C_RATE -> Condition.Kind.AT_C_RATE;
            case CELSIUS -> Condition.Kind.AT_TEMPERATURE;
            case METRE -> Condition.Kind.AT_DISTANCE;
            case PERCENT -> Condition.Kind.TO_PERCENT;
            default -> null;
          };
      if (kind == null || m.isRange()) {
        return false;
      }
      attachTo(last, new Condition(kind, m.low()));
      return true;
    }

    private void attach(Condition.Kind kind, double value) {
      if (!claims.isEmpty()) {
        attachTo(claims.get(claims.size() - 1), new Condition(kind, value));
      }
    }

    private void addCondition(Subject subject, Condition condition) {
      claims.stream()
          .filter(c -> c.subject() == subject)
          .reduce((a, b) -> b)
          .filter(c -> c.conditions().stream().noneMatch(k -> k.kind() == condition.kind()))
          .ifPresent(c -> attachTo(c, condition));
    }

    private void attachTo(Claim claim, Condition condition) {
      claims.set(claims.indexOf(claim), claim.under(condition));
    }

    private void retitle(Claim claim, Subject subject) {
      claims.set(claims.indexOf(claim), claim.about(subject));
    }

    private boolean has(Subject subject) {
      return claims.stream().anyMatch(c -> c.subject() == subject);
    }

    private Optional<Double> figureOf(Subject subject) {
      return claims.stream().filter(c -> c.subject() == subject).map(Claim::figure).findFirst();
    }

    private Optional<Subject> lastOf(Subject... wanted) {
      for (int i = claims.size() - 1; i >= 0; i--) {
        for (Subject s : wanted) {
          if (claims.get(i).subject() == s) {
            return Optional.of(s);
          }
        }
      }
      return Optional.empty();
    }

    /** Conditions that may stand before or after the figure they belong to. */
    private void finish() {
      if (!Double.isNaN(toPercent)) {
        for (Subject s : new Subject[] {Subject.CYCLE_LIFE, Subject.CHARGE_TIME}) {
          if (has(s)) {
            if (!Double.isNaN(fromPercent) && s == Subject.CHARGE_TIME) {
              addCondition(s, new Condition(Condition.Kind.FROM_PERCENT, fromPercent));
            }
            addCondition(s, new Condition(Condition.Kind.TO_PERCENT, toPercent));
            break;
          }
        }
      }
      if (LabelWords.regulated(lower)) {
        for (Subject s :
            new Subject[] {
              Subject.DC_PORT_CURRENT, Subject.DC_PORT_POWER, Subject.DC_PORT_VOLTAGE
            }) {
          if (has(s)) {
            addCondition(s, Condition.of(Condition.Kind.REGULATED));
            break;
          }
        }
      }
      if (!Double.isNaN(times)) {
        eachOf();
      }
    }

    private void eachOf() {
      Matcher m =
          Pattern.compile("(?:x\\s?(\\d{1,2})(?!\\s?[a-z0-9.%°])|(\\d{1,2})\\s?x\\s)")
              .matcher(lower);
      while (m.find()) {
        double n = Double.parseDouble(m.group(1) != null ? m.group(1) : m.group(2));
        portNear(m.start(), m.group(1) != null)
            .ifPresent(s -> addCondition(s, new Condition(Condition.Kind.EACH_OF, n)));
      }
    }

    /**
     * The port a multiplier stands beside: the last one named before "x2", the next after "2 x".
     */
    private Optional<Subject> portNear(int at, boolean after) {
      String side =
          after
              ? lower.substring(0, at)
              : lower.substring(at).replaceFirst("(?<=\\w)\\s*[,;].*", "");
      Optional<Part> named =
          LabelWords.lastPart(side).or(() -> LabelWords.lastPart(lower.substring(0, at)));
      return named
          .flatMap(
              p ->
                  switch (p) {
                    case USB_C -> Optional.of(Subject.USB_C_POWER);
                    case USB_A -> Optional.of(Subject.USB_A_POWER);
                    case DC_PORT -> Optional.of(Subject.DC_PORT_CURRENT);
                    default -> Optional.empty();
                  })
          .filter(this::has);
    }
  }

  /** For a claim in words: what a figure would be written as, used by the label page's echo. */
  static String echo(Claim claim) {
    return claim.subject().words()
        + " "
        + claim.figureWords()
        + claim.conditionWords().map(w -> ", " + w).orElse("");
  }

  /** How many claims a label makes, in words. */
  public static String countWords(int claims) {
    return claims == 1 ? "1 claim read" : Figures.plain(claims) + " claims read";
  }
}
