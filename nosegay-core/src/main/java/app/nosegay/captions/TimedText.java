package app.nosegay.captions;

import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;

/** Writes captions and chapters in open formats: WebVTT (W3C), SubRip, FFMETADATA1, and the lines video hosts read in descriptions. */
public final class TimedText {
    private TimedText() {}

    /**
     * One caption or chapter of the finished programme.
     *
     * @param speaker who says it, where that is known; empty otherwise
     */
    public record Cue(Span<Axis.Cut> span, String text, String speaker) {
        public Cue(Span<Axis.Cut> span, String text) {
            this(span, text, "");
        }
    }

    public static String webVtt(List<Cue> cues) {
        StringBuilder out = new StringBuilder("WEBVTT\n");
        int n = 1;
        for (Cue cue : cues) {
            String text = voice(cue) + escaped(cue.text());
            out.append('\n').append(n++).append('\n');
            out.append(clock(cue.span().start(), '.'))
                    .append(" --> ")
                    .append(clock(cue.span().end(), '.'))
                    .append('\n');
            out.append(text).append('\n');
        }
        return out.toString();
    }

    /** Who speaks, as WebVTT tells it. */
    private static String voice(Cue cue) {
        return cue.speaker().isBlank() ? "" : "<v " + escaped(cue.speaker().replaceAll("[\\s>]+", " ")) + ">";
    }

    /** WebVTT cue text may hold no bare ampersand or less-than, no arrow and no blank line. */
    private static String escaped(String text) {
        String t = text.strip().replace("&", "&amp;").replace("<", "&lt;").replace("-->", "-&gt;");
        return t.replaceAll("\\s*\\n\\s*", "\n");
    }

    /** SubRip cannot tell who speaks: where several do, a name stands before the first of each one's lines. */
    public static String subRip(List<Cue> cues) {
        StringBuilder out = new StringBuilder();
        int n = 1;
        boolean several = cues.stream().map(Cue::speaker).distinct().count() > 1;
        String before = "";
        for (Cue cue : cues) {
            out.append(n++).append('\n');
            out.append(clock(cue.span().start(), ','))
                    .append(" --> ")
                    .append(clock(cue.span().end(), ','))
                    .append('\n');
            if (several && !cue.speaker().isBlank() && !cue.speaker().equals(before)) {
                out.append(cue.speaker()).append(": ");
            }
            before = cue.speaker();
            out.append(cue.text().strip().replaceAll("\\s*\\n\\s*", "\n")).append("\n\n");
        }
        return out.toString();
    }

    public static String ffMetadata(String title, List<Cue> chapters) {
        StringBuilder out = new StringBuilder(";FFMETADATA1\n");
        if (!title.isEmpty()) {
            out.append("title=").append(metadataEscaped(title)).append('\n');
        }
        for (Cue c : chapters) {
            out.append("\n[CHAPTER]\nTIMEBASE=1/1000\nSTART=")
                    .append(c.span().start().micros() / 1000);
            out.append("\nEND=").append(c.span().end().micros() / 1000);
            out.append("\ntitle=").append(metadataEscaped(c.text())).append('\n');
        }
        return out.toString();
    }

    private static String metadataEscaped(String text) {
        return text.replaceAll("([=;#\\\\])", "\\\\$1").replace('\n', ' ');
    }

    /** Chapters as JSON in the form podcast players read ({@code version 1.2.0}; startTime in seconds). */
    public static String chaptersJson(List<Cue> chapters) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("version", "1.2.0");
        ArrayNode list = root.putArray("chapters");
        for (Cue c : chapters) {
            list.addObject()
                    .put("startTime", c.span().start().micros() / 1000 / 1000.0)
                    .put("endTime", c.span().end().micros() / 1000 / 1000.0)
                    .put("title", c.text());
        }
        return root.toPrettyString() + "\n";
    }

    /** One line per chapter: {@code 0:00 Welcome}. */
    public static String descriptionLines(List<Cue> chapters) {
        StringBuilder out = new StringBuilder();
        for (Cue c : chapters) {
            long s = c.span().start().micros() / 1_000_000;
            String time = s >= 3600
                    ? String.format(Locale.ROOT, "%d:%02d:%02d", s / 3600, s / 60 % 60, s % 60)
                    : String.format(Locale.ROOT, "%d:%02d", s / 60, s % 60);
            out.append(time).append(' ').append(c.text()).append('\n');
        }
        return out.toString();
    }

    private static String clock(Time<Axis.Cut> time, char point) {
        long ms = Math.max(0, Math.round(time.micros() / 1000.0));
        return String.format(
                Locale.ROOT,
                "%02d:%02d:%02d%c%03d",
                ms / 3_600_000,
                ms / 60_000 % 60,
                ms / 1000 % 60,
                point,
                ms % 1000);
    }
}
