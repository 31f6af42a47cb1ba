/** Stage two: what will be said when, and whether it fits in the seconds there are. */
package app.nosegay.script;
