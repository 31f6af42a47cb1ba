/**
 * The words people see, kept in bundles so that they can be translated.
 */
package app.nosegay.text;
