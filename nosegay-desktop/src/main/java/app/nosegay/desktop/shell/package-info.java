/**
 * The window around the stages: rail, head, foot, keys, and the photographer of the pictures in the docs.
 */
package app.nosegay.desktop.shell;
