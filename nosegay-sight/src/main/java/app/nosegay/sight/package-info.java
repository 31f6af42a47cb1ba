/**
 * Bodies in the picture. {@link app.nosegay.sight.BodyFinder} takes pictures one after the other and gives {@link
 * app.nosegay.evidence.Bodies}; two networks (a detector of people, and one of landmarks on a crop) run through TensorFlow Lite.
 */
package app.nosegay.sight;
