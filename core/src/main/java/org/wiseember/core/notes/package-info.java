/**
 * Notes as testers keep them on paper or in a file: a line for each thing that was seen, with the
 * moment it was seen at as far as that is known.
 */
package org.wiseember.core.notes;
