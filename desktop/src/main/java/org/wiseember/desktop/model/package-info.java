/**
 * What the window works on, without a scene: the open workbook and its units, what goes on at the
 * bench, what is read in. Everything here can be tested without a window.
 */
package org.wiseember.desktop.model;
