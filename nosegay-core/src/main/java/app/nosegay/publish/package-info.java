/** Stage seven: captions, chapters and the lines of the description. */
package app.nosegay.publish;
