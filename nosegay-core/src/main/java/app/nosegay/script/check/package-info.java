/** What is wrong with a script: room, options, calls, claims, words, and what whoever only listens could not know. */
package app.nosegay.script.check;
