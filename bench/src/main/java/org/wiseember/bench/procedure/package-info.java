/**
 * Tests as small state machines over the bench's readings: what is switched when, when it ends, and
 * what a person must do. They know the bench clock only.
 */
package org.wiseember.bench.procedure;
