/** What a simulated unit is made of: its cells, inverter, charger, ports and displays. */
package org.wiseember.bench.simulated.design;
