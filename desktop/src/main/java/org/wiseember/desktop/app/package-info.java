/** The program: its start, and the pictures of its main views. */
package org.wiseember.desktop.app;
