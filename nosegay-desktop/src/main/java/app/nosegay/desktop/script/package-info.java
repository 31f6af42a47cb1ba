/** The Script stage: talk windows, the ruler of one segment, opening and closing, read-through. */
package app.nosegay.desktop.script;
