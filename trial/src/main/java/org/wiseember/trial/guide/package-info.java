/** The guide's page of each test, told from the test itself. */
package org.wiseember.trial.guide;
