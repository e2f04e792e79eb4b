package org.wiseember.core.inspect;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The points of an inspection, in the order one comes to them. */
public enum Point {
  CABLES(
      "The cables it needs are in the box",
      "Wall, car, solar: write what is missing, and how long they are."),
  WEIGHT(
      "You can carry it where you use it",
      "Put it on a scale and write it, such as: 11.2\u00a0kg."),
  TERMINALS(
      "Terminals, sockets and fuses are solid",
      "Pull gently at each. Can the fuse be reached and changed? Write its size."),
  BUTTONS(
      "Its buttons are found without the manual",
      "In the dark and with cold hands too. Which needs a long press?"),
  START_UP(
      "It is ready soon after its button",
      "Time it from the button to the first watt, such as: 4 s."),
  DISPLAY_OUTDOORS(
      "Its display can be read outdoors", "In the sun, at arm's length, and when it dims."),
  DISPLAY_TELLS(
      "Its display tells watts in and out, charge and hours",
      "Write what it leaves out, and from how many watts on it shows anything."),
  CONNECTORS(
      "Its connectors are common ones", "Write which are not, and whether an adapter is there."),
  WITHOUT_LOGIN(
      "It works without login or network",
      "Every output and every setting, with no telephone near and none ever paired."),
  OUTPUTS_STAY(
      "Its outputs can be set to stay on", "A setting that lasts over switching off and on."),
  FANS("Its fans are bearable", "Under a load: when they start, a whine, a rattle, a smell."),
  BODY(
      "Nothing smells, swells, creaks or runs hot",
      "Before and after the first charge. At smoke, swelling or a smell of solvent: out of the"
          + " house, and no further test.");

  private final String words;
  private final String how;

  Point(String words, String how) {
    this.words = words;
    this.how = how;
  }

  /** As a statement that is true, half true or not. */
  public String words() {
    return words;
  }

  /** How one finds out. */
  public String how() {
    return how;
  }

  /** Short and stable. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Point> byKey(String key) {
    return Arrays.stream(values()).filter(p -> p.key().equals(key)).findFirst();
  }
}
