/** A run from bench to workbook. */
package org.wiseember.trial.record;
