/** Ordinary loads as tests: what a cut, a kettle, a meal takes out of a unit. */
package org.wiseember.core.realload;
