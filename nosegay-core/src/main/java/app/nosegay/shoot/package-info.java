/** Stage three: what the shoot clock logs while a plan is run in the room. */
package app.nosegay.shoot;
