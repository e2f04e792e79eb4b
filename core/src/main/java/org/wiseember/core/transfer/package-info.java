/**
 * The hole in the volts while a unit takes over from the mains, and what gets through to the load.
 */
package org.wiseember.core.transfer;
