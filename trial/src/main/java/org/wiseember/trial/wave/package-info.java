/** Captured waves: the runs that hold some, their pictures, their table and their files. */
package org.wiseember.trial.wave;
