/** What the program itself keeps as JSON: records, whose components are the fields. */
package org.wiseember.workbook.json;
