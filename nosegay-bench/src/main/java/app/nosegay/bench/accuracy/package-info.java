/**
 * How far matching, counting, findings and loudness are from the truth on simulated and filmed takes.
 */
package app.nosegay.bench.accuracy;
