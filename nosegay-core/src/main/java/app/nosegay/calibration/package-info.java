/** What is learnt of a creator's own way of speaking from their matched takes. */
package app.nosegay.calibration;
