/** Whether a claim is kept, short, too close to call, or beyond what the rig can show. */
package org.wiseember.core.verdict;
