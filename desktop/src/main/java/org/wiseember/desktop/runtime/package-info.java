/**
 * The run-time stage: a day of appliances laid out, what it comes to on the units, what feeds them.
 */
package org.wiseember.desktop.runtime;
