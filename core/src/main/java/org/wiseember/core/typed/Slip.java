package org.wiseember.core.typed;

import java.util.Optional;

/**
 * Something that cannot be, or hardly, about a typed reading.
 *
 * @param code short and stable, such as {@code thousandfold}
 * @param words one sentence or two
 * @param meant what was probably meant; empty where nobody can say
 */
public record Slip(String code, String words, Optional<TypedReading> meant) {}
