/**
 * Trials: what each test is ({@code test}), set up on a bench ({@code rig}), recorded in the
 * workbook ({@code record}), held against the label ({@code verdict}) and shown ({@code page}). The
 * registry here knows every test; the demo is made by really running them.
 */
package org.wiseember.trial;
