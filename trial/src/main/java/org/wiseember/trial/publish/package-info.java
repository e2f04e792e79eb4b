/** What is given to others: figures as JSON, packages that can be checked, and the check. */
package org.wiseember.trial.publish;
