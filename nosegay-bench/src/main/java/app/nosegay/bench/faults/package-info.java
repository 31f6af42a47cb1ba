/** Trying to break Nosegay, seeded: kills, hostile inputs, full disks, random actions in the window. */
package app.nosegay.bench.faults;
