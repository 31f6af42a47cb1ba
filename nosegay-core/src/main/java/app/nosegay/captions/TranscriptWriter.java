package app.nosegay.captions;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.List;
import java.util.Locale;

/** Writes a timed transcript so that {@link TranscriptReader} reads the same again: WebVTT (W3C), words at their own times by time tags. */
public final class TranscriptWriter {
    private TranscriptWriter() {}

    public static String webVtt(List<Caption> captions) {
        StringBuilder out = new StringBuilder("WEBVTT\n");
        for (Caption c : captions) {
            out.append('\n').append(clock(c.start())).append(" --> ").append(clock(c.end()));
            out.append('\n');
            out.append(c.speaker().isBlank() ? "" : "<v " + escaped(c.speaker()) + ">");
            if (c.timed().isEmpty()) {
                out.append(escaped(c.text()));
            }
            for (int i = 0; i < c.timed().size(); i++) {
                Caption.Word word = c.timed().get(i);
                out.append(i == 0 ? "" : " <" + clock(word.start()) + ">").append(escaped(word.text()));
            }
            out.append('\n');
        }
        return out.toString();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    private static String clock(Time<Axis.Take> time) {
        long ms = Math.max(0, Math.round(time.micros() / 1000.0));
        return String.format(
                Locale.ROOT, "%02d:%02d:%02d.%03d", ms / 3_600_000, ms / 60_000 % 60, ms / 1000 % 60, ms % 1000);
    }
}
