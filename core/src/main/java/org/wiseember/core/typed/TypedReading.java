package org.wiseember.core.typed;

/**
 * A reading as it was understood.
 *
 * @param value in the kind's unit
 * @param resolution step of the last digit typed, in the kind's unit; above 0
 * @param asTyped what stood in the field
 * @param words said back to who typed it, {@code 609 Wh}
 */
public record TypedReading(
    TypedKind kind, double value, double resolution, String asTyped, String words) {}
