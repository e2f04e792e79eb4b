/** The demo workbook, made by really running tests on the simulated bench. */
package org.wiseember.trial.demo;
