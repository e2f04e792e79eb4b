/**
 * DC and USB ports: regulation, where they switch off, and what a tester's rig can show of them.
 */
package org.wiseember.core.port;
