/**
 * Spoken calls about time and number ("halfway", "last two"): what they are. The packages below find them and settle what each means.
 */
package app.nosegay.calls;
