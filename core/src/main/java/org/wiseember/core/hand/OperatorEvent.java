package org.wiseember.core.hand;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What a person says by one key, or writes in so many words, while a test is made by hand. Nothing
 * counts as held, tripped, on or off that was neither read nor said by one of these.
 */
public enum OperatorEvent {
  /** What was asked for is done. */
  DONE("Done, go on", "done"),
  /** Everything that was asked for is read and written down. */
  READ("Read, go on", "all read"),
  LOAD_ON(
      "Load is on",
      "(?:the )?loads? (?:is |are )?on(?: now)?|(?:i )?plugged (?:it )?in|(?:i )?switched (?:the )?load"
          + " on"),
  /** The output dropped out under the load. */
  TRIPPED("It tripped", "(?:it )?(?:tripped|trips)"),
  /** The load was taken off with the output alive. */
  TAKEN_OFF(
      "I took it off",
      "(?:i )?(?:took|take|taken) (?:it|the load) off|(?:i )?unplugged(?: it| the load)?"),
  /** The output dropped out at the end of a drain. */
  DROPPED_OUT(
      "Output dropped out",
      "(?:the )?(?:output|outlet|socket|port|ac)(?: has)? (?:dropped out|died|went (?:off|dead|out))|(?:it )?(?:has )?(?:cut (?:off|out)|shut(?: itself)?"
          + " (?:off|down)|dropped out)"),
  WENT_OFF("It went off", "(?:it )?(?:went|is|switched(?: itself)?) off|(?:it is )?dead"),
  STILL_ON("It is on", "(?:it )?(?:is |stays |stayed )?(?:still )?(?:on|alive)"),
  CAME_BACK("It came back by itself", "(?:it )?(?:came|comes) back(?: by itself)?"),
  CAME_BY_BUTTON("Its button brought it back", "(?:its |the )?button brought it back"),
  /** Neither time nor its button brings it back. */
  LATCHED("It stays off", "(?:it )?(?:stays|stayed) off|(?:it )?latched(?: off)?"),
  STARTED("It started", "(?:it |motor |the motor )?(?:started|starts|runs)"),
  /** The output held, and the motor did not come up to speed. */
  STALLED("It hummed, did not start", "(?:it )?(?:stalled|hummed|sagged)(?:,? did not start)?"),
  /** At a pull of the plug neither lamp nor computer noticed. */
  BOTH_STAYED("Lamp and computer stayed on", "both stayed(?: on)?"),
  LAMP_BLINKED("Lamp blinked, computer stayed", "(?:the )?lamp blinked"),
  COMPUTER_WENT("Computer went off", "(?:the )?computer (?:went|is|switched) off"),
  FULL("It is full", "(?:it is |it's )?full"),
  /** It takes nothing from this source. */
  REFUSES("It refuses", "(?:it )?(?:refuses|takes nothing)"),
  LOOKS_SINE("Looks a smooth sine", "(?:it )?looks? (?:like )?(?:a )?(?:smooth |pure )?sine"),
  LOOKS_STEPPED("Looks stepped", "(?:it )?looks? (?:stepped|modified)"),
  LOOKS_SQUARE("Looks square", "(?:it )?looks? square"),
  YES("Yes", "yes|good|ok"),
  /** Partly so. */
  HALF("Half", "half|partly|so so"),
  NO("No", "no|bad"),
  NOT_LOOKED("Not looked at", "not looked at|skip(?:ped)?"),
  /** One of several goes, such as a cut or a kettle. */
  ONE_DONE("One done", "(?:one|another)(?: one)? done|once more"),
  /** What was asked for is not done, and the rest of the test is. */
  SKIPPED("Skip this", "skip(?:ped)?(?: this| it)?|(?:leave |left )(?:this |it )?out"),
  ENOUGH("That is enough", "(?:that is |that's )?enough");

  private final String words;
  private final Pattern said;

  OperatorEvent(String words, String said) {
    this.words = words;
    this.said = Pattern.compile(said, Pattern.CASE_INSENSITIVE);
  }

  /** Short and stable, as kept in the workbook. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What stands on its button. */
  public String words() {
    return words;
  }

  /** Whether these words, as a person would write them, say the same. */
  public boolean saidBy(String text) {
    return said.matcher(text.strip()).matches() || text.strip().equalsIgnoreCase(words);
  }

  public static Optional<OperatorEvent> byKey(String key) {
    return Arrays.stream(values()).filter(p -> p.key().equals(key)).findFirst();
  }
}
