package app.nosegay.standins;

import java.io.IOException;

/** Something that can say a line. */
public interface Voice {
    /** The line as mono samples, −1 to 1, at {@code sampleRate}; silence at both ends trimmed. */
    float[] say(String text, int sampleRate) throws IOException;
}
