/** What is seen, felt and heard of a unit before anything is measured. */
package org.wiseember.core.inspect;
