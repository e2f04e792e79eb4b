/** The Line-up stage: several units beside each other, and which one for whom. */
package org.wiseember.desktop.lineup;
