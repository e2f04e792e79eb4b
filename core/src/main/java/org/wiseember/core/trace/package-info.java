/**
 * What the meters said, moment by moment: readings on real timestamps, the holes between them, and
 * the integrals over them.
 */
package org.wiseember.core.trace;
