/** Stage three: running the plan in the room. */
package app.nosegay.desktop.shoot;
