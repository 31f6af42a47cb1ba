/**
 * Stand-ins for the room: a simulated camera, presenter and voice. {@link app.nosegay.standins.Performance} is what happens, with its
 * truth; the evidence stream and the footage are both made from it.
 */
package app.nosegay.standins;
