/** The Report stage: the page as it will be printed. */
package org.wiseember.desktop.report;
