package org.wiseember.core.label;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.label.LabelLexer.Mark;
import org.wiseember.core.label.LabelLexer.Measure;
import org.wiseember.core.label.LabelWords.Aspect;
import org.wiseember.core.label.LabelWords.Part;

/** One line while it is being read. */
final class LabelLine {
  private static final Pattern PIECES =
      Pattern.compile("(?<!\\d),|,(?!\\d)|[;|()\\[\\]·•]|\\s\\+\\s|\\s&\\s|\\s/\\s(?=[a-z])");

  private static final Pattern AT_BEFORE = Pattern.compile("(?:\\bat|@)\\s*(?:about\\s*)?$");
  private static final Pattern LESS =
      Pattern.compile("(?:less than|below|under|not (?:more|over)[^0-9]*|at most)\\s*$");
  private static final Pattern MORE =
      Pattern.compile("(?:more than|over|above|at least|min\\.?|minimum|not less[^0-9]*)\\s*$");

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

  LabelLine(String printed) {
    this.printed = printed.strip();
    this.text = joinHoursAndMinutes(LabelReader.tidy(printed));
    this.lower = text.toLowerCase(Locale.ROOT);
  }

  /** "1h40min" becomes one figure in minutes. */
  private static String joinHoursAndMinutes(String text) {
    Matcher m = Pattern.compile("(\\d+)h(\\d{1,2})min").matcher(text);
    return m.replaceAll(
        r -> Integer.parseInt(r.group(1)) * 60 + Integer.parseInt(r.group(2)) + " min");
  }

  /** What was claimed, in the order printed. */
  List<Claim> claims() {
    return claims;
  }

  /** What cannot be, one sentence. */
  Optional<String> problem() {
    return Optional.ofNullable(problem);
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
    LabelRules.apply(this, new LabelFigure(m, pre, post, around, piece, lower, part));
  }

  /** What the line is about from here on. */
  void turnsTo(Part now) {
    part = now;
  }

  /** A second, larger figure of watts with a time is an overload step; without one, a surge. */
  void acPower(LabelFigure f) {
    Measure m = f.measure();
    Optional<Aspect> aspect = f.aspect();
    Subject subject =
        switch (aspect.orElse(Aspect.CONTINUOUS)) {
          case SURGE -> Subject.SURGE;
          case OVERLOAD -> Subject.OVERLOAD;
          default -> Subject.CONTINUOUS_POWER;
        };
    if (subject == Subject.CONTINUOUS_POWER
        && aspect.isEmpty()
        && lastOf(Subject.OVERLOAD, Subject.CONTINUOUS_POWER).equals(Optional.of(Subject.OVERLOAD))
        && text.substring(m.end()).matches("\\s?(?:for )?\\d.*")) {
      subject = Subject.OVERLOAD;
    } else if (subject == Subject.CONTINUOUS_POWER
        && aspect.isEmpty()
        && figureOf(Subject.CONTINUOUS_POWER).filter(w -> w < m.most()).isPresent()) {
      subject =
          f.post().matches(".*\\bfor\\b.*") || text.substring(m.end()).matches("\\s?\\d.*")
              ? Subject.OVERLOAD
              : Subject.SURGE;
    }
    claim(subject, m, f.pre());
  }

  /** Percent or a multiple of the rating, borne for a time or at a start. */
  void share(LabelFigure f, double times) {
    Measure m = f.measure();
    boolean start =
        LabelWords.has(f.piece(), Aspect.SURGE)
            || (!LabelWords.has(f.piece(), Aspect.OVERLOAD)
                && LabelWords.has(lower, Aspect.SURGE)
                && !LabelWords.has(lower, Aspect.OVERLOAD));
    add(
        Claim.atLeast(
            start ? Subject.SURGE_SHARE : Subject.OVERLOAD_SHARE, times * m.most(), printed));
  }

  /** USB ports are printed as volts and amps as often as in watts; the largest pair counts. */
  void usbPair(Subject subject, Measure m) {
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

  void usbVolts(Measure m) {
    usbVolts = m.most();
  }

  /** Percent of charge or of capacity that belong to a time or to a number of cycles. */
  void reach(Measure m) {
    if (m.isRange() && !has(Subject.CYCLE_LIFE)) {
      fromPercent = m.low();
      toPercent = m.high();
    } else {
      toPercent = m.isRange() ? m.most() : m.low();
    }
  }

  boolean toPercentGiven() {
    return !Double.isNaN(toPercent);
  }

  /** The time of a load that was named before it; false where there is none it can belong to. */
  boolean heldFor(LabelFigure f) {
    if (LabelWords.has(f.piece(), Aspect.CHARGE_TIME)) {
      return false;
    }
    Optional<Subject> held =
        lastOf(
                Subject.OVERLOAD,
                Subject.SURGE,
                Subject.CONTINUOUS_POWER,
                Subject.OVERLOAD_SHARE,
                Subject.SURGE_SHARE)
            .filter(s -> part == null || part == Part.AC_OUTPUT);
    if (held.isEmpty()) {
      return false;
    }
    Claim claim =
        claims.stream().filter(c -> c.subject() == held.get()).reduce((a, b) -> b).orElseThrow();
    if (claim.condition(Condition.Kind.FOR_SECONDS).isEmpty()) {
      attachTo(claim, new Condition(Condition.Kind.FOR_SECONDS, f.measure().most()));
    }
    return true;
  }

  void temperature(Measure m, String piece) {
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
  void window(Subject subject, Measure m) {
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
  void nominal(Subject subject, Measure m) {
    if (usable(subject, m)) {
      Direction direction = m.isRange() ? Direction.BAND : Direction.STATED;
      double high = m.isRange() ? Math.max(m.low(), m.high()) : Double.NaN;
      double low = m.isRange() ? Math.min(m.low(), m.high()) : m.low();
      add(new Claim(subject, direction, low, high, "", List.of(), printed));
    }
  }

  /** A band around a nominal figure, the tolerance assumed until one is printed. */
  void band(Subject subject, Measure m, double assumed) {
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
  void tolerate(double percent) {
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

  double nominalOf(Subject subject) {
    return figureOf(subject).orElse(100.0);
  }

  void claim(Subject subject, Measure m, String pre) {
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
      doubt(m, subject.inSentence() + " cannot be negative. Check the sign.");
      return false;
    }
    if (!subject.plausible(low) || !subject.plausible(high)) {
      doubt(m, "that is not a likely " + subject.inSentence() + ". Check the figure and its unit.");
      return false;
    }
    return true;
  }

  void doubt(Measure m, String what) {
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

  void attach(Condition.Kind kind, double value) {
    if (!claims.isEmpty()) {
      attachTo(claims.get(claims.size() - 1), new Condition(kind, value));
    }
  }

  void addCondition(Subject subject, Condition condition) {
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

  boolean has(Subject subject) {
    return claims.stream().anyMatch(c -> c.subject() == subject);
  }

  Optional<Double> figureOf(Subject subject) {
    return claims.stream().filter(c -> c.subject() == subject).map(Claim::figure).findFirst();
  }

  Optional<Subject> lastOf(Subject... wanted) {
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
          new Subject[] {Subject.DC_PORT_CURRENT, Subject.DC_PORT_POWER, Subject.DC_PORT_VOLTAGE}) {
        if (has(s)) {
          addCondition(s, Condition.of(Condition.Kind.REGULATED));
          state(Subject.DC_PORT_REGULATED, "regulated");
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
        Pattern.compile("(?:x\\s?(\\d{1,2})(?!\\s?[a-z0-9.%°])|(\\d{1,2})\\s?x\\s)").matcher(lower);
    while (m.find()) {
      double n = Double.parseDouble(m.group(1) != null ? m.group(1) : m.group(2));
      portNear(m.start(), m.group(1) != null)
          .ifPresent(s -> addCondition(s, new Condition(Condition.Kind.EACH_OF, n)));
    }
  }

  /** The port a multiplier stands beside: the last one named before "x2", the next after "2 x". */
  private Optional<Subject> portNear(int at, boolean after) {
    String side =
        after ? lower.substring(0, at) : lower.substring(at).replaceFirst("(?<=\\w)\\s*[,;].*", "");
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
