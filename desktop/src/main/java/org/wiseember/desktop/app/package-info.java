/** The program: what is open, chosen and running, and the start. */
package org.wiseember.desktop.app;
