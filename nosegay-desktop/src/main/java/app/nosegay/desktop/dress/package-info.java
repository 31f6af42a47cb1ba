/** The Dress stage: the frame itself, with the pieces on it. */
package app.nosegay.desktop.dress;
