/** The Publish stage: the things themselves, as viewers meet them. */
package app.nosegay.desktop.publish;
