/** JSON that people write, read field by field: what nobody knows is refused by name. */
package org.wiseember.workbook.strict;
