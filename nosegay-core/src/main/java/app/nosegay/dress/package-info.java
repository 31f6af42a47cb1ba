/**
 * Stage five: the on-screen pieces. {@link app.nosegay.dress.Dresser} decides what is shown when; a {@link app.nosegay.dress.Piece} says
 * what it shows at an instant as a {@link app.nosegay.dress.Face}; drawing faces is the paint module's.
 */
package app.nosegay.dress;
