package app.nosegay.plan.sheet;

import app.nosegay.text.CoreText;

/**
 * One thing in a run sheet that could not be read; the rest of the sheet still loads.
 *
 * @param line its line, from 1
 * @param column its first column, from 1
 * @param found the text that could not be read
 * @param expected what belongs there
 * @param nearest the nearest known word, or null
 * @param note whether it is only worth knowing (an unknown move), not an error
 */
public record Problem(int line, int column, String found, String expected, String nearest, boolean note) {
    /** Whether it is a move the library does not know. */
    public boolean isUnknownMove() {
        return note && expected.contains("move library");
    }

    /** One sentence for people: place, what was found, what was expected, the nearest word. */
    public String message() {
        String hint = nearest == null ? "" : CoreText.of("plan.sheet.problem.did-you-mean", nearest);
        return CoreText.of(
                "plan.sheet.problem.line-column",
                line,
                column,
                found.isEmpty() ? "" : "\"" + found + "\" ",
                expected,
                hint);
    }
}
