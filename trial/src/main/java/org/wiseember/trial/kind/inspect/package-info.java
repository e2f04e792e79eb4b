/** What is seen, felt and heard of a unit: yes, half or no, with a note. */
package org.wiseember.trial.kind.inspect;
