/**
 * What the software sees by itself while readings come in: watchers that take one frame after the
 * other and speak up in plain sentences. They know physics and the meters' classes, not the bench.
 */
package org.wiseember.core.notice;
