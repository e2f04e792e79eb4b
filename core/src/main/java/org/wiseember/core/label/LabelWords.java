package org.wiseember.core.label;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The words a label uses, and what part of the unit or what kind of figure they point at. */
final class LabelWords {
  /** The part of the unit a line or a piece of it talks about. */
  enum Part {
    TOTAL_INPUT,
    SOLAR,
    CAR_INPUT,
    BATTERY_INPUT,
    MAINS_INPUT,
    USB_C,
    USB_A,
    DC_PORT,
    AC_OUTPUT
  }

  /** What kind of figure stands beside the words. */
  enum Aspect {
    IDLE,
    STANDBY,
    SURGE,
    OVERLOAD,
    SWITCH_OVER,
    DISTORTION,
    EFFICIENCY,
    CYCLES,
    WARRANTY,
    WEIGHT,
    NOISE,
    DISCHARGE_HEAT,
    CHARGE_HEAT,
    CHARGE_TIME,
    CONTINUOUS
  }

  private static final Map<Part, Pattern> PARTS = new LinkedHashMap<>();
  private static final Map<Aspect, Pattern> ASPECTS = new LinkedHashMap<>();

  static {
    part(
        Part.TOTAL_INPUT,
        "(?:total|combined|max(?:imum|\\.)?|dual|all) (?:charg\\w*|inputs?)(?: power| together)?");
    part(
        Part.SOLAR,
        "(?:solar|\\bpv\\b|photovoltaic|\\bmppt\\b|panels?\\b)(?: panels?)?(?: (?:charg\\w*|in(?:put)?\\b))?");
    part(
        Part.CAR_INPUT,
        "(?:car|vehicle|cigar\\w*(?: lighter)?)[ -](?:charg\\w*|in(?:put)?\\b)"
            + "|charg\\w* (?:from|in|via|by) (?:the |a )?(?:car|vehicle)|input.{0,3}\\bcar\\b");
    part(
        Part.BATTERY_INPUT,
        "(?:dc|battery) in(?:put)?\\b|input volt\\w*|input range|battery (?:system|bank)|from battery"
            + "|^charg(?:e|ing)\\b(?! (?:power|time|temp|from))");
    part(
        Part.MAINS_INPUT,
        "ac[ -]?in(?:put)?\\b|mains|wall\\b|ac[ -]charg\\w*|grid|\\bcharger\\b|adapt[eo]r"
            + "|charging power|charge power|charges? (?:at|with)|\\binput\\b|shore");
    part(Part.USB_C, "usb[ -]?(?:type[ -]?)?c\\d?\\b|type[ -]?c\\b|\\bpd\\b|power delivery|usb4");
    part(Part.USB_A, "usb[ -]?a\\d?\\b|\\busb\\b|type[ -]?a\\b|\\bqc\\b|quick charge");
    part(
        Part.DC_PORT,
        "12 ?v(?:dc)? (?:port|dc|out\\w*|socket|car)|dc[ -]?out\\w*|\\bdc (?=1[23](?:\\.\\d)? ?v)"
            + "|car (?:port|socket|outlet|out\\w*|plug)|cigar\\w*|dc55\\d\\d|dc (?:port|socket)|barrel"
            + "|accessory|\\bdc(?= ?:)");
    part(
        Part.AC_OUTPUT,
        "ac[ -]?out\\w*|inverter|\\boutputs?\\b|outlets?\\b|sockets?\\b|(?<!\\bin(?:put)?:? ?)\\bac\\b(?![ -]?(?:in|charg))");

    aspect(
        Aspect.IDLE,
        "idle|no[- ]load|self[- ](?:consumption|use)|quiescent|own (?:use|consumption)|zero[- ]load"
            + "|empty draw|tare");
    aspect(
        Aspect.STANDBY, "stand[- ]?by|sleep|switched off|when off|outputs off|shelf draw|eco\\b");
    aspect(
        Aspect.SURGE, "surge|peak|starting|start[- ]?up|inrush|momentary|instant\\w*|\\bstart\\b");
    aspect(Aspect.OVERLOAD, "over[- ]?load\\w*|short[- ]term|boost\\w*|temporary|for up to");
    aspect(
        Aspect.SWITCH_OVER,
        "\\bups\\b|switch[- ]?(?:over|ing)|transfer|change[- ]?over|\\beps\\b|hand[- ]?over|backup");
    aspect(Aspect.DISTORTION, "\\bthd\\w*|distortion");
    aspect(Aspect.EFFICIENCY, "efficien\\w*|η|conversion");
    aspect(Aspect.CYCLES, "cycles?\\b|cycle life|life ?span|life ?cycle|lifetime");
    aspect(Aspect.WARRANTY, "warrant\\w*|guarantee\\w*");
    aspect(Aspect.WEIGHT, "weigh\\w*|mass\\b|net wt");
    aspect(Aspect.NOISE, "nois\\w*|sound|loudness|\\bquiet\\b|fan level");
    aspect(Aspect.DISCHARGE_HEAT, "discharg\\w*|operat\\w*|working|ambient|works|use\\b");
    aspect(Aspect.CHARGE_HEAT, "(?<!dis)charg\\w*");
    aspect(
        Aspect.CHARGE_TIME,
        "full(?:y)?(?: re?-?charged?)? (?:in|within|charge)|charg\\w* time|re-?charg\\w*|time to full"
            + "|full in|0 ?(?:-|–|to) ?(?:100|80) ?%|charge[sd]? in|empty to full|to full");
    aspect(Aspect.CONTINUOUS, "continuous\\w*|rated|rating|nominal|running|constant|cont\\.");
  }

  private static final Map<String, Pattern> CHEMISTRY = new LinkedHashMap<>();
  private static final Map<String, Pattern> WAVEFORM = new LinkedHashMap<>();

  static {
    word(CHEMISTRY, "LFP", "li ?fe ?po ?4?|\\blfp\\b|lithium[- ]iron|iron[- ]phosphate");
    word(CHEMISTRY, "NMC", "\\bnmc\\b|\\bncm\\b|ternary|\\bnca\\b");
    word(CHEMISTRY, "LTO", "\\blto\\b|titanate");
    word(CHEMISTRY, "sodium-ion", "sodium[- ]?ion|\\bna-ion\\b");
    word(CHEMISTRY, "lithium-ion", "li[- ]?ion|lithium[- ]?ion|li[- ]?po\\b|lithium polymer");
    word(CHEMISTRY, "lead-acid", "lead[- ]?acid|\\bagm\\b|\\bgel\\b|\\bsla\\b");
    word(WAVEFORM, "modified sine", "modified|quasi[- ]?sine|stepped|simulated sine|approximated");
    word(WAVEFORM, "square", "square[- ]?wave");
    word(
        WAVEFORM, "pure sine", "(?:pure|true|full|clean|real)[ -]?sin\\w*|sine[ -]?wave|sinus\\w*");
  }

  private static final Pattern PASS_THROUGH =
      Pattern.compile("pass[- ]?thr(?:ough|u)|charge while (?:in use|using|discharging)");
  private static final Pattern LAMP = Pattern.compile("\\b(?:lamp|led|torch|flashlight|light)\\b");
  private static final Pattern DC_PORT_NAME =
      Pattern.compile("^\\s?(?:dc )?(?:regulated )?(?:ports?|out\\w*|sockets?|car)\\b");
  private static final Pattern REGULATED = Pattern.compile("regulated|stabili[sz]ed");

  private LabelWords() {}

  private static void part(Part part, String regex) {
    PARTS.put(part, Pattern.compile(regex));
  }

  private static void aspect(Aspect aspect, String regex) {
    ASPECTS.put(aspect, Pattern.compile(regex));
  }

  private static void word(Map<String, Pattern> map, String word, String regex) {
    map.put(word, Pattern.compile(regex));
  }

  /** The part named last in this text, the more particular name winning where two overlap. */
  static Optional<Part> lastPart(String lower) {
    Part best = null;
    int bestEnd = -1;
    int bestStart = -1;
    for (Map.Entry<Part, Pattern> entry : PARTS.entrySet()) {
      Matcher m = entry.getValue().matcher(lower);
      while (m.find()) {
        if (m.start() >= bestEnd || (m.start() <= bestStart && m.end() > bestEnd)) {
          best = entry.getKey();
          bestStart = m.start();
          bestEnd = m.end();
        }
      }
    }
    return Optional.ofNullable(best);
  }

  /** Whether the words of an aspect are in this text. */
  static boolean has(String lower, Aspect aspect) {
    return ASPECTS.get(aspect).matcher(lower).find();
  }

  private static final Pattern WIRELESS =
      Pattern.compile("wireless|\\bqi\\b|inductive (?:pad|charg)");

  private static final String USB_C = "(?:usb[ -]?(?:type[ -]?)?c\\d?|type[ -]?c|\\bpd)\\b";
  private static final Pattern USB_BOTH_WAYS =
      Pattern.compile(USB_C + ".*(?:in(?:put)? ?(?:/|&|and) ?out|both ways|bi-?directional)");
  private static final Pattern USB_INPUT =
      Pattern.compile(
          USB_C
              + "[^0-9]{0,12}\\b(?:in(?:put)?|charging input)\\b|in(?:put)?\\b[^0-9]{0,10}"
              + USB_C);
  private static final Pattern TRACKER =
      Pattern.compile("(?:mppt|track\\w*)[^0-9]{0,20}efficien|efficien\\w*[^0-9]{0,12}mppt");
  private static final Pattern ROUND_TRIP =
      Pattern.compile("round[- ]?trip|in[- ]?(?:to|/)[- ]?out");
  private static final Pattern EXPANDABLE =
      Pattern.compile("expan\\w*|extend\\w*|extra batter\\w*|add-?on");
  private static final Pattern OF_RATING =
      Pattern.compile("rat(?:ed|ing)|nominal|continuous|power|output|\\d ?x\\s*$|x ?\\d\\s*$");
  private static final Pattern TIMES_OUTLETS =
      Pattern.compile(
          "\\d{1,2}\\s?x\\s?ac\\b(?! ?in)|\\bac(?: outlets?| sockets?| output)?\\s?x\\s?\\d{1,2}\\b"
              + "|(?:outlets?|sockets?):?\\s*\\d{1,2}\\s?x\\b");

  /** Whether the line is about a pad that charges without a plug. */
  static boolean wireless(String lower) {
    return WIRELESS.matcher(lower).find();
  }

  /** Whether a USB-C port takes and gives the same. */
  static boolean usbBothWays(String lower) {
    return USB_BOTH_WAYS.matcher(lower).find();
  }

  /** Whether the unit is charged through USB-C. */
  static boolean usbInput(String lower) {
    return USB_INPUT.matcher(lower).find();
  }

  /** Whether it is the efficiency of a tracker of panels, which no meter on the outside tells. */
  static boolean tracker(String lower) {
    return TRACKER.matcher(lower).find();
  }

  /** Whether what comes out is held against what went in. */
  static boolean roundTrip(String lower) {
    return ROUND_TRIP.matcher(lower).find();
  }

  /** Whether more batteries can be added, which is no capacity of the unit itself. */
  static boolean expandable(String lower) {
    return EXPANDABLE.matcher(lower).find();
  }

  /** Whether a multiple is one of the rating. */
  static boolean ofRating(String lower) {
    return OF_RATING.matcher(lower).find();
  }

  /** Whether a multiple counts the outlets. */
  static boolean timesOutlets(String lower) {
    return TIMES_OUTLETS.matcher(lower).find();
  }

  /** Whether the line is about a built-in light, whose watts nobody tests. */
  static boolean lamp(String lower) {
    return LAMP.matcher(lower).find();
  }

  /** Whether the words after some volts make them the name of a DC port, as in "12 V port". */
  static boolean namesDcPort(String after) {
    return DC_PORT_NAME.matcher(after).find();
  }

  /** The first aspect, in order of how particular its words are. */
  static Optional<Aspect> power(String lower) {
    for (Aspect aspect :
        new Aspect[] {
          Aspect.IDLE, Aspect.STANDBY, Aspect.OVERLOAD, Aspect.SURGE, Aspect.CONTINUOUS
        }) {
      if (has(lower, aspect)) {
        return Optional.of(aspect);
      }
    }
    return Optional.empty();
  }

  static Optional<String> chemistry(String lower) {
    return find(CHEMISTRY, lower);
  }

  static Optional<String> waveform(String lower) {
    return find(WAVEFORM, lower);
  }

  static boolean passThrough(String lower) {
    return PASS_THROUGH.matcher(lower).find();
  }

  static boolean regulated(String lower) {
    return REGULATED.matcher(lower).find() && !lower.contains("unregulated");
  }

  private static Optional<String> find(Map<String, Pattern> words, String lower) {
    return words.entrySet().stream()
        .filter(e -> e.getValue().matcher(lower).find())
        .map(Map.Entry::getKey)
        .findFirst();
  }
}
