/** Appliances that are watched, and sources that are tried by themselves. */
package org.wiseember.desktop.beside;
