/** What was found, drawn from data: figures, tables, charts, and the sheet it is saved as. */
package org.wiseember.desktop.finding;
