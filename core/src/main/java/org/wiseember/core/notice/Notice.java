package org.wiseember.core.notice;

/**
 * Something seen while a test runs.
 *
 * @param seconds on the bench clock
 * @param code short and stable
 * @param text one plain sentence
 */
public record Notice(double seconds, String code, String text) {}
