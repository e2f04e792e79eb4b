/** Files that are whole or not there at all, and temporary ones that do not stay behind. */
package org.wiseember.workbook.disk;
