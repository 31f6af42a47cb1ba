/**
 * The desktop application: its entry. The window is in shell, the open workout in session, each stage in a package of its own.
 */
package app.nosegay.desktop;
