/**
 * What a test of the trade is: its words, its plan and settings, its rig, what it finds and which
 * claims it answers. Each test is a package beside this one; the registry names them all.
 */
package org.wiseember.trial.kind;
