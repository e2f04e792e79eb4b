/** The command line, for scripts and for checking. It makes the same core calls as the window. */
package org.wiseember.command;
