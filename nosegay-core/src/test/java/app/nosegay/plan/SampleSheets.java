package app.nosegay.plan;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.sheet.RunSheetParser;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;

/** Run sheets the tests of every stage share. */
public final class SampleSheets {
    private SampleSheets() {}

    /** The example of docs/format/run-sheet.md. */
    public static String wheelbarrow() {
        try (InputStream in = SampleSheets.class.getResourceAsStream("/wheelbarrow.runsheet")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    public static Timeline timeline(String text) {
        return Expansion.expand(RunSheetParser.parse(text, MoveLibrary.shipped()), MoveLibrary.shipped());
    }
}
