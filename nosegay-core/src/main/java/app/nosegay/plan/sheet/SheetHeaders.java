package app.nosegay.plan.sheet;

import java.util.List;

/** The header words of a run sheet. */
public final class SheetHeaders {
    private SheetHeaders() {}

    public static List<String> words() {
        return HeaderReader.WORDS;
    }
}
