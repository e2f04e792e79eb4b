/**
 * The plan of the units on the shelf: which tests their claims still want, what comes when, and how
 * it bends when things go otherwise.
 */
package org.wiseember.trial.plan;
