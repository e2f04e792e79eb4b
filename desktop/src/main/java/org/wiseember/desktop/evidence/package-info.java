/** The Evidence stage: runs and their traces. */
package org.wiseember.desktop.evidence;
