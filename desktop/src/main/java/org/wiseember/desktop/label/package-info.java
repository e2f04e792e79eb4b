/** The Label stage: lines as printed become claims. */
package org.wiseember.desktop.label;
