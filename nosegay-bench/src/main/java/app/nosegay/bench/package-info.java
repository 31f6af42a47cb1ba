/**
 * Times what Nosegay does, and how far it is from the truth. For developers; not part of the product.
 */
package app.nosegay.bench;
