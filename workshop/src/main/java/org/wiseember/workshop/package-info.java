/** For developers alone: pictures for the documents, and how long the long work takes. */
package org.wiseember.workshop;
