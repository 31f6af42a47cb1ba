/** Words from sound: the lines of the script are listened for near their expected place (forced alignment); free dictation is not tried. */
package app.nosegay.listen;
