package org.wiseember.core.quantity;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** An enum value that stands in files by a key of its own, whatever the program calls it. */
public interface Keyed {
  /** Its key; stays as it is once files have it. */
  String key();

  /** The key of any enum value: its own, or else its name in small letters. */
  static String key(Enum<?> value) {
    return value instanceof Keyed keyed ? keyed.key() : value.name().toLowerCase(Locale.ROOT);
  }

  /** The value of an enum with this key, small or capital; files of before had them in capitals. */
  static <E> Optional<E> of(Class<E> type, String key) {
    return Arrays.stream(type.getEnumConstants())
        .filter(e -> key((Enum<?>) e).equalsIgnoreCase(key))
        .findFirst();
  }
}
