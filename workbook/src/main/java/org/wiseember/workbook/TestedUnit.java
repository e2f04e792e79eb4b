package org.wiseember.workbook;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;

/**
 * A unit on the shelf. Its label is read out of the text when somebody asks for it: on a long shelf
 * nobody looks at most of them. Safe for several threads.
 */
public final class TestedUnit {
  private final long id;
  private final String name;
  private final String text;
  private final String byHand;
  private final OnDemand<Label> label;
  private final String origin;

  /** One as the workbook has it. */
  TestedUnit(long id, String name, String text, String byHand, String origin) {
    this(id, name, text, byHand, new OnDemand<>(() -> label(text, byHand)), origin);
  }

  /** Claims by hand that cannot be read are left out, and stay as they are in the file. */
  private static Label label(String text, String byHand) {
    try {
      return Label.read(text, ClaimJson.read(byHand));
    } catch (WorkbookException damaged) {
      return Label.read(text, List.of());
    }
  }

  /** One under a label. */
  public TestedUnit(long id, String name, Label label) {
    this(id, name, label.text(), ClaimJson.write(label.byHand()), OnDemand.of(label), "");
  }

  /** One under a label that is still a text. */
  public TestedUnit(long id, String name, String text, List<Claim> byHand) {
    this(id, name, text, ClaimJson.write(byHand), "");
  }

  private TestedUnit(
      long id, String name, String text, String byHand, OnDemand<Label> label, String origin) {
    this.id = id;
    this.name = name;
    this.text = text;
    this.byHand = byHand;
    this.label = label;
    this.origin = origin;
  }

  /** Key in the workbook. */
  public long id() {
    return id;
  }

  /** As the tester calls it. */
  public String name() {
    return name;
  }

  /** The label in force. */
  public Label label() {
    return label.get();
  }

  /** Where it comes from that somebody else tested; empty for one's own. */
  public Optional<Origin> origin() {
    return Origin.read(origin);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof TestedUnit that
        && id == that.id
        && name.equals(that.name)
        && text.equals(that.text)
        && byHand.equals(that.byHand)
        && origin.equals(that.origin);
  }

  @Override
  public int hashCode() {
    return Objects.hash(id, name, text, byHand, origin);
  }

  @Override
  public String toString() {
    return name;
  }
}
