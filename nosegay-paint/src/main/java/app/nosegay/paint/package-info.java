/**
 * Java2D drawing without a screen: on-screen pieces, the jointed figure, the set it is filmed in. What is previewed is what is rendered.
 */
package app.nosegay.paint;
