/** Campaigns as people write them. */
package org.wiseember.workbook.plan;
