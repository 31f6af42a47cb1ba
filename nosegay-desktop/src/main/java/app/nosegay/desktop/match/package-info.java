/** The Match stage: the Score, the doubt queue, the player. */
package app.nosegay.desktop.match;
