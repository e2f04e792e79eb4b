/** Looking at a meter's log before it is read in. */
package org.wiseember.desktop.log;
