/** Stage seven: captions, chapters, the sound and the lines of the description. */
package app.nosegay.publish;
